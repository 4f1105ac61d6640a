<script setup lang="ts">
import { BOUNDS, LONGEST } from '~~/core/lesson'
import { MOST_WORDS, readNames, type ResolvedMethod } from '~~/core/test'
import { expectedUnit, INSTRUMENTS, instrumentsFor, readingSdOf, trialSdOf, withInstrument } from '~~/core/measuring'
import { NUMBER_UNITS, unitOf, writeShort } from '~~/core/quantity'
import { instrumentWords, methodWords, WAY_WORDS } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import WordPictures from '~/components/plan/WordPictures.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import GrowingField from '~/forms/GrowingField.vue'
import NumberField from '~/forms/NumberField.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import TextField from '~/forms/TextField.vue'
import { useMeasureInHand } from '~/composables/measureInHand'
import { useLesson } from '~/stores/lesson'

/** How we measure, how much that wobbles, and what has to be so before every trial. */
const lesson = useLesson()
const { plan, method, way, editMethod } = useMeasureInHand()

function set<Part extends keyof ResolvedMethod>(part: Part, value: ResolvedMethod[Part], typing = ''): void {
  editMethod((own) => ({ ...own, [part]: value }), typing)
}

function addLine(text: string): void {
  if (plan.value.resetList.length < MOST_RESETS) lesson.edit((draft) => draft.resetList.push(text))
}

/** Takes a ready instrument with its wobble; its name stands in the field afterwards, to be edited. */
function pick(chosen: string): void {
  const instrument = INSTRUMENTS.find(({ code }) => code === chosen)
  if (instrument) editMethod((own) => withInstrument(own, instrument))
}

const byNumber = computed(() => way.value.isAmount)
/** Words do not wobble; side by side and on a balance only the trials do. */
const shownWobbles = computed(() => {
  if (way.value.fromWords) return []
  return byNumber.value ? WOBBLES : WOBBLES.filter(({ part }) => part === 'trialWobble')
})

const timed = computed(() => byNumber.value && method.value && unitOf(method.value.unit).dimension === 'time')

/** What stands for a wobble that nobody typed. */
function followed(part: keyof ResolvedMethod): string {
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
  <AppFold title="How we measure" :hint="method ? methodWords(method) : 'nothing to measure yet'">
    <div v-if="method" class="three-columns">
      <TextField
        v-if="!way.fromWords"
        label="Measured with"
        target="method-tool"
        :model-value="method.tool"
        :longest="LONGEST.name"
        placeholder="for example a ruler"
        @update:model-value="set('tool', $event, 'tool')"
      />
      <ChoiceField
        label="Pick an instrument"
        :model-value="''"
        :options="[
          { value: '', title: 'our own' },
          ...instrumentsFor(plan.kind).map((one) => ({ value: one.code, title: instrumentWords(one) })),
        ]"
        @update:model-value="pick"
      />
      <ChoiceField
        v-if="byNumber"
        label="Unit"
        target="method-unit"
        :model-value="method.unit"
        @update:model-value="set('unit', $event)"
        :options="NUMBER_UNITS.map((code) => ({ value: code, title: unitOf(code).symbol || 'a count' }))"
      />
      <NumberField
        v-if="byNumber"
        label="Smallest mark"
        :unit="method.unit"
        :model-value="method.resolution"
        v-bind="BOUNDS.resolution"
        @update:model-value="set('resolution', $event ?? 1)"
      />
      <TextField
        v-if="way.fromWords"
        :label="WAY_WORDS[way.code].list"
        class="words"
        lazy
        target="words"
        :model-value="method.words.join(', ')"
        placeholder="for example dry, damp, wet"
        @update:model-value="set('words', readNames($event, MOST_WORDS))"
      />
      <QuietBtn v-if="way.fromWords" size="small" class="self-end justify-self-start" @click="set('words', YES_NO)">
        Only yes or no
      </QuietBtn>
      <div v-for="wobble in shownWobbles" :key="wobble.part">
        <NumberField
          :label="wobble.label"
          :unit="expectedUnit(plan)"
          :model-value="method[wobble.part]"
          :optional="wobble.follows"
          :placeholder="wobble.follows ? followed(wobble.part) : ''"
          v-bind="BOUNDS.wobble"
          @update:model-value="set(wobble.part, wobble.follows ? $event : ($event ?? 0))"
        />
        <p class="hint">{{ wobble.why }}</p>
      </div>
    </div>
    <WordPictures v-if="way.fromWords" />
    <NumberField
      v-if="method && timed"
      steps
      whole
      label="Timed at once (ten swings)"
      :model-value="method.atOnce"
      v-bind="BOUNDS.timedAtOnce"
      @update:model-value="set('atOnce', $event ?? 1)"
    />
    <h4 class="mx-0 mt-10px mb-tight">Before every trial</h4>
    <ul class="resets">
      <li class="flex" v-for="(line, place) in plan.resetList" :key="place">
        <GrowingField
          plain
          :label="`Before every trial: ${line}`"
          :model-value="line"
          @update:model-value="lesson.edit((draft) => (draft.resetList[place] = $event.slice(0, 200)), `reset-${place}`)"
        />
        <QuietBtn size="small" :aria-label="`Take away: ${line}`" @click="lesson.edit((draft) => draft.resetList.splice(place, 1))">
          ✕
        </QuietBtn>
      </li>
    </ul>
    <QuickAdd label="Add to the list before every trial" example="a fresh, dry strip" :longest="LONGEST.name" @add="addLine" />
  </AppFold>
</template>

<style scoped>
.resets li > .field {
  flex: 1;
}
</style>
