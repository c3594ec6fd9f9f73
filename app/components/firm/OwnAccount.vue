<script setup lang="ts">
import { passwordChangeSchema } from '#contract/firm'
import type { Context } from '#contract/context'
import type { UnitSystem } from '#core/measure/figure'
import { unitItems, unitWords } from '~/utils/unitWords'

/** What is one's own: units, password, sessions. */
const props = defineProps<{ person: Context['person']; firmUnits: UnitSystem; demo: boolean }>()
const context = useContextStore()
const device = useDeviceStore()
const unsent = computed(() => device.waiting.length)
const form = reactive({ current: '', password: '' })
const { busy, message, errors, judged, send } = useSend()
const told = ref('')
const FIRMS = 'firm'
const choices = computed(() => [
  { label: t('firm.theFirms', { firmUnits: unitWords(props.firmUnits) }), value: FIRMS },
  ...unitItems(),
])
const units = computed({
  get: () => props.person.units ?? FIRMS,
  set: (value: string) =>
    void send(async () => {
      await $fetch('/api/me/units', { method: 'PUT', body: { units: value === FIRMS ? null : value } })
      await context.load()
    }),
})

async function changePassword(): Promise<void> {
  told.value = ''
  const change = judged(passwordChangeSchema, form)
  if (!change || !(await send(() => $fetch('/api/me/password', { method: 'PUT', body: change })))) return
  Object.assign(form, { current: '', password: '' })
  told.value = t('firm.changedEveryOtherSession')
}
async function leave(everywhere: boolean): Promise<void> {
  const gone = await send(() =>
    everywhere ? $fetch('/api/me/sessions', { method: 'DELETE' }) : $fetch('/api/door/sign-out', { method: 'POST' }),
  )
  // What this device keeps of the firm goes with who was at work.
  if (gone) await device.wipe()
  if (gone) reloadNuxtApp({ path: '/sign-in', force: true })
}
</script>

<template>
  <section class="own">
    <h2>{{ t('firm.you') }}</h2>
    <p>
      <b>{{ person.name }}</b>, {{ person.email }}
    </p>
    <UFormField :label="t('firm.yourUnits')" name="own-units"
      ><USelect id="field-own-units" v-model="units" :items="choices" :aria-label="t('firm.yourUnits')"
    /></UFormField>
    <form v-if="!demo" novalidate @submit.prevent="changePassword">
      <UFormField :label="t('firm.passwordNow')" name="current" :error="errors.current"
        ><UInput
          id="field-current"
          v-model="form.current"
          type="password"
          autocomplete="current-password"
          maxlength="200"
      /></UFormField>
      <UFormField
        :label="t('firm.newPassword')"
        name="password"
        :error="errors.password"
        :help="t('firm.atLeast10Characters')"
        ><UInput
          id="field-new-password"
          v-model="form.password"
          type="password"
          autocomplete="new-password"
          maxlength="200"
      /></UFormField>
      <UButton type="submit" variant="outline" :loading="busy">{{ t('firm.changeThePassword') }}</UButton>
    </form>
    <p v-if="told" role="status">{{ told }}</p>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <SecondFactor v-if="!demo && (person.role === 'owner' || person.secondFactor)" :on="person.secondFactor" />
    <SignedInHere />
    <p v-if="unsent" class="caution">{{ t('device.unsent', { count: unsent }) }}</p>
    <div class="out">
      <UButton variant="outline" :loading="busy" @click="leave(false)">{{ t('firm.signOut') }}</UButton>
      <UButton variant="outline" :loading="busy" @click="leave(true)">{{ t('firm.signOutEverywhere') }}</UButton>
    </div>
  </section>
</template>

<style scoped>
.own,
form {
  display: grid;
  gap: 10px;
}
form > button {
  justify-self: start;
}
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
.out {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
</style>
