<script setup lang="ts">
/** Address and password; tells when somebody is signed in. */
const props = defineProps<{ email?: string }>()
const emit = defineEmits<{ done: [] }>()
const form = reactive({ email: props.email ?? '', password: '' })
const { busy, message, send } = useSend()

async function signIn(): Promise<void> {
  if (await send(() => $fetch('/api/door/sign-in', { method: 'POST', body: form }))) emit('done')
}
</script>

<template>
  <form class="sign-in" novalidate @submit.prevent="signIn">
    <UFormField label="E-mail address" name="email"><UInput id="field-email" v-model="form.email" type="email" autocomplete="username" maxlength="200" /></UFormField>
    <UFormField label="Password" name="password"><UInput id="field-password" v-model="form.password" type="password" autocomplete="current-password" maxlength="200" /></UFormField>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <UButton type="submit" color="primary" :loading="busy">Sign in</UButton>
  </form>
</template>

<style scoped>
.sign-in { display: grid; gap: 14px; justify-items: start; }
.sign-in > :not(button) { width: 100%; }
</style>
