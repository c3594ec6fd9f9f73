<script setup lang="ts">
import { signUpSchema } from '#contract/firm'
import { guessFrom } from '~/utils/browserGuess'

definePageMeta({ layout: 'door' })
useHead({ title: t('door.signUpAFirm') })
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
    <h1>{{ t('door.signUpAFirm') }}</h1>
    <p class="small">{{ t('door.youBecomeItsOwner') }}</p>
    <UFormField :label="t('door.nameOfTheFirm')" name="firmName" :error="errors.firmName"
      ><UInput id="field-firmName" v-model="form.firmName" maxlength="80" autocomplete="organization"
    /></UFormField>
    <UFormField :label="t('door.yourName')" name="name" :error="errors.name"
      ><UInput id="field-name" v-model="form.name" maxlength="80" autocomplete="name"
    /></UFormField>
    <UFormField :label="t('door.yourEMailAddress')" name="email" :error="errors.email"
      ><UInput id="field-email" v-model="form.email" type="email" maxlength="200" autocomplete="username"
    /></UFormField>
    <UFormField
      :label="t('door.password')"
      name="password"
      :error="errors.password"
      :help="t('door.atLeast10Characters')"
      ><UInput id="field-password" v-model="form.password" type="password" maxlength="200" autocomplete="new-password"
    /></UFormField>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <UButton type="submit" color="primary" :loading="busy">{{ t('door.signUpTheFirm') }}</UButton>
    <p class="small">
      {{ t('door.signedUpAlready') }} <NuxtLink to="/sign-in" class="opens">{{ t('door.signIn') }}</NuxtLink>
    </p>
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
