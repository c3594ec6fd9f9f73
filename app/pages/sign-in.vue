<script setup lang="ts">
definePageMeta({ layout: 'door' })
useHead({ title: 'Sign in' })
const route = useRoute()
const context = useContextStore()

/** Only a path within this server is gone on to. */
const next = computed(() => {
  const to = String(route.query.to ?? '')
  return /^\/(?![/\\])/.test(to) ? to : '/lawns'
})
const demo = ref(false)
onMounted(async () => {
  if (!context.context) await context.load()
  demo.value = context.problem?.code === 'enter_demo'
})
async function enter(): Promise<void> {
  await context.load()
  await navigateTo(next.value)
}
</script>

<template>
  <div class="page">
    <h1>Sign in</h1>
    <SignInForm @done="enter" />
    <p v-if="demo">
      This server shows a demo, an invented firm: <a class="opens" href="/demo/enter">enter it without a password</a>
    </p>
    <p class="small">
      Password lost? An owner of your firm makes you a link under Firm, People. A new firm?
      <NuxtLink to="/sign-up" class="opens">Sign it up</NuxtLink>
    </p>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 18px;
}
</style>
