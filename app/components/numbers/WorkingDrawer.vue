<script setup lang="ts">
import { SOURCE_KINDS } from '#core/explain/working'

/** The ledger behind a number: result first, then the sum, then a check to be made on the ground. */
const store = useWorkingStore()
const { shown, other } = useUnits()
const working = computed(() => store.open)
const result = computed(() => working.value && shown(working.value.result))
/** The page beside it stays in use: another number opens its own working in the place of this one. */
const stays = (event: Event) => {
  event.preventDefault()
}
</script>

<template>
  <USlideover
    :open="working !== undefined"
    :title="t('numbers.working')"
    :modal="false"
    :overlay="false"
    :content="{ onInteractOutside: stays }"
    :ui="{
      content:
        'inset-y-auto right-5 top-[162px] bottom-auto w-[336px] max-h-[calc(100vh-180px)] max-sm:inset-x-0 max-sm:top-auto max-sm:bottom-0 max-sm:w-auto max-sm:max-h-[80vh]',
    }"
    @update:open="(open) => !open && store.close()"
  >
    <template v-if="working && result" #body>
      <div>
        <div class="top">
          <span class="hero num"
            >{{ result.value }}<span class="unit"> {{ result.unit }}</span></span
          >
          <div>
            <h3>{{ tell(working.title) }}</h3>
            <span class="small">{{ tell(working.formula) }}</span>
          </div>
        </div>
        <table>
          <tbody>
            <tr v-for="(line, i) in working.lines" :key="i" :class="{ sum: line.subtotal }">
              <td class="operator">{{ line.operator ?? '' }}</td>
              <td>
                {{ tell(line.what) }}
                <div v-if="line.source" class="small">
                  {{ tell(line.source.text) }} <i>({{ t(SOURCE_KINDS[line.source.kind]) }})</i>
                </div>
              </td>
              <td class="value">
                <span class="num">{{ shown(line.value).value }}</span>
                <div class="unit">{{ shown(line.value).unit }}</div>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="other(working.result)" class="small">
          {{ other(working.result) }}<template v-if="working.rounding">. {{ tell(working.rounding) }}</template>
        </p>
        <p v-if="working.fieldCheck" class="check">
          <b>{{ t('numbers.checkOnTheGround') }}</b> {{ tell(working.fieldCheck) }}
        </p>
      </div>
    </template>
  </USlideover>
</template>

<style scoped>
.top {
  display: flex;
  gap: 14px;
  align-items: center;
  padding-bottom: 10px;
  border-bottom: 1.5px solid var(--ink);
}
.hero {
  font-size: 36px;
  line-height: 1;
  white-space: nowrap;
}
.hero .unit {
  margin-left: 4px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 5px 4px;
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
  font-size: 12.5px;
  line-height: 1.3;
}
td .small {
  font-size: 12px;
}
.operator {
  width: 16px;
  font-size: 16px;
  line-height: 1;
}
.value {
  text-align: right;
  white-space: nowrap;
}
.value .num {
  font-size: 15px;
}
.value .unit {
  line-height: 1.1;
}
.sum td {
  border-bottom: 1.5px solid var(--ink);
  font-weight: 650;
}
.check {
  margin-top: 8px;
}
@media (max-width: 700px) {
  td {
    font-size: 14px;
  }
}
</style>
