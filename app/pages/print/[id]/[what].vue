<script setup lang="ts">
import { PRINTOUT_NAMES, PRINTOUTS, type PrintoutName } from '~/composables/printouts'
import { usePrintedLesson } from '~/composables/printedLesson'
import { sheets, told, WITH_CUPBOARD } from '~/components/print/sheets'
import MadeUpMark from '~/components/pieces/MadeUpMark.vue'
import { lessonName } from '~~/core/wording'

/** A printout: shown as it will look, with one button that prints it. */
const route = useRoute()
const what = computed(() => PRINTOUT_NAMES.find((one) => one === route.params.what) ?? 'trays')
const { plan, record, own, school, code, madeUp, trouble } = usePrintedLesson(() => WITH_CUPBOARD.includes(what.value))
const more = computed(() =>
  told(what.value, {
    record: record.value,
    own: own.value,
    school: school.value,
    code: code.value,
    squares: Number(route.query.squares) || undefined,
  }),
)
/** Posters have sheets of their own. */
const SHEETS: Partial<Record<PrintoutName, string>> = {
  'poster-a3': '@page { size: A3 portrait; margin: 12mm; }',
  'poster-4a4': '@page { size: A4 portrait; margin: 8mm; }',
}
useHead({
  style: () => (SHEETS[what.value] === undefined ? [] : [SHEETS[what.value]!]),
  title: () => `${PRINTOUTS[what.value].name} · ${lessonName(plan.value?.title)}`,
})

const print = () => window.print()
</script>

<template>
  <main class="paper">
    <div class="screen-only row bar">
      <QuietBtn :to="`/lesson/${$route.params.id}/${PRINTOUTS[what].from}`">Back to the lesson</QuietBtn>
      <MainBtn @click="print">Print</MainBtn>
      <span class="hint">A4 or Letter, made for black and white. The browser can also save it as PDF.</span>
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <MadeUpMark v-if="madeUp" />
    <component :is="sheets[what]" v-if="plan" v-bind="more" />
  </main>
</template>
