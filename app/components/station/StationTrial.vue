<script setup lang="ts">
import { letterOf, measuredCard, type LessonRecord, type Plan, type Reading } from '~~/core/lesson'
import { useLocalStorage } from '@vueuse/core'
import { devicesFor, type Device } from '~~/core/measuring'
import type { UnitCode } from '~~/core/quantity'
import { cellKey, checkReading, readEntry, type Cell, type Doubt, type Progress } from '~~/core/record'
import { DEVICE_WORDS, momentWords, nameOfCondition, readErrorWords, writeReading } from '~~/core/wording'
import type { NewReading } from '~~/schemas/record'

/** One trial: what to fetch, what has to be so, the number; and what is asked about it before it is written down. */
const props = defineProps<{
  plan: Plan
  record: LessonRecord
  trial: Cell
  progress: Progress
  fixing?: NewReading
  last?: Reading
}>()
const emit = defineEmits<{ written: [reading: NewReading]; fix: []; back: []; skipPractice: []; choose: [cell: Cell] }>()
const method = computed(() => measuredCard(props.plan)!.method)
const unit = computed(() => method.value.unit)
const chosenUnit = ref<UnitCode>(unit.value)
const text = ref(props.fixing?.entered ?? '')
const trouble = ref('')
/** What this tablet measures with, until it is changed. */
const chosenDevice = useLocalStorage<Device>('jolly-beaker-device', 'pad')
const devices = computed(() => devicesFor(method.value))
const device = computed({
  get: () => (!props.fixing && devices.value.includes(chosenDevice.value) ? chosenDevice.value : 'pad'),
  set: (device) => {
    chosenDevice.value = device
    chosenUnit.value = unit.value
    text.value = ''
    trouble.value = ''
  },
})
const asked = shallowRef<{ value: number; entered: string; doubts: Doubt[] }>()
const sayingWhy = ref(false)
const place = computed(() => props.plan.conditions.findIndex((one) => one.id === props.trial.condition))
const name = computed(() => nameOfCondition(props.plan, props.trial.condition))
const dots = computed(() =>
  props.progress.cells.filter(({ condition, moment }) => condition === props.trial.condition && moment === props.trial.moment),
)
const open = computed(() => props.progress.cells.filter((cell) => cell.kept.length === 0 && cellKey(cell) !== cellKey(props.trial)))
const moment = computed(() => momentWords(props.plan, props.trial.moment))

/** What stands in the display, in the plan's unit; undefined and a message when it cannot be read. */
function read(): { value: number; entered: string } | undefined {
  const entered =
    /[a-z°"']/i.test(text.value) || chosenUnit.value === unit.value ? text.value.trim() : `${text.value.trim()} ${chosenUnit.value}`
  const found = readEntry(props.plan, entered)
  trouble.value = found.ok ? '' : readErrorWords(found.code)
  return found.ok ? { value: found.value, entered } : undefined
}

function submit(): void {
  const found = read()
  if (!found) return
  const { condition, moment: at, practice } = props.trial
  const doubts = practice
    ? []
    : checkReading(props.plan, props.record.readings, {
        id: props.fixing?.id,
        condition,
        moment: at,
        value: found.value,
        unit: unit.value,
      })
  if (doubts.length > 0) asked.value = { ...found, doubts }
  else write(found)
}

function write({ value, entered }: { value: number; entered: string }, more: Partial<NewReading> = {}): void {
  const row = readingRow(props.trial, value, unit.value, entered)
  const fixed =
    props.fixing &&
    superseding(props.fixing, {
      value,
      unit: unit.value,
      entered,
      status: 'kept',
      reason: 'fixed at the station',
      confirmed: false,
      ...more,
    })
  emit('written', fixed ?? { ...row, ...more })
  // A trial that was set aside is the next one again, on this very page.
  text.value = ''
  asked.value = undefined
  sayingWhy.value = false
}

function setAside(reason: string): void {
  const found = asked.value ?? read()
  if (found) write(found, { status: 'set-aside', reason })
}
</script>

<template>
  <div class="trial">
    <div class="what">
      <div class="condition">
        <ConditionBadge :size="58" :letter="letterOf(plan, trial.condition)" :place="place" />
        <div>
          <h1>{{ name }}</h1>
          <p v-if="moment" class="moment">{{ moment }}</p>
          <p v-if="trial.practice" class="practice">Practice: it does not count</p>
          <p v-else class="dots" :aria-label="`Trial ${trial.repeat} of ${plan.repeats}`">
            <i v-for="cell in dots" :key="cell.repeat" :class="{ done: cell.kept.length > 0, now: cell.repeat === trial.repeat }" />
            <span>trial {{ trial.repeat }}</span>
          </p>
        </div>
      </div>
      <ul v-if="!asked && !sayingWhy" class="resets">
        <li v-for="line in plan.resetList" :key="line">
          <span aria-hidden="true">✓</span>
          {{ line }}
        </li>
      </ul>
      <p v-if="last && !fixing" class="last">
        Last: {{ letterOf(plan, last.condition) }} <strong>{{ writeReading(plan, last.value, last.unit) }}</strong>{{
          last.practice ? ', practice' : ''
        }}{{ last.status === 'set-aside' ? ', set aside' : '' }}
        <button type="button" class="fix" @click="emit('fix')">fix it</button>
      </p>
      <p v-if="fixing" class="last">
        Writing {{ writeReading(plan, fixing.value, fixing.unit) }} anew.
        <button type="button" class="fix" @click="emit('back')">leave it</button>
      </p>
      <details v-if="open.length > 0 && !fixing && !asked && !sayingWhy" class="another">
        <summary>Do another one</summary>
        <div class="row">
          <button v-for="cell in open" :key="cellKey(cell)" type="button" class="button" @click="emit('choose', cell)">
            {{ letterOf(plan, cell.condition) }} {{ cell.repeat }} {{ momentWords(plan, cell.moment) }}
          </button>
        </div>
      </details>
    </div>
    <StationAsk
      v-if="asked"
      :plan="plan"
      :value="asked.value"
      :unit="unit"
      :doubt="asked.doubts[0]!"
      @right="write(asked, { confirmed: true })"
      @mend="write({ ...asked, value: $event }, { confirmed: true, reason: `was written as ${asked.entered}`.slice(0, 300) })"
      @again="asked = undefined"
      @aside="setAside"
    />
    <StationWhy
      v-else-if="sayingWhy"
      :has-number="text.trim() !== ''"
      :trouble="trouble"
      @why="setAside"
      @back="sayingWhy = false"
    />
    <form v-else class="entry" @submit.prevent="submit">
      <div v-if="method.instrument === 'words'" class="words" role="radiogroup" aria-label="Which word fits?">
        <button
          v-for="word in method.words"
          :key="word"
          type="button"
          class="button large"
          role="radio"
          :aria-checked="text === word"
          :class="{ on: text === word }"
          @click="text = word"
        >
          {{ word }}
        </button>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      </div>
      <template v-else>
        <label v-if="devices.length > 1 && !fixing" class="with">
          <span>Measure with</span>
          <select v-model="device" class="box">
            <option v-for="one in devices" :key="one" :value="one">{{ DEVICE_WORDS[one] }}</option>
          </select>
        </label>
        <NumberPad v-if="device === 'pad'" v-model="text" v-model:unit="chosenUnit" :plan-unit="unit" :trouble="trouble" />
        <StopwatchDevice v-else-if="device === 'stopwatch'" v-model="text" :plan="plan" />
        <CounterDevice v-else-if="device === 'counter'" v-model="text" />
        <PictureScale v-else-if="device === 'picture'" v-model="text" :plan="plan" />
        <TwoReadings
          v-else-if="device === 'start-and-finish' || device === 'empty-and-full'"
          v-model="text"
          :plan="plan"
          :empty="device === 'empty-and-full'"
        />
        <StreamingDevice v-else :key="device" v-model="text" :plan="plan" :condition="trial.condition" :device="device" />
        <p v-if="device !== 'pad' && trouble" class="trouble" role="alert">{{ trouble }}</p>
      </template>
      <div class="row">
        <button type="button" class="button wrong" @click="sayingWhy = true">something went wrong</button>
        <button type="submit" class="button main big">Write it down</button>
      </div>
      <button v-if="trial.practice" type="button" class="fix" @click="emit('skipPractice')">Start the trials that count</button>
    </form>
  </div>
</template>

<style scoped>
.trial {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  padding-top: 14px;
}
.what {
  display: grid;
  gap: 8px;
  align-content: start;
}
.condition {
  display: flex;
  align-items: center;
  gap: 14px;
}
h1 {
  font-size: 26px;
  overflow-wrap: anywhere;
}
.practice {
  padding: 0 10px;
  border-radius: var(--corner);
  background: var(--brass-light);
}
.dots {
  display: flex;
  align-items: center;
  gap: 8px;
}
.dots i {
  width: 18px;
  height: 18px;
  border: 1.5px solid var(--ink);
  border-radius: 50%;
}
.dots .done {
  background: var(--green);
}
.dots .now {
  background: var(--brass-light);
  box-shadow: 0 0 0 2px var(--brass-mark);
}
.resets li {
  display: flex;
  gap: 10px;
  padding: 2px 0;
}
.resets span {
  color: var(--green);
  font-weight: 700;
}
.last {
  color: var(--soft);
}
.last strong {
  color: var(--ink);
  font-size: 22px;
  white-space: nowrap;
}
.fix {
  min-height: 44px;
  padding: 0 8px;
  border: 0;
  background: none;
  color: var(--slate);
  text-decoration: underline;
  cursor: pointer;
}
.another {
  color: var(--soft);
}
.another summary {
  min-height: 32px;
  cursor: pointer;
}
.another .button {
  min-width: 58px;
  min-height: 56px;
}
.entry {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: 10px;
}
.entry .row {
  flex-wrap: nowrap;
}
.wrong {
  flex: none;
  width: 132px;
  min-height: 60px;
  border-color: var(--ink);
  color: var(--ink);
  font-family: var(--heading);
  font-size: 16px;
  font-weight: 400;
  line-height: 1.15;
}
.big {
  flex: 1;
  min-height: 60px;
  font-family: var(--heading);
  font-size: 20px;
}
@media (width >= 720px) {
  .trial {
    grid-template-columns: minmax(0, 1fr) 420px;
    gap: 36px;
    padding-top: 28px;
  }
}
.moment {
  font-size: 24px;
  font-weight: 700;
}
.with {
  display: flex;
  gap: 10px;
  align-items: center;
}
.with .box {
  flex: 1;
  min-height: 44px;
}
.words {
  display: grid;
  gap: 8px;
}
.words .on {
  border-color: var(--green);
  background: var(--green-light);
}
</style>
