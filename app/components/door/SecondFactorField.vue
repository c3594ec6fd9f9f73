<script setup lang="ts">
/** The code of an authenticator, or one that was written down. */
const code = defineModel<string>({ required: true })
defineProps<{ error?: string }>()
</script>

<template>
  <UFormField :label="t('door.code')" name="code" :error="error" :help="t('door.sixDigitsFromYour')"
    ><UInput id="field-code" v-model="code" inputmode="text" autocomplete="one-time-code" maxlength="20" autofocus
  /></UFormField>
</template>
