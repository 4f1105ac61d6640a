<script setup lang="ts">
import { reportHtml, reportMarkdown } from '~~/core/formats'
import type { LessonRecord, Plan } from '~~/core/lesson'
import type { Report } from '~~/core/reports'
import { fileNameOf } from '~~/core/wording'

/** A report on paper, and as a file: one HTML document, or Markdown. */
const PaperChart = defineAsyncComponent(() => import('~/components/charts/PaperChart.vue'))
const props = defineProps<{ report: Report; plan?: Plan; record?: LessonRecord }>()

async function saveHtml(): Promise<void> {
  const { svgOf } = await import('~/components/charts/pictureOf')
  const { plan, record, report } = props
  const surface = { big: false, dark: false, paper: false }
  const chart = plan && record ? svgOf(plan, record, surface, { width: 760, height: 380 }) : undefined
  saveFile(fileNameOf(report.title, 'html'), reportHtml(report, chart), 'text/html')
}
function saveMarkdown(): void {
  saveFile(fileNameOf(props.report.title, 'md'), reportMarkdown(props.report), 'text/markdown')
}
</script>

<template>
  <article class="report">
    <div class="screen-only row files">
      <button type="button" class="button small" @click="saveHtml">Save as HTML</button>
      <button type="button" class="button small" @click="saveMarkdown">Save as Markdown</button>
    </div>
    <header>
      <h1>{{ report.title }}</h1>
      <p>{{ report.under }}</p>
    </header>
    <p class="question">{{ report.question }}</p>
    <template v-for="(block, place) in report.blocks" :key="place">
      <h2 v-if="block.kind === 'heading'">{{ block.text }}</h2>
      <p v-else-if="block.kind === 'text'" class="text">{{ block.text }}</p>
      <dl v-else-if="block.kind === 'facts'">
        <template v-for="row in block.rows" :key="row.term">
          <dt>{{ row.term }}</dt>
          <dd>{{ row.text }}</dd>
        </template>
      </dl>
      <ul v-else-if="block.kind === 'list'">
        <li v-for="(item, at) in block.items" :key="at">{{ item }}</li>
      </ul>
      <table v-else-if="block.kind === 'table'" class="ruled">
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
      <div v-else-if="block.kind === 'chart' && plan && record" class="chart keep-together">
        <PaperChart :plan="plan" :record="record" />
      </div>
      <div v-else-if="block.kind === 'quote'" class="quote keep-together">
        <p>{{ block.text || ' ' }}</p>
        <small v-if="block.note">{{ block.note }}</small>
      </div>
    </template>
  </article>
</template>

<style scoped>
.report {
  font-size: 10.5pt;
  line-height: 1.35;
}
.report + .report {
  break-before: page;
}
.files {
  margin-bottom: 6mm;
}
header {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 6mm;
  border-bottom: 2px solid #000;
}
header p {
  flex: none;
}
h1 {
  font-size: 18pt;
}
.question {
  margin: 2.5mm 0;
  font-size: 13.5pt;
  font-weight: 700;
}
dl {
  display: grid;
  grid-template-columns: 34mm 1fr;
  gap: 0.6mm 3mm;
}
dt {
  font-weight: 700;
}
.ruled {
  margin: 2mm 0;
  font-family: var(--heading);
}
.ruled td,
.ruled th {
  padding: 0.7mm 1.5mm;
  color: #000;
  font-size: 10.5pt;
  vertical-align: top;
}
.text {
  margin: 1mm 0;
}
ul {
  padding-left: 5mm;
  list-style: disc;
}
.chart {
  margin: 2mm 0;
}
h2 {
  margin-top: 2mm;
  font-size: 12.5pt;
}
.quote {
  padding: 2mm 3mm;
  border: 1.5px solid #000;
  border-radius: 2mm;
}
.quote p {
  min-height: 8mm;
  font-size: 12pt;
  white-space: pre-wrap;
}
</style>
