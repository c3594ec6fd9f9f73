<script setup lang="ts">
import { useLocalStorage, useMediaQuery } from '@vueuse/core'
import { PLACES } from '~/utils/places'

const context = useContextStore()
const working = useWorkingStore()
const route = useRoute()
const sill = useSillStore()
/** The ledge shows the lawn in view, and the home station everywhere else. */
const inView = computed(() => (typeof route.params.id === 'string' ? route.params.id : null))
// The page does not wait for the season; the ledge says that it is being worked out.
watch(
  inView,
  (id) => {
    if (sill.lawnId !== id) void sill.show(id, typeof route.query.job === 'string' ? route.query.job : undefined)
  },
  { immediate: true },
)
watch(
  () => route.fullPath,
  () => working.close(),
)

/** One line instead of the whole ledge: chosen by hand, and on a phone in Do until it is touched. */
const chosenSlim = useLocalStorage<boolean>('sill-slim', false)
const narrow = useMediaQuery('(max-width: 700px)')
const touched = ref(false)
watch(
  () => route.path,
  () => {
    touched.value = false
  },
)
const slim = computed({
  get: () => (narrow.value && route.path.endsWith('/do') ? !touched.value : chosenSlim.value),
  set: (wanted) => {
    if (narrow.value && route.path.endsWith('/do')) touched.value = !wanted
    else chosenSlim.value = wanted
  },
})

const keysOpen = ref(false)
const noteOpen = ref(false)
const keysEver = useEver(() => keysOpen.value)
const noteEver = useEver(() => noteOpen.value)
const workingEver = useEver(() => working.open !== undefined)
const signInEver = useEver(() => context.signInAgain)
function openFocusedWorking(): void {
  const focused = document.activeElement
  const number = focused?.matches('.opens') ? focused : focused?.querySelector('.opens')
  if (number instanceof HTMLElement) number.click()
}
useKeys({
  ...Object.fromEntries(PLACES.map(({ key, to }) => [key, () => void navigateTo(to)])),
  '?': () => {
    keysOpen.value = true
  },
  n: () => {
    noteOpen.value = sill.data !== undefined
  },
  w: openFocusedWorking,
  l: () => {
    slim.value = !slim.value
  },
})
</script>

<template>
  <div class="house" :style="{ '--ledge': slim ? '34px' : '124px' }">
    <a class="skip" href="#page">{{ t('shell.skipToThePage') }}</a>
    <TheSill :hangers="sill.hangers" :slim @slim="slim = $event" />
    <div class="floor">
      <TheRail @keys="keysOpen = true" @note="noteOpen = sill.data !== undefined" />
      <main id="page" class="page" tabindex="-1">
        <p v-if="context.problem && context.problem.code !== 'signed_out'" class="problem" role="alert">
          <b>{{ context.problem.message }}</b>
          <UButton color="primary" variant="outline" class="ml-4" @click="reloadNuxtApp({ force: true })">{{
            t('shell.tryAgain')
          }}</UButton>
        </p>
        <WaitingBar />
        <slot />
        <DemoBar />
      </main>
    </div>
    <LazyWorkingDrawer v-if="workingEver" />
    <LazyKeyList v-if="keysEver" v-model="keysOpen" />
    <LazyNoteReading v-if="noteEver" v-model="noteOpen" />
    <LazySignInAgain v-if="signInEver" />
  </div>
</template>

<style scoped>
.skip {
  position: absolute;
  left: 8px;
  top: -60px;
  z-index: 60;
  padding: 10px 14px;
  background: var(--ink);
  color: #fbfbf5;
  font-weight: 600;
}
.skip:focus {
  top: 8px;
}
.page:focus {
  outline: none;
}
.house {
  min-height: 100vh;
  display: flex;
  flex-direction: column;
}
.floor {
  display: flex;
  flex: 1;
  margin-top: -26px;
}
.page {
  flex: 1;
  min-width: 0;
  padding: 26px 20px 12px;
  display: flex;
  flex-direction: column;
  background: transparent;
}
.page > :deep(*:nth-last-child(2)) {
  margin-bottom: 18px;
}
.floor > :first-child {
  margin-top: 2px;
  padding-top: 24px;
}
@media (max-width: 700px) {
  .floor {
    margin-top: 0;
  }
  .page {
    padding: 12px 16px 84px;
  }
  .floor > :first-child {
    margin-top: 0;
    padding-top: 0;
  }
}
@media print {
  .floor {
    margin-top: 0;
  }
  .page {
    padding: 0;
  }
}
</style>
