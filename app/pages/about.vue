<script setup lang="ts">
import sourcesText from '../../docs/sources.md?raw'
import packageText from '../../package.json?raw'
import { sourcesIn } from '~/utils/sourceList'

useHead({ title: t('about.about') })
useSillStore().hangers = []
const { version, license } = JSON.parse(packageText) as { version: string; license: string }
const sources = sourcesIn(sourcesText)
</script>

<template>
  <div class="about">
    <h1>{{ t('about.upperSill', { version }) }}</h1>
    <p>
      {{ t('about.plansTheOverseedingAnd', { license }) }}
    </p>
    <p class="caution">
      {{ t('about.itHelpsToPlan') }}
    </p>
    <h2>{{ t('about.sources') }}</h2>
    <p class="small">
      {{ t('about.eachFigureOpensTo') }}
    </p>
    <dl>
      <template v-for="source in sources" :key="source.name">
        <dt>{{ source.name }}</dt>
        <dd>{{ source.about }}</dd>
      </template>
    </dl>
  </div>
</template>

<style scoped>
.about {
  display: grid;
  gap: 10px;
  max-width: 860px;
}
dl {
  display: grid;
  grid-template-columns: minmax(0, 220px) minmax(0, 1fr);
  gap: 6px 18px;
}
dt {
  font-weight: 650;
}
dt,
dd {
  border-bottom: 1px solid var(--rule);
  padding-bottom: 6px;
}
@media (max-width: 700px) {
  dl {
    grid-template-columns: 1fr;
  }
  dt {
    border: 0;
    padding: 0;
  }
}
</style>
