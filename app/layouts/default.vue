<script setup lang="ts">
import type { Hanger } from '~/utils/sillScale'

const context = useContextStore()
const working = useWorkingStore()
const hangers = useState<Hanger[]>('hangers', () => [])
await useAsyncData('context', async () => {
  await context.load()
  return true
})
const route = useRoute()
const sill = useSillStore()
/** The ledge shows the lawn in view, and the home station everywhere else. */
const inView = computed(() => (typeof route.params.id === 'string' ? route.params.id : null))
await useAsyncData('sill', async () => {
  if (sill.lawnId !== inView.value) await sill.show(inView.value)
  return true
})
watch(inView, (id) => sill.show(id))
watch(() => route.fullPath, () => working.close())
</script>

<template>
  <div class="house">
    <TheSill :hangers="hangers" />
    <div class="floor">
      <TheRail />
      <main class="page">
        <p v-if="context.problem" class="problem" role="alert">
          <b>{{ context.problem.message }}</b>
          <UButton color="primary" variant="outline" class="ml-4" @click="reloadNuxtApp({ force: true })">Try again</UButton>
        </p>
        <slot />
        <footer v-if="context.context?.demo" class="demo small">Demo: {{ context.context.firm.name }}, an invented firm. Its clock stands at {{ context.today }}; its station is simulated.</footer>
      </main>
    </div>
    <WorkingDrawer />
  </div>
</template>

<style scoped>
.house { min-height: 100vh; display: flex; flex-direction: column; }
.floor { display: flex; flex: 1; margin-top: -26px; }
.page { flex: 1; min-width: 0; padding: 26px 20px 12px; display: flex; flex-direction: column; background: transparent; }
.floor > :first-child { margin-top: 2px; padding-top: 24px; }
.demo { margin-top: auto; padding-top: 14px; color: var(--ink-3); }
@media (max-width: 700px) {
  .floor { margin-top: 0; }
  .page { padding: 12px 16px 84px; }
  .floor > :first-child { margin-top: 0; padding-top: 0; }
}
</style>
