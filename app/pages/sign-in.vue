<script setup lang="ts">
definePageMeta({ layout: 'door' })
useHead({ title: t('door.signIn') })
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
    <h1>{{ t('door.signIn') }}</h1>
    <SignInForm @done="enter" />
    <p v-if="demo">
      {{ t('door.thisServerShowsA') }} <a class="opens" href="/demo/enter">{{ t('door.enterItWithoutA') }}</a>
    </p>
    <p class="small">
      {{ t('door.passwordLostAnOwner') }}
      <NuxtLink to="/sign-up" class="opens">{{ t('door.signItUp') }}</NuxtLink>
    </p>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 18px;
}
</style>
