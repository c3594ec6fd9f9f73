<script setup lang="ts">
import { COVER_KINDS, countedCover } from '#core/site/cover'
import { YES_NO } from '~/utils/lookWords'

/** What grows on a zone: four shares that fill to 100, estimated or counted at points. */
const props = defineProps<{ id: string }>()
const { draft } = useSurveyHere()
const zone = computed(() => draft.zones[props.id]!)
const counting = ref(zone.value.counted.length > 0)
const counts = reactive(COVER_KINDS.map((_, i) => zone.value.counted[i] ?? 0))
const WORDS = [
  t('look.wantedGrass'),
  t('look.pointOfWeeds'),
  t('look.coarseWeedGrass'),
  t('look.pointOfBareGround'),
] as const
const counted = computed(() => (counts.some((n) => n > 0) ? countedCover(counts) : undefined))
function point(i: number, by: 1 | -1): void {
  counts[i] = Math.max(0, Math.min(2000, counts[i]! + by))
  if (!counted.value) return
  const [desirable, weeds, coarse, bare] = counted.value.shares as [number, number, number, number]
  Object.assign(zone.value, {
    desirableShare: desirable,
    weedShare: weeds,
    coarseShare: coarse,
    bareShare: bare,
    counted: [...counts],
  })
}
/** Three shares settle the fourth; not the one that is being gone to, which is typed. */
function fill(event: FocusEvent): void {
  const goesTo = (event.relatedTarget as HTMLElement | null)?.id
  const { desirableShare, weedShare, coarseShare, bareShare } = zone.value
  if (desirableShare === null || weedShare === null) return
  if (goesTo !== `field-zones.${props.id}.coarseShare`) zone.value.coarseShare ??= 0
  const rest = 1 - desirableShare - weedShare - (coarseShare ?? 0)
  if (bareShare === null && rest >= -1e-9 && goesTo !== `field-zones.${props.id}.bareShare`)
    zone.value.bareShare = Math.max(0, Math.round(rest * 1000) / 1000)
}
function estimate(): void {
  counting.value = !counting.value
  if (!counting.value) zone.value.counted = []
}
</script>

<template>
  <div class="cover">
    <div v-if="!counting" class="field-row" @focusout="fill">
      <TypedInput
        v-model="zone.desirableShare"
        :label="t('look.desirableGrass')"
        quantity="share"
        :path="`zones.${id}.desirableShare`"
      />
      <TypedInput v-model="zone.weedShare" :label="t('look.weeds')" quantity="share" :path="`zones.${id}.weedShare`" />
      <TypedInput
        v-model="zone.coarseShare"
        :label="t('look.coarseWeedGrasses')"
        quantity="share"
        :path="`zones.${id}.coarseShare`"
        :help="t('look.surviveAllButKilling')"
      />
      <TypedInput
        v-model="zone.bareShare"
        :label="t('look.bareSoil')"
        quantity="share"
        :path="`zones.${id}.bareShare`"
      />
    </div>
    <div v-else class="points">
      <div v-for="(word, i) in WORDS" :key="word" class="point">
        <button type="button" class="more" :aria-label="t('look.oneMorePointOf', { word })" @click="point(i, 1)">
          <b class="num">{{ counts[i] }}</b> {{ word }}
        </button>
        <button type="button" class="less" :aria-label="t('look.onePointOfLess', { word })" @click="point(i, -1)">
          −
        </button>
      </div>
      <span class="small">{{
        counted
          ? t('look.pointsGrassGoodTo', { points: counted.points, error: Math.round(counted.error * 100) })
          : t('look.walkAcrossDropA')
      }}</span>
    </div>
    <CoverBar :zone="zone" wide />
    <div class="how">
      <button type="button" class="opens" @click="estimate">
        {{ counting ? t('look.estimateInstead') : t('look.countPointsInstead') }}
      </button>
      <PickOne v-model="zone.barePatchy" :label="t('look.bareAndThin')" :choices="YES_NO" />
    </div>
  </div>
</template>

<style scoped>
.cover {
  display: grid;
  gap: 9px;
}
.points {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.points .small {
  grid-column: 1 / -1;
}
.point {
  display: flex;
  border: 1.5px solid var(--ink);
  background: var(--lime);
}
.more {
  flex: 1;
  min-height: 52px;
  cursor: pointer;
  text-align: left;
  padding: 4px 10px;
}
.more b {
  font-size: 20px;
  margin-right: 4px;
}
.less {
  width: 48px;
  border-left: 1px solid var(--rule-2);
  cursor: pointer;
  font-size: 18px;
}
.how {
  display: flex;
  gap: 6px 24px;
  align-items: end;
  flex-wrap: wrap;
}
</style>
