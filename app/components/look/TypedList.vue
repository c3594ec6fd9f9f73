<script setup lang="ts">
import type { Quantity } from '#core/quantity/figure'
import { parseList } from '#core/quantity/parse'

/** Several measurements of one thing, typed in a row. */
const values = defineModel<number[]>({ required: true })
const props = defineProps<{ label: string; quantity: Quantity; path: string; help?: string; placeholder?: string }>()
const { errors, unread } = useSurveyHere()
const { text, system } = useUnits()
const shown = (numbers: readonly number[]) => numbers.map((value) => text({ quantity: props.quantity, value, digits: 3 })).join(', ')
const typed = ref(shown(values.value))
const wrong = ref('')
watch(values, (now) => {
  const read = parseList(props.quantity, typed.value, system.value)
  if (!read.ok || JSON.stringify(read.values) !== JSON.stringify(now)) typed.value = shown(now)
})
const error = computed(() => wrong.value || errors.value[props.path] || Object.entries(errors.value).find(([path]) => path.startsWith(`${props.path}.`))?.[1])
function read(): void {
  const parsed = parseList(props.quantity, typed.value, system.value)
  wrong.value = parsed.ok ? '' : parsed.message
  if (parsed.ok) {
    values.value = parsed.values
    unread.delete(props.path)
  } else unread.set(props.path, parsed.message)
}
onUnmounted(() => unread.delete(props.path))
</script>

<template>
  <UFormField :label="label" :name="path" :error="error" :help="help">
    <UInput v-model="typed" maxlength="120" :placeholder="placeholder" @update:model-value="read" />
  </UFormField>
</template>
