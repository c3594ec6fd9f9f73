<script setup lang="ts">
/** Address and password, and a code where a second factor is on; tells when somebody is signed in. */
const props = defineProps<{ email?: string }>()
const emit = defineEmits<{ done: [] }>()
const form = reactive({ email: props.email ?? '', password: '', code: '' })
const { busy, message, errors, code: problem, send } = useSend()
const wantsCode = ref(false)

async function signIn(): Promise<void> {
  const { code, ...who } = form
  if (
    await send(() =>
      $fetch('/api/door/sign-in', { method: 'POST', body: wantsCode.value ? { ...who, code: code.trim() } : who }),
    )
  )
    emit('done')
  else if (problem.value === 'second_factor') wantsCode.value = true
}
</script>

<template>
  <form class="sign-in" novalidate @submit.prevent="signIn">
    <UFormField :label="t('door.eMailAddress')" name="email"
      ><UInput id="field-email" v-model="form.email" type="email" autocomplete="username" maxlength="200"
    /></UFormField>
    <UFormField :label="t('door.password')" name="password"
      ><UInput
        id="field-password"
        v-model="form.password"
        type="password"
        autocomplete="current-password"
        maxlength="200"
    /></UFormField>
    <SecondFactorField v-if="wantsCode" v-model="form.code" :error="errors.code" />
    <p v-if="message && problem !== 'second_factor'" class="problem" role="alert">{{ message }}</p>
    <UButton type="submit" color="primary" :loading="busy">{{ t('door.signIn') }}</UButton>
  </form>
</template>

<style scoped>
.sign-in {
  display: grid;
  gap: 14px;
  justify-items: start;
}
.sign-in > :not(button) {
  width: 100%;
}
</style>
