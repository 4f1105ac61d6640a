<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'
import { chooseChange } from '~~/core/fairness'
import {
  changedFactor,
  comingFactors,
  isEachChild,
  keptFactors,
  newFactor,
  seriesFactor,
  type Factor,
  type Measure,
} from '~~/core/lesson'
import { measuredCards, withFirstMeasured, withMeasuredToo, withoutMeasured } from '~~/core/test'
import { newCard } from '~~/core/measuring'
import { trayWords } from '~~/core/wording'
import FactorCard from '~/components/plan/FactorCard.vue'
import MeasureCard from '~/components/plan/MeasureCard.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import { useDragging } from '~/composables/dragging'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** Three trays and what is not in one yet. Exactly one card lies in Change and one in Measure; every other factor is kept the same. */
const emit = defineEmits<{ look: [measure: string] }>()
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const changed = computed(() => changedFactor(plan.value))
const measured = computed(() => measuredCards(plan.value))
const spareMeasures = computed(() => plan.value.measures.filter((measure) => !measured.value.includes(measure)))

// What lies in a tray follows from the plan; a drop only says which card is the chosen one, or in which order the others lie.
const inChange = tray<Factor>(() => (changed.value ? [changed.value] : []), chooseChanged)
const inKeep = tray<Factor>(() => keptFactors(plan.value), reorderFactors)
const alone = computed(() => isEachChild(plan.value))
const second = computed(() => seriesFactor(plan.value))
const coming = computed(() => comingFactors(plan.value))
const inHeap = tray<Factor>(() => (changed.value ? [] : plan.value.factors), reorderFactors)
const inMeasure = tray<Measure>(() => measured.value, chooseMeasured)
const inMeasureHeap = tray<Measure>(
  () => spareMeasures.value,
  () => undefined,
)

function tray<Card>(get: () => Card[], set: (cards: Card[]) => void) {
  return computed({ get, set })
}

function chooseChanged(cards: Factor[]): void {
  const id = cards.find((card) => card.id !== plan.value.changed)?.id ?? cards[0]?.id ?? null
  if (id === null) lesson.edit((draft) => (draft.changed = null))
  else if (id !== plan.value.changed) lesson.replace(chooseChange(plan.value, id))
}

/** A card that is dropped takes the place of the only one, or lies down beside several. */
function chooseMeasured(cards: Measure[]): void {
  const before = measured.value.map(({ id }) => id)
  const dropped = cards.find(({ id }) => !before.includes(id))
  const gone = before.find((id) => !cards.some((card) => card.id === id))
  if (dropped) lesson.replace((before.length > 1 ? withMeasuredToo : withFirstMeasured)(plan.value, dropped.id))
  else if (gone !== undefined) lesson.replace(withoutMeasured(plan.value, gone))
  else if (cards[0] && cards[0].id !== before[0]) lesson.replace(withFirstMeasured(plan.value, cards[0].id))
}

function reorderFactors(cards: Factor[]): void {
  const others = keptFactors(plan.value)
  if (cards.length !== others.length) return
  const order = cards.map((card) => card.id)
  lesson.edit((draft) => draft.factors.sort((a, b) => order.indexOf(a.id) - order.indexOf(b.id)))
}

function addFactor(name: string): void {
  lesson.edit((draft) => draft.factors.push(newFactor(newId(), name)))
}

function addMeasure(name: string): void {
  const id = newId()
  lesson.edit((draft) => {
    draft.measures.push(newCard(draft.kind, id, name))
    draft.measured ??= id
  })
}

const words = computed(() => trayWords(plan.value.kind))
const dragging = useDragging()
</script>

<template>
  <div>
    <div class="trays" data-target="trays">
      <section class="tray" aria-labelledby="tray-change">
        <header>
          <h3 id="tray-change">{{ words.change.name }}</h3>
          <span class="flex-1 text-soft text-small text-right">{{ second ? 'two things' : words.change.hint }}</span>
        </header>
        <VueDraggable
          v-model="inChange"
          group="factors"
          v-bind="dragging"
          class="cards"
          :class="{ with: second || coming.length > 0 }"
          data-tray="change"
        >
          <FactorCard v-for="factor in inChange" :key="factor.id" :factor="factor" tray="change" />
        </VueDraggable>
        <FactorCard v-if="second && changed" :factor="second" tray="second" class="mt-near" />
        <FactorCard v-for="factor in coming" :key="factor.id" :factor="factor" tray="coming" class="mt-near" />
        <p v-if="alone && !changed" class="hint empty">
          Each child measures the same thing. A card here would make it a comparison.
        </p>
        <p v-else-if="!changed" class="hint empty">
          Drag one card here, or press
          <kbd>c</kbd>
          on its dots.
        </p>
      </section>
      <section class="tray" aria-labelledby="tray-measure">
        <header>
          <h3 id="tray-measure">{{ words.measure.name }}</h3>
          <span class="flex-1 text-soft text-small text-right">{{
            measured.length > 1 ? `${measured.length} things` : words.measure.hint
          }}</span>
        </header>
        <VueDraggable v-model="inMeasure" group="measures" v-bind="dragging" class="cards" data-tray="measure">
          <MeasureCard v-for="measure in inMeasure" :key="measure.id" :measure="measure" chosen @look="emit('look', measure.id)" />
        </VueDraggable>
        <p v-if="measured.length === 0" class="hint empty">For example: {{ words.measure.example }}.</p>
        <QuickAdd
          class="add"
          target="new-measure"
          label="Add a thing we could measure"
          :placeholder="measured.length > 0 ? '+ another' : '+ add a card'"
          @add="addMeasure"
        />
      </section>
      <section class="tray keep" aria-labelledby="tray-keep">
        <header>
          <h3 id="tray-keep">{{ words.keep.name }}</h3>
          <span class="flex-1 text-soft text-small text-right">{{ words.keep.hint }}</span>
        </header>
        <VueDraggable v-model="inKeep" group="factors" v-bind="dragging" class="cards two" data-tray="keep">
          <FactorCard v-for="factor in inKeep" :key="factor.id" :factor="factor" tray="keep" />
        </VueDraggable>
        <p v-if="!changed && !alone" class="hint empty">{{ words.keep.empty }}</p>
        <QuickAdd
          v-else
          class="add"
          is-new
          target="new-factor"
          label="Add a thing to keep the same"
          placeholder="+ another thing to keep the same"
          @add="addFactor"
        />
      </section>
    </div>

    <section v-if="(!changed && !alone) || spareMeasures.length > 0" class="heap" aria-label="Cards not in a tray yet">
      <template v-if="!changed && !alone">
        <h3 class="text-body">Things we could change</h3>
        <VueDraggable v-model="inHeap" group="factors" v-bind="dragging" class="loose" data-tray="heap">
          <FactorCard v-for="factor in inHeap" :key="factor.id" :factor="factor" tray="heap" />
        </VueDraggable>
        <QuickAdd
          class="add"
          is-new
          target="new-factor"
          label="Add a thing we could change"
          placeholder="+ add a card"
          example="the kind of paper"
          @add="addFactor"
        />
      </template>
      <template v-if="spareMeasures.length > 0">
        <h3 class="text-body">Things we could measure</h3>
        <VueDraggable v-model="inMeasureHeap" group="measures" v-bind="dragging" class="loose" data-tray="measure-heap">
          <MeasureCard v-for="measure in inMeasureHeap" :key="measure.id" :measure="measure" :chosen="false" />
        </VueDraggable>
      </template>
    </section>
  </div>
</template>

<style scoped>
.trays {
  display: grid;
  grid-template-columns: 1fr 1fr 1.6fr;
  gap: var(--gap-part);
}
.tray {
  position: relative;
  display: flex;
  flex-direction: column;
  min-height: 214px;
  margin-top: 10px;
  padding: var(--gap-block) var(--gap-near) var(--gap-near);
  border: 1.5px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 var(--corner-glass) var(--corner-glass);
}
/* The rim of the tray: two short lips that leave room for its name. What takes two lines moves the cards down. */
.tray header {
  display: flex;
  align-items: flex-start;
  justify-content: space-between;
  gap: var(--gap-near);
  margin: calc(-11px - var(--gap-block)) calc(-7px - var(--gap-near)) 5px;
}
.tray header::before,
.tray header::after {
  content: '';
  flex: none;
  width: 12px;
  margin-top: 11px;
  border-top: 1.5px solid var(--ink);
}
.tray header h3 {
  font-size: var(--type-body);
}
.cards {
  display: grid;
  gap: var(--gap-near);
  align-content: start;
  flex: 1;
  min-height: 60px;
}
/* What differs along with a card lies right beneath it. */
.cards.with {
  flex: none;
}
.cards.two {
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 132px), 1fr));
}
.empty {
  position: absolute;
  inset: 30px 14px auto;
  pointer-events: none;
}
.add {
  min-height: 32px;
  margin-top: 8px;
  padding: var(--gap-tight) var(--gap-near);
}
.heap {
  margin-top: 14px;
  padding: var(--gap-near) var(--gap-wide);
  border: 1.5px dashed var(--mark);
  border-radius: var(--corner);
}
.loose {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--gap-near);
  min-height: 20px;
  margin: 6px 0;
}
@media (width < 900px) {
  .tray {
    min-height: 0;
  }
  .trays,
  .loose {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
