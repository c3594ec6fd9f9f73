<script setup lang="ts">
/** The session ended while something stood on the screen: sign in over it, and go on. */
const context = useContextStore()
const route = useRoute()

async function goOn(): Promise<void> {
  const [firm, person] = [context.firm?.name, context.person?.id]
  await context.load()
  context.signInAgain = false
  // What stands on the screen is of the one who left it.
  if (context.firm?.name !== firm || context.person?.id !== person) reloadNuxtApp({ path: '/lawns', force: true })
}
const enterDemo = computed(() => `/demo/enter?to=${encodeURIComponent(route.path)}`)
</script>

<template>
  <UModal
    v-model:open="context.signInAgain"
    :title="t('door.youAreSignedOut')"
    :description="t('door.signInAgainThen')"
  >
    <template #body>
      <p v-if="context.firm?.demo">
        {{ t('door.thePeopleOfThe') }} <a class="opens" :href="enterDemo">{{ t('door.enterTheDemoAgain') }}</a>
      </p>
      <SignInForm v-else :email="context.person?.email ?? ''" @done="goOn" />
    </template>
  </UModal>
</template>
