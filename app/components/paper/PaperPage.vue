<script setup lang="ts">
import { isRight, type Paper } from '~/utils/paper'
import { spoken } from '~/utils/words'

/** A page for a client: black on white, as it prints, with its PDF. The view it stands in may have a print button of its own. */
const props = defineProps<{ paper: Paper; name: string; label?: string; lang?: string; printsElsewhere?: boolean }>()
const context = useContextStore()
const busy = ref(false)
const failed = ref(false)
async function savePdf(): Promise<void> {
  busy.value = true
  failed.value = false
  try {
    saveFile(await paperPdf(props.paper, context.units === 'us'), `${props.name}.pdf`)
  } catch {
    failed.value = true
  }
  busy.value = false
}
const print = () => window.print()
</script>

<template>
  <section class="paper" :lang="lang" :aria-label="label ?? paper.title">
    <header>
      <h2>{{ paper.title }}</h2>
      <span class="screen-only" :lang="spoken">
        <slot />
        <UButton v-if="!printsElsewhere" size="sm" variant="outline" icon="i-lucide-printer" @click="print">{{
          t('inspection.print')
        }}</UButton>
        <UButton size="sm" variant="outline" icon="i-lucide-file-down" :loading="busy" @click="savePdf">{{
          t('inspection.pdf')
        }}</UButton>
      </span>
    </header>
    <p v-if="failed" class="problem screen-only" role="alert">{{ t('inspection.noPdf') }}</p>
    <template v-for="(block, i) in paper.blocks" :key="i">
      <h3 v-if="block.kind === 'heading'">{{ block.text }}</h3>
      <p v-else-if="block.kind === 'text'" :class="block.as">{{ block.text }}</p>
      <ul v-else-if="block.kind === 'list'">
        <li v-for="item in block.items" :key="item">{{ item }}</li>
      </ul>
      <table v-else-if="block.kind === 'table'" class="lines" :aria-label="block.name">
        <thead>
          <tr>
            <th
              v-for="(text, column) in block.head"
              :key="column"
              scope="col"
              :class="{ right: isRight(block, column) }"
            >
              {{ text }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, r) in block.rows" :key="r">
            <td v-for="(text, column) in row" :key="column" :class="{ right: isRight(block, column) }">{{ text }}</td>
          </tr>
        </tbody>
      </table>
      <table v-else-if="block.kind === 'boxes'" class="boxes">
        <thead>
          <tr>
            <td />
            <th v-for="text in block.columns" :key="text" scope="col">{{ text }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in block.rows" :key="row">
            <th scope="row">{{ row }}</th>
            <td v-for="text in block.columns" :key="text"><i /></td>
          </tr>
        </tbody>
      </table>
      <div v-else class="pictures">
        <figure v-for="picture in block.pictures" :key="picture.src">
          <img :src="picture.src" :alt="picture.says" />
          <figcaption>{{ picture.says }}</figcaption>
        </figure>
      </div>
    </template>
  </section>
</template>

<style scoped>
.paper {
  background: white;
  color: black;
  border: 1.5px solid var(--ink);
  padding: 12px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 7px;
  font-size: 13px;
}
header,
header span {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 6px;
}
.small {
  color: black;
}
.strong {
  font-weight: 650;
}
h3 {
  margin-top: 6px;
}
ul {
  list-style: disc;
  padding-left: 18px;
}
.lines {
  width: 100%;
  border-collapse: collapse;
}
.lines :is(th, td) {
  border-bottom: 1px solid black;
  padding: 3px 8px 3px 0;
  text-align: left;
  vertical-align: top;
}
.lines .right {
  text-align: right;
  padding-right: 24px;
}
.boxes {
  justify-self: start;
}
.boxes th {
  font-weight: 600;
  font-size: 11px;
  padding: 0 1px;
  text-align: left;
  white-space: nowrap;
}
.boxes i {
  display: block;
  width: 11px;
  height: 11px;
  border: 1px solid black;
  margin: 1px;
}
.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
figure {
  flex: 1 1 200px;
  max-width: 320px;
  margin: 0;
}
figure img {
  width: 100%;
  border: 1px solid black;
}
@media (max-width: 700px) {
  header button {
    min-height: 48px;
  }
}
@media print {
  .screen-only {
    display: none;
  }
  .paper {
    border: 0;
    font-size: 11pt;
    gap: 7pt;
    padding: 0;
  }
  .boxes i {
    width: 14pt;
    height: 14pt;
  }
}
</style>
