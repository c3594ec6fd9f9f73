<script setup lang="ts">
/** One thing that goes on the van: how much, the settings it follows from, and how it is packed. */
defineProps<{ title: string }>()
</script>

<template>
  <section class="task">
    <div class="stub">
      <h2>{{ title }}</h2>
      <slot name="stub" />
    </div>
    <div class="fields"><slot /></div>
    <div v-if="$slots.load" class="load"><slot name="load" /></div>
  </section>
</template>

<style scoped>
.task {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr) 320px;
  background: var(--lime);
  border: 1px solid var(--rule-2);
}
.stub {
  padding: 12px 14px;
  display: grid;
  gap: 5px;
  align-content: start;
  border-right: 1.5px dashed var(--rule-2);
}
.stub :slotted(.hero) {
  font:
    650 26px/1.1 'Besley Variable',
    serif;
}
.fields {
  padding: 12px 16px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: 8px 14px;
  align-content: start;
}
.fields :slotted(.wide) {
  grid-column: 1 / -1;
}
.load {
  padding: 12px 14px;
  border-left: 1px solid var(--rule);
  display: grid;
  gap: 7px;
  align-content: start;
}
.load :slotted(button) {
  justify-self: start;
}
@media (max-width: 1000px) {
  .task {
    grid-template-columns: 1fr;
  }
  .stub {
    border-right: 0;
    border-bottom: 1.5px dashed var(--rule-2);
  }
  .load {
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
}
</style>
