<script setup lang="ts">
import { measuredCard, predictionsFor } from '~~/core/lesson'
import { dayOfWatching, hasBegun, nextPractice, nextTrial, progressOf, type Cell } from '~~/core/record'
import type { NewReading } from '~~/schemas/record'

/** A group's own page: join, predict, then one trial at a time. */
const station = useStation()
const { plan, record, group, ownReadings, waiting } = station
useHead({ title: 'Station · Jolly Beaker' })

const own = computed(() => plan.value?.groups.find((one) => one.id === group.value))
const progress = computed(
  () => plan.value && progressOf(plan.value, record.value.readings).find((one) => one.group === group.value),
)
const predicted = computed(() => record.value.predictions.some((one) => one.group === group.value))
const begun = computed(() => hasBegun(ownReadings.value))
const skipped = ref({ prediction: false, practice: false })
const saying = ref(false)
/** Until there is something to measure, a station is for saying what was seen. */
const testing = computed(() => plan.value !== undefined && measuredCard(plan.value) !== undefined && (progress.value?.all ?? 0) > 0)
const instrument = computed(() => plan.value && measuredCard(plan.value)?.method.instrument)
const wanted = shallowRef<Cell>()
const fixing = shallowRef<NewReading>()

const asksPrediction = computed(
  () => testing.value && !predicted.value && !begun.value && !skipped.value.prediction && predictionsFor(plan.value!).length > 0,
)
const practice = computed(() =>
  plan.value && !begun.value && !skipped.value.practice ? nextPractice(plan.value, record.value.readings, group.value) : undefined,
)
const trial = computed<Cell | undefined>(() => {
  if (fixing.value) return { ...fixing.value, kept: [], setAside: [] }
  return wanted.value ?? practice.value ?? (progress.value && nextTrial(plan.value!, progress.value, day.value))
})
/** The day of watching by this tablet's own calendar; without a day in the plan everything may be read. */
const day = computed(() => plan.value && dayOfWatching(plan.value, new Date().toLocaleDateString('sv')))
const last = computed(() => ownReadings.value.at(-1))
const lineState = computed(() => {
  const count = waiting.line.value.length
  if (count > 0 && (waiting.away.value || !station.connected.value)) return { words: `line is down, ${count} waiting`, bad: true }
  return station.connected.value ? { words: count > 0 ? 'sending' : 'sent', bad: false } : { words: 'line is down', bad: true }
})

async function placesWritten(readings: NewReading[]): Promise<void> {
  for (const reading of readings) await station.writeReading(reading)
}

async function written(reading: NewReading): Promise<void> {
  wanted.value = undefined
  fixing.value = undefined
  await station.writeReading(reading)
}
</script>

<template>
  <main class="station">
    <p v-if="station.state.value === 'opening'" class="centre">
      {{ station.connected.value ? 'Opening …' : 'The line is down. Trying again …' }}
    </p>
    <StationJoin v-else-if="station.state.value === 'joining'" :join="station.join" />
    <template v-else-if="plan && own && progress">
      <header>
        <span class="who">
          <ShapeBadge :size="22" :shape="own.shape" />
          {{ own.name }}
        </span>
        <span>{{ progress.done }} of {{ progress.all }} done</span>
        <span class="line" :class="{ bad: lineState.bad }" role="status">
          <span v-if="lineState.bad" aria-hidden="true">▲</span>
          {{ lineState.words }}
        </span>
      </header>
      <p v-if="waiting.refused.value" class="refused" role="alert">
        {{ waiting.refused.value }}
        <button type="button" class="button small" @click="waiting.refused.value = ''">Understood</button>
      </p>
      <StationWonder
        v-if="saying || !testing"
        :plan="plan"
        :group="group"
        :said="record.remarks"
        :picture-of="station.pictureOf"
        :closable="testing"
        @say="station.say"
        @close="saying = false"
      />
      <StationPredict
        v-else-if="asksPrediction"
        :plan="plan"
        :group="group"
        @stamp="station.writePrediction"
        @later="skipped.prediction = true"
      />
      <StationBalance
        v-else-if="trial && instrument === 'balance' && !fixing"
        :key="`balance-${trial.repeat}-${trial.practice}`"
        :plan="plan"
        :trial="trial"
        @written="placesWritten"
        @skip-practice="skipped.practice = true"
      />
      <StationOrder
        v-else-if="trial && instrument === 'race' && !fixing"
        :key="`order-${trial.repeat}-${trial.practice}`"
        :plan="plan"
        :trial="trial"
        @written="placesWritten"
        @skip-practice="skipped.practice = true"
      />
      <StationTrial
        v-else-if="trial"
        :key="`${trial.condition}-${trial.repeat}-${trial.moment}-${trial.practice}-${fixing?.id ?? ''}`"
        :plan="plan"
        :record="record"
        :trial="trial"
        :progress="progress"
        :fixing="fixing"
        :last="last"
        @written="written"
        @fix="fixing = last"
        @back="fixing = undefined"
        @skip-practice="skipped.practice = true"
        @choose="wanted = $event"
      />
      <StationDone v-else :plan="plan" :progress="progress" @fix="fixing = $event" />
      <footer>
        <button v-if="!saying && testing" type="button" class="leave" @click="saying = true">Say what you noticed</button>
        <button type="button" class="leave" @click="station.leave">Leave this station</button>
      </footer>
    </template>
    <div v-else class="centre">
      <p>This group is not in the plan any more.</p>
      <button type="button" class="button" @click="station.leave">Join again</button>
    </div>
  </main>
</template>

<style scoped>
.station {
  display: flex;
  flex-direction: column;
  width: min(1060px, 100%);
  min-height: 100dvh;
  margin: 0 auto;
  padding: 0 16px 8px;
  font-family: var(--heading);
  font-size: 18px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px 12px;
  margin: 0 -16px;
  padding: 10px 16px;
  border-bottom: 1px solid var(--line);
  font-size: 16px;
}
.who {
  display: flex;
  align-items: center;
  gap: 8px;
  font-weight: 700;
}
.line {
  color: var(--leaf);
}
.line.bad {
  color: var(--beet);
  font-weight: 700;
}
.refused {
  margin-top: 8px;
  padding: 8px 12px;
  border: 1.5px solid var(--beet);
  border-radius: var(--corner);
  background: var(--beet-light);
}
.centre {
  display: grid;
  gap: 12px;
  margin: auto;
}
footer {
  margin-top: auto;
  text-align: center;
}
.leave {
  min-height: 30px;
  border: 0;
  background: none;
  color: var(--soft);
  font-size: 14px;
  text-decoration: underline;
  cursor: pointer;
}
</style>
