<script setup lang="ts">
import { BOUNDS, LONGEST, measuredCard, MOST_WORDS, readNames, type Method } from '~~/core/lesson'
import { expectedUnit, INSTRUMENTS, instrumentsFor, readingSdOf, trialSdOf, withInstrument } from '~~/core/measuring'
import { NUMBER_UNITS, unitOf, writeShort } from '~~/core/quantity'
import { instrumentWords, methodWords } from '~~/core/wording'

/** How we measure, how much that wobbles, and what has to be so before every trial. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const method = computed(() => measuredCard(plan.value)?.method)

function set<Part extends keyof Method>(part: Part, value: Method[Part], typing = ''): void {
  lesson.edit((draft) => (measuredCard(draft)!.method[part] = value), typing)
}

function addLine(text: string): void {
  if (plan.value.resetList.length < MOST_RESETS) lesson.edit((draft) => draft.resetList.push(text))
}

/** Takes a ready instrument with its wobble; its name stands in the field afterwards, to be edited. */
function pick(select: HTMLSelectElement): void {
  const instrument = INSTRUMENTS.find(({ code }) => code === select.value)
  select.value = ''
  if (instrument) lesson.edit((draft) => (measuredCard(draft)!.method = withInstrument(method.value!, instrument)))
}

const byNumber = computed(() => method.value?.instrument === 'number')
/** Words do not wobble; side by side and on a balance only the trials do. */
const shownWobbles = computed(() => {
  if (method.value?.instrument === 'words') return []
  return byNumber.value ? WOBBLES : WOBBLES.filter(({ part }) => part === 'trialWobble')
})

const timed = computed(() => byNumber.value && method.value && unitOf(method.value.unit).dimension === 'time')

/** What stands for a wobble that nobody typed. */
function followed(part: keyof Method): string {
  const value = part === 'readingWobble' ? readingSdOf(method.value!) : trialSdOf(method.value!, 0, undefined).sd
  return writeShort(Number(value.toPrecision(3)))
}

const YES_NO = ['no', 'yes']
const MOST_RESETS = 12
const WOBBLES = [
  { part: 'readingWobble', label: 'Reading wobble', why: 'left empty it follows the mark: half of one', follows: true },
  { part: 'timingWobble', label: 'Timing wobble', why: 'a child’s hand on a stopwatch: 0.15 s', follows: false },
  { part: 'trialWobble', label: 'Trial-to-trial wobble', why: 'left empty it is assumed: 8 % of the middle', follows: true },
  { part: 'differenceThatMatters', label: 'Difference that matters', why: '0 leaves it to the instrument’s mark', follows: false },
] as const
</script>

<template>
  <details class="fold">
    <summary>
      <strong>How we measure</strong>
      <span class="soft">{{ method ? methodWords(method) : 'nothing to measure yet' }}</span>
    </summary>
    <div v-if="method" class="method">
      <label v-if="method.instrument !== 'words'" class="field">
        <span>Measured with</span>
        <input
          class="box"
          data-target="method-tool"
          :value="method.tool"
          :maxlength="LONGEST.name"
          placeholder="ruler, kitchen scale, stopwatch"
          @input="set('tool', ($event.target as HTMLInputElement).value, 'tool')"
        />
      </label>
      <label class="field">
        <span>Pick an instrument</span>
        <select class="box" value="" @change="pick($event.target as HTMLSelectElement)">
          <option value="">our own</option>
          <option v-for="one in instrumentsFor(plan.kind)" :key="one.code" :value="one.code">{{ instrumentWords(one) }}</option>
        </select>
      </label>
      <label v-if="byNumber" class="field">
        <span>Unit</span>
        <select
          class="box"
          data-target="method-unit"
          :value="method.unit"
          @change="set('unit', ($event.target as HTMLSelectElement).value as never)"
        >
          <option v-for="code in NUMBER_UNITS" :key="code" :value="code">{{ unitOf(code).symbol || 'a count' }}</option>
        </select>
      </label>
      <NumberField
        v-if="byNumber"
        label="Smallest mark"
        :unit="method.unit"
        :model-value="method.resolution"
        v-bind="BOUNDS.resolution"
        @update:model-value="set('resolution', $event ?? 1)"
      />
      <label v-if="method.instrument === 'words'" class="field words">
        <span>Ordered words, the least first</span>
        <input
          class="box"
          data-target="words"
          :value="method.words.join(', ')"
          placeholder="dry, damp, wet"
          @change="set('words', readNames(($event.target as HTMLInputElement).value, MOST_WORDS))"
        />
      </label>
      <button v-if="method.instrument === 'words'" type="button" class="button small quiet yes-no" @click="set('words', YES_NO)">
        Only yes or no
      </button>
      <div v-for="wobble in shownWobbles" :key="wobble.part">
        <NumberField
          :label="wobble.label"
          :unit="expectedUnit(method)"
          :model-value="method[wobble.part]"
          :optional="wobble.follows"
          :placeholder="wobble.follows ? followed(wobble.part) : ''"
          v-bind="BOUNDS.wobble"
          @update:model-value="set(wobble.part, wobble.follows ? $event : ($event ?? 0))"
        />
        <p class="hint">{{ wobble.why }}</p>
      </div>
    </div>
    <WordPictures v-if="method?.instrument === 'words'" />
    <NumberField
      v-if="method && timed"
      steps
      whole
      label="Timed at once (ten swings)"
      :model-value="method.atOnce"
      v-bind="BOUNDS.timedAtOnce"
      @update:model-value="set('atOnce', $event ?? 1)"
    />
    <h4>Before every trial</h4>
    <ul class="resets">
      <li v-for="(line, place) in plan.resetList" :key="place">
        <GrowingField
          plain
          :label="`Before every trial: ${line}`"
          :model-value="line"
          @update:model-value="lesson.edit((draft) => (draft.resetList[place] = $event.slice(0, 200)), `reset-${place}`)"
        />
        <button
          type="button"
          class="button small quiet"
          :aria-label="`Take away: ${line}`"
          @click="lesson.edit((draft) => draft.resetList.splice(place, 1))"
        >
          ✕
        </button>
      </li>
    </ul>
    <QuickAdd label="Add to the list before every trial" placeholder="+ fresh, dry strip" :longest="LONGEST.name" @add="addLine" />
  </details>
</template>

<style scoped>
.method {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 12px 18px;
  margin: 12px 0;
}
.yes-no {
  align-self: end;
  justify-self: start;
}
h4 {
  margin: 10px 0 4px;
}
.resets li {
  display: flex;
}
</style>
