<script setup lang="ts">
// Before anything is drawn: a page that turns away while it is set up may never be left.
definePageMeta({
  middleware: async ({ params, query }) => {
    const store = useLawnsStore()
    const id = String(params.id)
    await store.load(id)
    const step = store.byId(id)?.job.endedOn ? 'jobs' : 'look'
    return navigateTo({ path: `/lawns/${id}/${step}`, query }, { replace: true })
  },
})
</script>

<template>
  <div />
</template>
