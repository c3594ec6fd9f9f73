<script setup lang="ts">
import type { Message } from '#core/explain/message'
import { isWorked } from '#words/teller'

/** A sentence of the core with its numbers in the reader's units; worked ones open. */
const props = defineProps<{ phrase: Message }>()
const { text } = useUnits()
const pieces = computed(() => piecesOf(props.phrase))
</script>

<template>
  <span
    ><template v-for="(piece, i) in pieces" :key="i"
      ><template v-if="typeof piece === 'string'">{{ piece }}</template
      ><WorkedNumber v-else-if="isWorked(piece)" :worked="piece" /><b v-else>{{ text(piece) }}</b></template
    ></span
  >
</template>
