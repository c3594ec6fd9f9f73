<script setup lang="ts">
import type { LinkShown } from '#contract/firm'
import { problemOf } from '~/utils/api'

definePageMeta({ layout: 'door' })
useHead({ title: t('door.join') })
const context = useContextStore()
const link = ref<LinkShown>()
const form = reactive({ name: '', email: '', password: '', code: '' })
const { busy, message, errors, send } = useSend()
let secret = ''

onMounted(async () => {
  // Behind the #, so that neither the server's log nor a proxy's ever holds it.
  secret = window.location.hash.slice(1)
  try {
    link.value = await $fetch<LinkShown>('/api/door/link', { method: 'POST', body: { secret } })
  } catch (error) {
    const problem = problemOf(error)
    message.value = problem.fields.secret ?? problem.message
  }
})

async function join(): Promise<void> {
  const joining = {
    ...(link.value?.kind === 'invitation' ? { name: form.name, email: form.email } : {}),
    ...(link.value?.secondFactor ? { code: form.code.trim() } : {}),
  }
  if (
    !(await send(() =>
      $fetch('/api/door/join', { method: 'POST', body: { secret, password: form.password, ...joining } }),
    ))
  )
    return
  await context.load()
  await navigateTo('/lawns')
}
</script>

<template>
  <div class="join">
    <template v-if="link">
      <h1>
        {{ link.kind === 'invitation' ? t('door.join2', { firmName: link.firmName }) : t('door.setANewPassword') }}
      </h1>
      <p class="small">
        {{
          t('door.invitationAsOwnerAn', {
            kind: link.kind,
            role: link.role,
            email: link.email,
            firmName: link.firmName,
            madeBy: link.madeBy,
          })
        }}
      </p>
      <form novalidate @submit.prevent="join">
        <template v-if="link.kind === 'invitation'">
          <UFormField :label="t('door.yourName')" name="name" :error="errors.name"
            ><UInput id="field-name" v-model="form.name" maxlength="80" autocomplete="name"
          /></UFormField>
          <UFormField :label="t('door.yourEMailAddress')" name="email" :error="errors.email"
            ><UInput id="field-email" v-model="form.email" type="email" maxlength="200" autocomplete="username"
          /></UFormField>
        </template>
        <UFormField
          :label="t('door.password')"
          name="password"
          :error="errors.password"
          :help="t('door.atLeast10Characters')"
          ><UInput
            id="field-password"
            v-model="form.password"
            type="password"
            maxlength="200"
            autocomplete="new-password"
        /></UFormField>
        <SecondFactorField v-if="link.secondFactor" v-model="form.code" :error="errors.code" />
        <p v-if="message" class="problem" role="alert">{{ message }}</p>
        <UButton type="submit" color="primary" :loading="busy">{{
          link.kind === 'invitation' ? t('door.join2', { firmName: link.firmName }) : t('door.setThePassword')
        }}</UButton>
      </form>
    </template>
    <template v-else>
      <h1>{{ message ? t('door.thisLinkOpensNothing') : t('door.lookingAtTheLink') }}</h1>
      <p v-if="message" class="problem" role="alert">{{ message }}</p>
    </template>
  </div>
</template>

<style scoped>
.join,
form {
  display: grid;
  gap: 14px;
}
form > button {
  justify-self: start;
}
</style>
