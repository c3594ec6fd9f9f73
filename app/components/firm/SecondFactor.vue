<script setup lang="ts">
import type { SecondFactorProposed } from '#contract/firm'

/** Signing in with a code of one's phone besides the password: set up, confirmed, turned off. */
defineProps<{ on: boolean }>()
const context = useContextStore()
const { busy, message, errors, send } = useSend()
const step = ref<'closed' | 'password' | 'confirm' | 'codes' | 'off'>('closed')
const form = reactive({ current: '', code: '' })
const proposed = ref<SecondFactorProposed>()
const codes = ref<string[]>([])
const picture = computed(() => proposed.value && `data:image/svg+xml;utf8,${encodeURIComponent(proposed.value.qrSvg)}`)

function begin(to: typeof step.value): void {
  Object.assign(form, { current: '', code: '' })
  step.value = to
}
async function propose(): Promise<void> {
  if (
    await send(async () => {
      proposed.value = await $fetch<SecondFactorProposed>('/api/me/second-factor', {
        method: 'POST',
        body: { current: form.current },
      })
    })
  )
    begin('confirm')
}
async function confirm(): Promise<void> {
  const confirmed = await send(async () => {
    codes.value = (
      await $fetch<{ codes: string[] }>('/api/me/second-factor', { method: 'PUT', body: { code: form.code.trim() } })
    ).codes
  })
  if (confirmed) begin('codes')
}
async function turnOff(): Promise<void> {
  if (!(await send(() => $fetch('/api/me/second-factor/off', { method: 'POST', body: { current: form.current } }))))
    return
  begin('closed')
  await context.load()
}
/** The codes are read once; after that nobody can show them again. */
async function written(): Promise<void> {
  ;[codes.value, proposed.value] = [[], undefined]
  begin('closed')
  await context.load()
}
</script>

<template>
  <section :aria-label="t('firm.secondFactor')">
    <h3>{{ t('firm.codeAtSignIn') }}</h3>
    <template v-if="step === 'closed'">
      <p class="small">
        {{ on ? t('firm.onSigningInAsks') : t('firm.offWithItOn') }}
      </p>
      <UButton variant="outline" size="sm" @click="begin(on ? 'off' : 'password')">{{
        on ? t('firm.turnOff') : t('firm.setUp')
      }}</UButton>
    </template>
    <form
      v-else-if="step === 'password' || step === 'off'"
      novalidate
      @submit.prevent="step === 'off' ? turnOff() : propose()"
    >
      <UFormField :label="t('firm.yourPassword')" name="second-current" :error="errors.current"
        ><UInput
          id="field-second-current"
          v-model="form.current"
          type="password"
          autocomplete="current-password"
          maxlength="200"
          autofocus
      /></UFormField>
      <span class="acts"
        ><UButton type="submit" size="sm" color="primary" :loading="busy">{{
          step === 'off' ? t('firm.turnOff') : t('firm.showTheQrCode')
        }}</UButton
        ><UButton size="sm" variant="outline" @click="begin('closed')">{{ t('firm.cancel') }}</UButton></span
      >
    </form>
    <form v-else-if="step === 'confirm' && proposed" novalidate @submit.prevent="confirm">
      <p>{{ t('firm.scanThisWithAn') }}</p>
      <img :src="picture" :alt="t('firm.qrCodeOfThe')" width="180" height="180" />
      <p class="small">
        {{ t('firm.cannotScanTypeThis') }}
        <b class="secret">{{ proposed.secret.match(/.{1,4}/g)?.join(' ') }}</b>
      </p>
      <UFormField :label="t('firm.sixDigits')" name="second-code" :error="errors.code"
        ><UInput
          id="field-second-code"
          v-model="form.code"
          inputmode="numeric"
          autocomplete="one-time-code"
          maxlength="6"
          autofocus
      /></UFormField>
      <span class="acts"
        ><UButton type="submit" size="sm" color="primary" :loading="busy">{{ t('firm.turnOn') }}</UButton
        ><UButton size="sm" variant="outline" @click="begin('closed')">{{ t('firm.cancel') }}</UButton></span
      >
    </form>
    <div v-else-if="step === 'codes'" class="panel codes">
      <p>
        <b>{{ t('firm.onWriteTheseTen') }}</b> {{ t('firm.eachSignsYouIn') }}
      </p>
      <ol>
        <li v-for="code in codes" :key="code">{{ code }}</li>
      </ol>
      <UButton size="sm" color="primary" @click="written">{{ t('firm.iWroteThemDown') }}</UButton>
    </div>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </section>
</template>

<style scoped>
section,
form,
.codes {
  display: grid;
  gap: 8px;
  justify-items: start;
}
h3 {
  font-weight: 650;
}
img {
  border: 1px solid var(--rule-2);
}
.secret {
  font-variant-numeric: tabular-nums;
  letter-spacing: 0.04em;
  user-select: all;
}
.acts {
  display: flex;
  gap: 8px;
}
.codes {
  padding: 10px 12px;
}
ol {
  columns: 2;
  column-gap: 28px;
  font-variant-numeric: tabular-nums;
  user-select: all;
}
</style>
