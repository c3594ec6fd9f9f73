<script setup lang="ts">
import { PLACES } from '~/utils/places'

/** What the keyboard does. */
const open = defineModel<boolean>({ required: true })
const KEYS = [
  ...PLACES.map(({ key, name }) => [key, name]),
  ['[  ]', 'the step before and after, in a lawn'],
  ['/', 'find a lawn'],
  ['a', 'add a lawn, in Lawns'],
  ['l', 'the ledge in one line, or whole'],
  ['n', 'note a soil reading'],
  ['w', 'open the working of the focused number'],
  ['← →', 'read a day on the ledge, or move the sowing day in When'],
  ['Esc', 'close what is open'],
  ['?', 'this list'],
]
</script>

<template>
  <UModal v-model:open="open" title="Keys" description="While nothing is being typed.">
    <template #body>
      <table class="ledger">
        <tbody>
          <tr v-for="[key, does] in KEYS" :key="key">
            <td>
              <kbd>{{ key }}</kbd>
            </td>
            <td>{{ does }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </UModal>
</template>

<style scoped>
kbd {
  border: 1px solid var(--rule-2);
  padding: 1px 8px;
  font-family: inherit;
  white-space: nowrap;
}
td:first-child {
  width: 70px;
}
</style>
