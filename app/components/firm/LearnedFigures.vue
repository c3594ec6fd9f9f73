<script setup lang="ts">
import type { FieldProposal } from '#core/learning/fieldShare'
import { PLANNING, type Planning } from '#core/job/planningFigures'

/** What the firm's own counts say of the figures it plans with. An owner takes one; it is saved with the form, and never by itself. */
const own = defineModel<Partial<Planning>>({ required: true })
defineProps<{ locked: boolean }>()
const { data: learned } = await useAsyncData('learned', () =>
  $fetch<FieldProposal[]>('/api/firm/learned').catch(() => []),
)
const percent = (share: number) => Math.round(share * 100)
const inUse = ({ bed, share }: FieldProposal) => Math.abs((own.value[bed] ?? PLANNING[bed].value) - share) < 0.005
function take({ bed, share }: FieldProposal): void {
  own.value = { ...own.value, [bed]: percent(share) / 100 }
}
</script>

<template>
  <section v-if="learned?.length" class="learned">
    <h3>{{ t('firm.learned') }}</h3>
    <ul>
      <li v-for="one in learned" :key="one.bed">
        <span
          >{{
            t('firm.learnedOf', {
              what: tell(PLANNING[one.bed].name),
              zones: one.zones,
              seedlings: one.seedlings,
              share: percent(one.share),
              low: percent(one.low),
              high: percent(one.high),
              planning: percent(own[one.bed] ?? PLANNING[one.bed].value),
            })
          }}
          <i v-if="!one.differs" class="small">{{ t('firm.learnedNoReason') }}</i></span
        >
        <UButton v-if="one.differs && !inUse(one)" size="sm" variant="outline" :disabled="locked" @click="take(one)">{{
          t('firm.learnedUse', { share: percent(one.share) })
        }}</UButton>
      </li>
    </ul>
    <p class="small">{{ t('firm.learnedHow') }}</p>
  </section>
</template>

<style scoped>
.learned {
  display: grid;
  gap: 6px;
  padding: 8px 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  justify-content: space-between;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--rule);
}
@media (max-width: 700px) {
  li button {
    min-height: 48px;
  }
}
</style>
