<script setup lang="ts">
import sourcesText from '../../docs/sources.md?raw'
import packageText from '../../package.json?raw'
import { sourcesIn } from '~/utils/sourceList'

useHead({ title: 'About' })
useSillStore().hangers = []
const { version, license } = JSON.parse(packageText) as { version: string; license: string }
const sources = sourcesIn(sourcesText)
</script>

<template>
  <div class="about">
    <h1>Upper Sill {{ version }}</h1>
    <p>
      Plans the overseeding and renovation of existing lawns by soil temperature and season. Licence: {{ license }}.
      Third parties' notices lie beside the program, in THIRD_PARTY_NOTICES.md.
    </p>
    <p class="caution">
      It helps to plan; it does not replace the label, local code or a licence. Label and law come first, whatever
      stands on a screen.
    </p>
    <h2>Sources</h2>
    <p class="small">
      Each figure opens to its working, which names one of these. "From memory" was not looked up for this program;
      planning figures can be changed under Firm.
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
