<script setup lang="ts">
import type { Versioned, OpenClash } from '~/utils/edits'
import { clockWords } from '~/utils/moments'

/** What two people changed to different things: both side by side, one chosen for each. */
const props = defineProps<{
  clash: OpenClash<Versioned>
  label: (path: string) => string
  show: (path: string, value: unknown) => string
  busy: boolean
}>()
const emit = defineEmits<{ settle: [takeTheirs: Set<string>] }>()
const takeTheirs = reactive(new Set<string>())
const who = computed(() => props.clash.theirs.savedBy ?? t('lawn.somebodyElse'))
const at = computed(() => props.clash.theirs.savedAt && clockWords(new Date(props.clash.theirs.savedAt)))
const heading = useTemplateRef<HTMLElement>('heading')
onMounted(() => heading.value?.focus())

function choose(path: string, theirs: boolean): void {
  if (theirs) takeTheirs.add(path)
  else takeTheirs.delete(path)
}
</script>

<template>
  <section class="panel-open clash" role="group" :aria-label="t('lawn.changedByTwoPeople')">
    <h2 ref="heading" tabindex="-1">{{ t('lawn.savedThisAtWhile', { who, hasAt: Boolean(at), at }) }}</h2>
    <p>
      {{ t('lawn.nothingIsLostYet')
      }}<template v-if="clash.merged.taken.length">
        {{ t('lawn.keptFromThemBesides', { taken: clash.merged.taken.map(label).join(', ') }) }}</template
      >
    </p>
    <fieldset v-for="{ path, mine, theirs } in clash.merged.clashes" :key="path">
      <legend>{{ label(path) }}</legend>
      <label
        ><input type="radio" :name="`clash-${path}`" :checked="!takeTheirs.has(path)" @change="choose(path, false)" />
        {{ t('lawn.yours') }} <b>{{ show(path, mine) }}</b></label
      >
      <label
        ><input type="radio" :name="`clash-${path}`" :checked="takeTheirs.has(path)" @change="choose(path, true)" />
        {{ t('lawn.theirs') }} <b>{{ show(path, theirs) }}</b></label
      >
    </fieldset>
    <UButton color="primary" :loading="busy" @click="emit('settle', new Set(takeTheirs))">{{
      t('lawn.saveItSo')
    }}</UButton>
  </section>
</template>

<style scoped>
.clash {
  padding: 14px 18px;
  display: grid;
  gap: 10px;
  justify-items: start;
  margin-bottom: 12px;
  border-color: var(--clay);
}
fieldset {
  display: flex;
  gap: 6px 28px;
  flex-wrap: wrap;
  width: 100%;
  border-top: 1px solid var(--rule);
  padding-top: 6px;
}
legend {
  font-weight: 650;
  float: left;
  width: 190px;
  padding: 4px 0;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 28px;
}
input {
  width: 18px;
  height: 18px;
  accent-color: var(--ink);
}
h2 {
  scroll-margin-top: 90px;
}
h2:focus {
  outline: none;
}
@media (max-width: 700px) {
  legend {
    float: none;
    width: auto;
  }
  label {
    min-height: 48px;
  }
}
</style>
