<script setup lang="ts">
import { saving } from '~/utils/api'

/** Says that this is the demo, for whom it is entered, and steps its clock; the views that are open follow. */
const context = useContextStore()
const sill = useSillStore()
const route = useRoute()
const message = ref('')
const busy = ref(0)
const other = computed(() => (context.isOwner ? 'technician' : 'owner'))

async function step(days: number): Promise<void> {
  if (busy.value) return
  busy.value = days
  message.value = ''
  const saved = await saving(() => context.step(days))
  if (saved.ok) await sill.show(sill.lawnId ?? null)
  else message.value = saved.problem.message
  busy.value = 0
}
</script>

<template>
  <footer v-if="context.firm?.demo" class="demo">
    <span
      ><b>{{ t('shell.demo') }}</b>
      {{ t('shell.youAreOfAn', { name: context.person?.name, role: context.person?.role, name2: context.firm.name }) }}
      <a class="opens" :href="`/demo/enter?as=${other}&to=${route.path}`">{{
        t('shell.workAsIts', { other })
      }}</a></span
    >
    <span class="clock">
      {{ t('shell.clock') }} <b class="num">{{ longDay(context.today) }}</b>
      <UButton size="sm" variant="outline" :loading="busy === 1" :disabled="busy !== 0" @click="step(1)">{{
        t('shell.n1Day')
      }}</UButton>
      <UButton size="sm" variant="outline" :loading="busy === 7" :disabled="busy !== 0" @click="step(7)">{{
        t('shell.n1Week')
      }}</UButton>
    </span>
    <span v-if="message" class="problem" role="alert">{{ message }}</span>
  </footer>
</template>

<style scoped>
.demo {
  margin-top: auto;
  padding: 10px 0 2px;
  display: flex;
  gap: 8px 20px;
  align-items: center;
  justify-content: space-between;
  flex-wrap: wrap;
  color: var(--ink-2);
  font-size: 12.5px;
  border-top: 1px solid var(--rule);
}
.clock {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.clock b {
  color: var(--ink);
  font-size: 14px;
}
@media print {
  .demo {
    display: none;
  }
}
</style>
