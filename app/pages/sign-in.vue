<script setup lang="ts">
definePageMeta({ layout: 'door' })
useHead({ title: 'Sign in, Upper Sill' })
const route = useRoute()
const context = useContextStore()

/** Only a path within this server is gone on to. */
const next = computed(() => {
  const to = String(route.query.to ?? '')
  return /^\/(?![/\\])/.test(to) ? to : '/lawns'
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
    <p class="small">Password lost? An owner of your firm makes you a link under Firm, People. A new firm? <NuxtLink to="/sign-up" class="opens">Sign it up</NuxtLink></p>
  </div>
</template>

<style scoped>
.page { display: grid; gap: 18px; }
</style>
