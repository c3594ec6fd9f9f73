<script setup lang="ts">
import type { Quantity } from '#core/quantity/figure'

/** A measurement as people type it; what cannot be read stands as typed and is said. */
const value = defineModel<number | null>({ required: true })
const props = defineProps<{ label: string; quantity: Quantity; path: string; help?: string; placeholder?: string; digits?: number }>()
const { errors, unread } = useSurveyHere()
const { text, parse } = useUnits()
const shown = (number: number | null) => {
  if (number === null) return ''
  if (props.quantity === 'share') return `${Math.round(number * 1000) / 10}`
  return props.quantity === 'count' || props.quantity === 'ph' ? String(number) : text({ quantity: props.quantity, value: number, digits: props.digits ?? 3 })
}
const typed = ref(shown(value.value))
const wrong = ref('')
/** A value that came from elsewhere replaces the text; our own reading of it does not. */
watch(value, (now) => {
  const read = parse(props.quantity, typed.value)
  if ((read.ok ? read.value : null) !== now) typed.value = shown(now)
})
function read(): void {
  wrong.value = ''
  if (!typed.value.trim()) value.value = null
  else {
    const parsed = parse(props.quantity, typed.value)
    if (parsed.ok) value.value = parsed.value
    else wrong.value = parsed.message
  }
  if (wrong.value) unread.set(props.path, wrong.value)
  else unread.delete(props.path)
}
onUnmounted(() => unread.delete(props.path))
</script>

<template>
  <UFormField :label="label" :name="path" :error="wrong || errors[path]" :help="help">
    <UInput v-model="typed" maxlength="60" :placeholder="placeholder" @update:model-value="read" />
  </UFormField>
</template>
