<script setup lang="ts">
import type { Quantity } from '#core/measure/figure'
import { parseList } from '#core/measure/parse'

/** Several measurements of one thing, typed in a row. */
const values = defineModel<number[]>({ required: true })
const props = defineProps<{ label: string; quantity: Quantity; path: string; help?: string; placeholder?: string }>()
const { text, system } = useUnits()
const shown = (numbers: readonly number[]) =>
  numbers.map((value) => text({ quantity: props.quantity, value, digits: 3 })).join(', ')
const { typed, error, type } = useTyped<number[]>(props.path, values, shown, (said) => {
  const read = readTyped(parseList(props.quantity, said, system.value))
  return read.ok ? { ok: true, value: read.values } : read
})
</script>

<template>
  <UFormField :label="label" :name="path" :error="error" :help="help">
    <UInput v-model="typed" maxlength="120" :placeholder="placeholder" @update:model-value="type" />
  </UFormField>
</template>
