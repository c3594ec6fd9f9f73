<script setup lang="ts">
import { helpOf } from '~/utils/helpWords'
import { PLACES } from '~/utils/places'

/** What the view in sight is for, and what the keyboard does. */
const open = defineModel<boolean>({ required: true })
const route = useRoute()
const help = computed(() => helpOf(route.path))
const KEYS = [
  ...PLACES.map(({ key, name }) => [key, t(name)]),
  ['[  ]', t('shell.theStepBeforeAnd')],
  ['/', t('shell.findALawn')],
  ['a', t('shell.addALawnIn')],
  ['l', t('shell.theLedgeInOne')],
  ['n', t('shell.noteASoilReading')],
  ['w', t('shell.openTheWorkingOf')],
  ['← →', t('shell.readADayOn')],
  ['Esc', t('shell.closeWhatIsOpen')],
  ['?', t('shell.thisHelp')],
]
</script>

<template>
  <UModal v-model:open="open" :title="t(help?.title ?? 'shell.keys')" :description="t('shell.whatItDoesAnd')">
    <template #body>
      <p v-for="line in help?.does ?? []" :key="line" class="line">{{ t(line) }}</p>
      <h3>{{ t('shell.keysWhileNothingIs') }}</h3>
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
        <NuxtLink to="/about" class="opens" @click="open = false">{{ t('shell.aboutUpperSill') }}</NuxtLink>{{
          t('shell.versionLicenceSources')
        }}
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
