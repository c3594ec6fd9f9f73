<script setup lang="ts">
import type { Task } from '#core/job/schedule/schedule'

/** What a task is: its name and stand, how it is set here, why it is done, and what can hurt. */
defineProps<{ task: Task }>()
const help = ref(false)
const STANDS = { go: t('work.go'), wait: t('work.wait'), hold: t('work.hold') } as const
</script>

<template>
  <div class="work">
    <h3>
      <span class="n">{{ task.number }}</span> {{ tell(task.name) }}
      <span v-if="!task.done" class="stand" :class="task.stand">{{ STANDS[task.stand] }}</span>
      <button
        type="button"
        class="why"
        :aria-expanded="help"
        :aria-label="t('work.why', { name: task.name })"
        @click="help = !help"
      >
        {{ t('work.why2') }}
      </button>
    </h3>
    <PhraseText :phrase="task.settings" class="settings" />
    <div v-if="help" class="help small">
      {{ tell(task.operation.why)
      }}<template v-if="task.operation.check">
        <b>{{ t('work.beforeGoingOn') }}</b> {{ tell(task.operation.check) }}</template
      ><template v-if="task.operation.alsoCalled">
        {{ t('work.alsoCalled', { alsoCalled: task.operation.alsoCalled }) }}</template
      >
    </div>
    <p v-if="task.operation.caution && !task.done" class="hurt small">
      <UIcon name="i-lucide-triangle-alert" class="sign" :aria-label="t('work.caution')" />{{
        tell(task.operation.caution)
      }}
    </p>
  </div>
</template>

<style scoped>
h3 {
  display: flex;
  gap: 8px;
  align-items: baseline;
  flex-wrap: wrap;
}
.n {
  color: var(--ink-3);
  font-weight: 400;
}
.stand {
  font:
    650 12px 'Archivo Variable',
    sans-serif;
  letter-spacing: 0;
  border: 1px solid currentcolor;
  padding: 0 6px;
  border-radius: 2px;
}
.go {
  color: var(--moss);
}
.wait {
  color: var(--ink-2);
}
.hold {
  color: #fbfbf5;
  background: var(--ink);
  border-color: var(--ink);
}
.why {
  font:
    400 12px 'Archivo Variable',
    sans-serif;
  letter-spacing: 0;
  color: var(--ink-2);
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  cursor: pointer;
  min-height: 24px;
  min-width: 30px;
}
.settings {
  font-size: 12.5px;
  line-height: 1.5;
}
.help {
  padding-top: 3px;
}
.hurt {
  margin-top: 3px;
  font-size: 12px;
  display: flex;
  gap: 5px;
}
.sign {
  color: var(--clay);
  width: 14px;
  height: 14px;
  flex: none;
  margin-top: 2px;
}
@media (max-width: 900px) {
  .settings {
    font-size: 15px;
  }
  .hurt,
  .help {
    font-size: 13.5px;
  }
  .why {
    min-height: 48px;
    min-width: 48px;
  }
}
@media print {
  .why,
  .stand {
    display: none;
  }
  h3 {
    font-size: 10pt;
    line-height: 1.1;
  }
  .settings,
  .hurt,
  .help {
    font-size: 8pt;
    line-height: 1.2;
    margin-block: 0;
  }
}
</style>
