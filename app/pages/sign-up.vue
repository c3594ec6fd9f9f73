<script setup lang="ts">
import { signUpSchema } from '#contract/firm'
import { UNIT_ITEMS } from '~/utils/unitWords'

definePageMeta({ layout: 'door' })
useHead({ title: 'Sign up a firm' })
const context = useContextStore()
const form = reactive({
  firmName: '',
  units: 'us' as 'us' | 'metric',
  currency: 'USD',
  timeZone: 'America/New_York',
  name: '',
  email: '',
  password: '',
})
const { busy, message, errors, judged, send } = useSend()
onMounted(() => {
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions()
  // A machine set to UTC says nothing of where the lawns are.
  if (timeZone && timeZone !== 'UTC') form.timeZone = timeZone
  if (!/^America\//.test(form.timeZone)) form.units = 'metric'
})

async function found(): Promise<void> {
  const firm = judged(signUpSchema, form)
  if (!firm || !(await send(() => $fetch('/api/door/sign-up', { method: 'POST', body: firm })))) return
  await context.load()
  await navigateTo('/set-up')
}
</script>

<template>
  <form class="sign-up" novalidate @submit.prevent="found">
    <h1>Sign up a firm</h1>
    <p class="small">You become its owner. Technicians join by a link that you make under Firm.</p>
    <UFormField label="Name of the firm" name="firmName" :error="errors.firmName"
      ><UInput id="field-firmName" v-model="form.firmName" maxlength="80" autocomplete="organization"
    /></UFormField>
    <div class="field-row">
      <UFormField label="Units" name="units"
        ><USelect id="field-units" v-model="form.units" :items="UNIT_ITEMS" aria-label="Units"
      /></UFormField>
      <UFormField label="Currency" name="currency" :error="errors.currency"
        ><UInput id="field-currency" v-model="form.currency" maxlength="3"
      /></UFormField>
      <UFormField label="Time zone" name="timeZone" :error="errors.timeZone"
        ><UInput id="field-timeZone" v-model="form.timeZone" maxlength="60"
      /></UFormField>
    </div>
    <UFormField label="Your name" name="name" :error="errors.name"
      ><UInput id="field-name" v-model="form.name" maxlength="80" autocomplete="name"
    /></UFormField>
    <UFormField label="Your e-mail address" name="email" :error="errors.email"
      ><UInput id="field-email" v-model="form.email" type="email" maxlength="200" autocomplete="username"
    /></UFormField>
    <UFormField label="Password" name="password" :error="errors.password" help="At least 10 characters"
      ><UInput id="field-password" v-model="form.password" type="password" maxlength="200" autocomplete="new-password"
    /></UFormField>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <UButton type="submit" color="primary" :loading="busy">Sign up the firm</UButton>
    <p class="small">Signed up already? <NuxtLink to="/sign-in" class="opens">Sign in</NuxtLink></p>
  </form>
</template>

<style scoped>
.sign-up {
  display: grid;
  gap: 14px;
}
.sign-up > button {
  justify-self: start;
}
</style>
