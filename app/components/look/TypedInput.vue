<script setup lang="ts">
import type { Quantity } from '#core/measure/figure'

/** A measurement as people type it; empty for none. */
const value = defineModel<number | null>({ required: true })
const props = defineProps<{
  label: string
  quantity: Quantity
  path: string
  help?: string
  placeholder?: string
  digits?: number
}>()
const { text, parse } = useUnits()
function shown(number: number | null): string {
  if (number === null) return ''
  if (props.quantity === 'share') return `${Math.round(number * 1000) / 10}`
  return props.quantity === 'count' || props.quantity === 'ph'
    ? String(number)
    : text({ quantity: props.quantity, value: number, digits: props.digits ?? 3 })
}
const { typed, error, type } = useTyped<number | null>(props.path, value, shown, (said) =>
  said.trim() ? parse(props.quantity, said) : { ok: true, value: null },
)
</script>

<template>
  <UFormField :label="label" :name="path" :error="error" :help="help">
    <UInput
      :id="`field-${path}`"
      v-model="typed"
      maxlength="60"
      :placeholder="placeholder"
      @focus="($event.target as HTMLInputElement).select()"
      @update:model-value="type"
    />
  </UFormField>
</template>
