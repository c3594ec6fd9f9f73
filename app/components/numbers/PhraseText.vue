<script setup lang="ts">
import { isWorked, type Phrase } from '#core/explain/phrase'

/** A sentence of the core with its numbers in the reader's units; worked ones open. */
defineProps<{ phrase: Phrase }>()
const { text } = useUnits()
</script>

<template>
  <span
    ><template v-for="(part, i) in phrase" :key="i"
      ><template v-if="typeof part === 'string'">{{ part }}</template
      ><WorkedNumber v-else-if="isWorked(part)" :worked="part" /><b v-else>{{ text(part) }}</b></template
    ></span
  >
</template>
