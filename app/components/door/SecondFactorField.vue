<script setup lang="ts">
/** The code of an authenticator, or one that was written down. */
const code = defineModel<string>({ required: true })
defineProps<{ error?: string }>()
</script>

<template>
  <UFormField label="Code" name="code" :error="error" help="Six digits from your authenticator, or a recovery code"
    ><UInput id="field-code" v-model="code" inputmode="text" autocomplete="one-time-code" maxlength="20" autofocus
  /></UFormField>
</template>
