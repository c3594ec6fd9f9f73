<script setup lang="ts">
import type { OpenSession } from '#contract/firm'
import { momentWords } from '~/utils/moments'

/** Where one is signed in; another browser is signed out from here. */
const { data: sessions, refresh } = await useAsyncData('own-sessions', () =>
  $fetch<OpenSession[]>('/api/me/sessions').catch(() => []),
)
const { busy, message, send } = useSend()
async function end(session: OpenSession): Promise<void> {
  await send(() => $fetch(`/api/me/sessions/${session.id}`, { method: 'DELETE' }))
  await refresh()
}
</script>

<template>
  <section :aria-label="t('firm.whereYouAreSigned')">
    <h3>{{ t('firm.signedIn') }}</h3>
    <ul>
      <li v-for="session in sessions ?? []" :key="session.id">
        <span class="who"
          ><b>{{ session.device }}</b
          ><i>{{
            t('firm.thisBrowserLastUsed', {
              hasHere: Boolean(session.here),
              seenAt: momentWords(session.seenAt),
              openedAt: momentWords(session.openedAt),
            })
          }}</i></span
        >
        <UButton
          v-if="!session.here"
          size="sm"
          variant="outline"
          :loading="busy"
          :aria-label="t('firm.signOutLastUsed', { device: session.device, seenAt: momentWords(session.seenAt) })"
          @click="end(session)"
          >{{ t('firm.signOutThere') }}</UButton
        >
      </li>
    </ul>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </section>
</template>

<style scoped>
h3 {
  font-weight: 650;
}
ul {
  max-height: 260px;
  overflow-y: auto;
}
li {
  display: flex;
  gap: 6px 14px;
  justify-content: space-between;
  align-items: center;
  flex-wrap: wrap;
  border-bottom: 1px solid var(--rule);
  padding: 5px 0;
}
.who {
  display: flex;
  flex-direction: column;
}
.who i {
  font-style: normal;
  color: var(--ink-2);
  font-size: 12.5px;
}
</style>
