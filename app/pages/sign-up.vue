<script setup lang="ts">
import { signUpSchema } from '#contract/firm'
import { guessFrom } from '~/utils/browserGuess'

definePageMeta({ layout: 'door' })
useHead({ title: 'Sign up a firm' })
const context = useContextStore()
const form = reactive({
  firmName: '',
  ...guessFrom('en-US', undefined),
  name: '',
  email: '',
  password: '',
})
const { busy, message, errors, judged, send } = useSend()
/** Units, money, zone and words as the browser has them; asked on the next page. */
onMounted(() => {
  Object.assign(form, guessFrom(navigator.language, Intl.DateTimeFormat().resolvedOptions().timeZone))
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
