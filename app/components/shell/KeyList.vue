<script setup lang="ts">
import { helpOf } from '~/utils/helpWords'
import { PLACES } from '~/utils/places'

/** What the view in sight is for, and what the keyboard does. */
const open = defineModel<boolean>({ required: true })
const route = useRoute()
const help = computed(() => helpOf(route.path))
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
  ['?', 'this help'],
]
</script>

<template>
  <UModal v-model:open="open" :title="help?.title ?? 'Keys'" description="What it does, and its keys.">
    <template #body>
      <p v-for="line in help?.does ?? []" :key="line" class="line">{{ line }}</p>
      <h3>Keys, while nothing is being typed</h3>
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
      <p class="line">
        <NuxtLink to="/about" class="opens" @click="open = false">About Upper Sill</NuxtLink>: version, licence,
        sources.
      </p>
    </template>
  </UModal>
</template>

<style scoped>
.line {
  margin: 6px 0;
}
h3 {
  margin-top: 12px;
}
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
