<script setup lang="ts">
import type { Station } from '#contract/station'

useHead({ title: t('firm.firm') })
const context = useContextStore()
const { data: stations } = await useAsyncData('stations', () => $fetch<Station[]>('/api/stations').catch(() => []))
</script>

<template>
  <div v-if="context.firm && context.person" class="firm">
    <header>
      <h1>{{ context.firm.name }}</h1>
      <span class="about">{{
        t('firm.youAreAnOwner', { name: context.person.name, isOwner: Boolean(context.isOwner) })
      }}</span>
    </header>
    <FirmSettingsForm
      :key="context.firm.version"
      :firm="context.firm"
      :stations="stations ?? []"
      :locked="!context.isOwner"
    />
    <aside>
      <section v-if="context.context?.leftOut.length" class="panel left-out" :aria-label="t('firm.leftOut')">
        <b>{{ t('firm.leftOutOfYour') }}</b>
        <ul>
          <li v-for="one in context.context.leftOut" :key="one.what">{{ one.what }}: {{ heard(one.why) }}.</li>
        </ul>
      </section>
      <OwnAccount :person="context.person" :firm-units="context.firm.units" :demo="context.firm.demo" />
      <PeopleList v-if="context.isOwner" :self="context.person.id" />
    </aside>
  </div>
</template>

<style scoped>
.firm {
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
  gap: 12px 26px;
  align-items: start;
}
header {
  grid-column: 1 / -1;
  display: flex;
  align-items: baseline;
  gap: 14px;
  flex-wrap: wrap;
  padding-bottom: 7px;
  border-bottom: 1.5px solid var(--ink);
}
.about {
  color: var(--ink-2);
}
aside {
  display: grid;
  gap: 18px;
}
.left-out {
  padding: 8px 12px;
}
@media (max-width: 900px) {
  .firm {
    grid-template-columns: minmax(0, 1fr);
  }
  header {
    order: -2;
  }
  aside {
    order: -1;
  }
}
</style>
