<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { useLocalStorage } from '@vueuse/core'
import { gapDrawing } from '~~/core/charts'
import { surerBy, type Evidence } from '~~/core/evidence'
import { type LessonRecord } from '~~/core/lesson'
import {
  childSentence,
  DEPTH_NAMES,
  DEPTHS,
  gapSentence,
  GRADE_NAMES,
  gradeFigure,
  modelLines,
  neighbourWords,
  overlapSentence,
  pairWords,
  surerSentence,
  sureSentences,
  type Depth,
} from '~~/core/wording'
import { testOf } from '~~/core/test'
import GapDrawing from '~/components/results/GapDrawing.vue'
import PickOne from '~/forms/PickOne.vue'
import { useCustoms } from '~/composables/customs'
import { useSecondLook } from '~/stores/secondLook'

/** How sure, in three depths: do the dots overlap; the gap in wobbles; the model and its figures. And what would make it surer. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; evidence: Evidence }>()
const look = useSecondLook()
const { say } = useCustoms()
const depth = useLocalStorage<Depth>('results-depth', 'class')
const drawing = computed(() => gapDrawing(plan.value, props.record.readings, props.evidence))
const surer = computed(() => surerBy(plan.value, props.evidence))
const neighbours = computed(() => props.evidence.neighbours.map((pair) => neighbourWords(plan.value, pair, props.evidence)))
const levels = computed(() => testOf(plan.value).way.weighsTwo && props.evidence.neighbours.some(({ level }) => level > 0))
const model = computed(() => modelLines(plan.value, props.evidence))
</script>

<template>
  <section aria-label="How sure, explained">
    <PickOne
      v-model="depth"
      class="depths"
      tiles
      label="Explained"
      :options="DEPTHS.map((one) => ({ value: one, title: DEPTH_NAMES[one] }))"
    />

    <template v-if="depth === 'child'">
      <p class="large font-heading text-large leading-1.4">{{ childSentence(plan, evidence) }}</p>
      <p class="large font-heading text-large leading-1.4">{{ overlapSentence(plan, evidence) }}</p>
    </template>
    <ul v-else-if="depth === 'class'" class="points">
      <li v-if="evidence.spread">{{ gapSentence(plan, evidence.spread) }}</li>
      <li v-if="evidence.lead && evidence.order.length > 2">
        {{ gapSentence(plan, evidence.lead) }} That gap alone: {{ GRADE_NAMES[evidence.lead.grade].toLowerCase() }}.
      </li>
      <li v-for="sentence in sureSentences(plan, evidence).slice(1)" :key="sentence">{{ sentence }}</li>
      <li>
        {{ gradeFigure(evidence) }}
        <template v-if="evidence.wobble !== undefined">
          The wobble is how far a group’s readings of the same thing lie apart.
        </template>
      </li>
    </ul>
    <div v-else class="two">
      <dl>
        <template v-for="line in model.figures" :key="line.term">
          <dt class="text-soft">{{ line.term }}</dt>
          <dd>{{ line.value }}</dd>
        </template>
      </dl>
      <div>
        <h4 class="text-body">Taken for granted</h4>
        <ul>
          <li v-for="line in model.assumptions" :key="line">{{ line }}</li>
        </ul>
      </div>
    </div>

    <GapDrawing v-if="drawing" class="drawing" :evidence="evidence" :drawing="drawing" />

    <table v-if="depth === 'teacher' && evidence.pairs.length > 0" class="ruled">
      <thead>
        <tr>
          <th scope="col">Pair</th>
          <th scope="col" class="figure">Apart</th>
          <th scope="col" class="figure">95 % interval</th>
          <th scope="col" class="figure">p (Holm)</th>
          <th scope="col">Judged by</th>
          <th scope="col">How sure</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="pair in evidence.pairs.map((one) => pairWords(plan, one))" :key="pair.pair">
          <td>{{ pair.pair }}</td>
          <td class="figure">{{ pair.apart }}</td>
          <td class="figure">{{ pair.interval }}</td>
          <td class="figure">{{ pair.p }}</td>
          <td>{{ pair.against }}</td>
          <td>{{ pair.grade }}</td>
        </tr>
      </tbody>
    </table>

    <table v-if="depth !== 'child' && evidence.neighbours.length > 0" class="ruled">
      <caption class="sr-only">
        Which can be told apart
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ say('Neighbours') }} in the order</th>
          <th scope="col">Who put them so</th>
          <th scope="col">Can we tell?</th>
          <th scope="col">What would settle it</th>
          <th v-if="depth === 'teacher'" scope="col" class="figure">p (sign test, Holm)</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in neighbours" :key="one.pair">
          <td>{{ one.pair }}</td>
          <td>{{ one.wins }}</td>
          <td>
            <strong>{{ one.told }}</strong>
          </td>
          <td>{{ one.further || '–' }}</td>
          <td v-if="depth === 'teacher'" class="figure">{{ one.p }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="levels" class="hint">Level means: closer than this balance can tell. It does not say that two weigh the same.</p>

    <div v-if="surer.length > 0" class="surer mt-10px py-near px-wide edge-left-4-brass-mark bg-brass-light">
      <h4 class="text-body">What would make it surer</h4>
      <ul>
        <li v-for="one in surer" :key="one.code">
          {{ surerSentence(one) }}
          <VBtn v-if="one.code === 'fill-places'" size="small" @click="look.apply({ code: 'leave-gaps' })"> They stay empty </VBtn>
          <VBtn v-if="one.code === 'fresh-things'" size="small" @click="look.apply({ code: 'take-fresh' })"> Plan it </VBtn>
          <VBtn v-if="one.code === 'more-repeats'" size="small" @click="look.apply({ code: 'set-repeats', repeats: one.repeats })">
            Plan {{ one.extra === 1 ? 'it' : 'them' }}
          </VBtn>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.depths {
  margin-bottom: 8px;
}
.points li {
  padding: var(--gap-hair) 0;
}
.two {
  display: grid;
  grid-template-columns: 1.2fr 1fr;
  gap: var(--gap-block);
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: var(--gap-hair) var(--gap-wide);
  align-content: start;
}
.drawing {
  display: block;
  margin: 10px 0;
}
.surer li {
  padding: var(--gap-tight) 0;
}
</style>
