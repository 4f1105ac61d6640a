<script setup lang="ts">
import WithPlan from '~/components/pieces/WithPlan.vue'
import { readingsOfGroup } from '~~/core/evidence'
import { reportHtml, reportMarkdown } from '~~/core/formats'
import { type LessonRecord, type Plan } from '~~/core/lesson'
import { forMeasure } from '~~/core/test'
import type { Report } from '~~/core/reports'
import { fileNameOf, spelledHeadings } from '~~/core/wording'
import OnePage from '~/components/print/OnePage.vue'
import { useCustoms } from '~/composables/customs'
import { saveFile } from '~/composables/saveFile'

/** A report on paper, and as a file: one HTML document, or Markdown. */
const PaperChart = defineAsyncComponent(() => import('~/components/charts/PaperChart.vue'))
const props = defineProps<{ report: Report; plan?: Plan; record?: LessonRecord }>()
const { customs } = useCustoms()
const report = computed(() => spelledHeadings(props.report, customs.value.english))

const pictures = computed(() => report.value.blocks.filter(({ kind }) => kind === 'chart').length)
const recordOf = (record: LessonRecord, group: string | undefined) =>
  group === undefined ? record : readingsOfGroup(record, group)

async function saveHtml(): Promise<void> {
  const { svgOf } = await import('~/components/charts/pictureOf')
  const surface = { big: false, dark: false, paper: false }
  const { plan, record } = props
  const chartOf = (measure: string | null, group?: string) =>
    plan && record && svgOf(forMeasure(plan, measure), recordOf(record, group), surface, { width: 760, height: 380 })
  saveFile(fileNameOf(report.value.title, 'html'), reportHtml(report.value, chartOf), 'text/html')
}
function saveMarkdown(): void {
  saveFile(fileNameOf(report.value.title, 'md'), reportMarkdown(report.value), 'text/markdown')
}
</script>

<template>
  <OnePage v-slot="{ high }" tag="article" :pictures="pictures" class="report leading-1.35">
    <div class="screen-only row files mb-6mm">
      <VBtn size="small" @click="saveHtml">Save as HTML</VBtn>
      <VBtn size="small" @click="saveMarkdown">Save as Markdown</VBtn>
    </div>
    <header>
      <h1>{{ report.title }}</h1>
      <p class="flex-none">{{ report.under }}</p>
    </header>
    <p class="question font-bold">{{ report.question }}</p>
    <template v-for="(block, place) in report.blocks" :key="place">
      <h2 v-if="block.kind === 'heading'">{{ block.text }}</h2>
      <p v-else-if="block.kind === 'text'" class="text">{{ block.text }}</p>
      <dl v-else-if="block.kind === 'facts'">
        <template v-for="row in block.rows" :key="row.term">
          <dt class="font-bold">{{ row.term }}</dt>
          <dd>{{ row.text }}</dd>
        </template>
      </dl>
      <ul v-else-if="block.kind === 'list'">
        <li v-for="(item, at) in block.items" :key="at">{{ item }}</li>
      </ul>
      <table v-else-if="block.kind === 'table'" class="ruled font-heading">
        <caption class="sr-only">
          {{
            block.caption
          }}
        </caption>
        <thead>
          <tr>
            <th v-for="(cell, at) in block.head" :key="at" scope="col" :class="{ figure: block.figures && at > 0 }">{{ cell }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, at) in block.rows" :key="at">
            <th scope="row">{{ row[0] }}</th>
            <td v-for="(cell, column) in row.slice(1)" :key="column" :class="{ figure: block.figures }">{{ cell }}</td>
          </tr>
        </tbody>
      </table>
      <div v-else-if="block.kind === 'chart' && plan && record" class="keep-together">
        <WithPlan :plan="forMeasure(plan, block.measure)"
          ><PaperChart :record="recordOf(record, block.group)" :width="680" :height="high"
        /></WithPlan>
      </div>
      <div v-else-if="block.kind === 'quote'" class="quote keep-together">
        <p class="said whitespace-pre-wrap">{{ block.text || ' ' }}</p>
        <small v-if="block.note">{{ block.note }}</small>
      </div>
    </template>
  </OnePage>
</template>

<style scoped>
h1 {
  font-size: 1.7em;
}
.question {
  margin: calc(2.5mm * var(--fit)) 0;
  font-size: 1.28em;
}
h2 {
  margin-top: calc(2mm * var(--fit));
  font-size: 1.2em;
}
.text,
.ruled,
.keep-together {
  margin: calc(1.5mm * var(--fit)) 0;
}
.report {
  font-size: max(9pt, calc(10.5pt * var(--fit)));
}
.report + .report {
  break-before: page;
}
header {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 6mm;
  border-bottom: 2px solid #000;
}
dl {
  display: grid;
  grid-template-columns: 34mm 1fr;
  gap: calc(0.6mm * var(--fit)) 3mm;
}
.ruled td,
.ruled th {
  padding: calc(0.7mm * var(--fit)) 1.5mm;
  color: #000;
  font-size: max(9pt, calc(10.5pt * var(--fit)));
  line-height: 1.2;
  vertical-align: top;
}
ul {
  padding-left: 5mm;
  list-style: disc;
}
.quote {
  padding: calc(2mm * var(--fit)) 3mm;
  border: 1.5px solid #000;
  border-radius: 2mm;
}
.said {
  min-height: calc(8mm * var(--fit));
  font-size: 1.15em;
}
</style>
