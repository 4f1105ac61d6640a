<script setup lang="ts">
import { FEWEST_WARM_UPS, timingWobbleOf, warmUpSignals, withTiming, withWarmUp } from '~~/core/measuring'
import { withUnit, writeNumber } from '~~/core/quantity'
import { counted } from '~~/core/wording'
import AppDialog from '~/components/pieces/AppDialog.vue'
import { useMeasureInHand } from '~/composables/measureInHand'

/**
 * Press when the light comes, press again when the sound comes. What is timed is compared with what really passed; how unevenly
 * children press is the class's own timing wobble. One child after the other; ten timings or more are best.
 */
const open = defineModel<boolean>({ required: true })
const { method, editMethod } = useMeasureInHand()
const errors = ref<number[]>([...method.value!.warmUp])
type State = 'ready' | 'waiting' | 'lit' | 'sounding' | 'early'
const state = ref<State>('ready')
const pressed = ref<number>()
const timer = ref<ReturnType<typeof setTimeout>>()
const wobble = computed(() => timingWobbleOf(errors.value))
let sound: AudioContext | undefined
let lastsFor = 0

const WORDS: Record<State, string> = {
  ready: 'Press to begin',
  waiting: 'Wait for the light …',
  lit: 'Light. Wait for the sound …',
  sounding: 'Sound. Press',
  early: 'Too early. Press to try again',
}

function press(): void {
  const now = performance.now()
  switch (state.value) {
    case 'ready':
    case 'early':
      return begin()
    case 'waiting':
      return tooEarly()
    case 'lit':
      // The first press starts the clock; a second one before the sound is too early.
      if (pressed.value === undefined) pressed.value = now
      else tooEarly()
      return
    case 'sounding':
      if (pressed.value === undefined) pressed.value = now
      else keep((now - pressed.value) / 1000)
  }
}

function begin(): void {
  const [signal] = warmUpSignals(1, Math.random)
  sound ??= new AudioContext()
  pressed.value = undefined
  lastsFor = signal!.lasts
  state.value = 'waiting'
  timer.value = setTimeout(() => {
    state.value = 'lit'
    const lit = performance.now()
    timer.value = setTimeout(() => {
      // What really passed, not what was asked for: a busy page comes late too.
      lastsFor = (performance.now() - lit) / 1000
      state.value = 'sounding'
      beep()
    }, signal!.lasts * 1000)
  }, signal!.wait * 1000)
}

function tooEarly(): void {
  clearTimeout(timer.value)
  state.value = 'early'
}

function keep(timed: number): void {
  errors.value = withTiming(errors.value, timed, lastsFor)
  state.value = 'ready'
}

function beep(): void {
  if (!sound) return
  const tone = sound.createOscillator()
  const loudness = sound.createGain()
  tone.frequency.value = 660
  loudness.gain.setValueAtTime(0.25, sound.currentTime)
  loudness.gain.exponentialRampToValueAtTime(0.001, sound.currentTime + 0.25)
  tone.connect(loudness).connect(sound.destination)
  tone.start()
  tone.stop(sound.currentTime + 0.26)
}

function use(): void {
  editMethod((own) => withWarmUp(own, errors.value))
  open.value = false
}

onBeforeUnmount(() => {
  clearTimeout(timer.value)
  void sound?.close()
})
</script>

<template>
  <AppDialog v-model="open" title="Stopwatch warm-up" :width="620">
    <p>
      One child after the other: press when the <strong>light</strong> comes, press again when the <strong>sound</strong> comes.
      Space or Enter works too. Without sound, the word on the light tells.
    </p>
    <button type="button" class="signal" :class="state" @click="press">
      <span class="lamp w-84px h-84px edge-3-ink rounded-full bg-paper" aria-hidden="true" />
      {{ WORDS[state] }}
    </button>
    <p class="sr-only" role="status">{{ WORDS[state] }}</p>
    <p>
      <strong>{{ counted(errors.length, 'timing') }}</strong>{{
        wobble === undefined ? `, ${FEWEST_WARM_UPS - errors.length} more before it says anything` : ', timing wobble '
      }}
      <strong v-if="wobble !== undefined">{{ withUnit(writeNumber(wobble, 2), 's') }}</strong>
    </p>
    <template #actions>
      <QuietBtn v-if="errors.length > 0" @click="errors = []">Start over</QuietBtn>
      <QuietBtn @click="open = false">Not now</QuietBtn>
      <MainBtn :disabled="wobble === undefined" @click="use">Use this wobble</MainBtn>
    </template>
  </AppDialog>
</template>

<style scoped>
.signal {
  display: grid;
  justify-items: center;
  gap: var(--gap-wide);
  width: 100%;
  padding: var(--gap-block);
  border: 1.5px solid var(--ink);
  border-radius: var(--corner);
  background: var(--card);
  font-family: var(--heading);
  font-size: var(--type-large);
  cursor: pointer;
}
.lit .lamp,
.sounding .lamp {
  background: #f2b632;
}
.sounding .lamp {
  box-shadow: 0 0 0 8px var(--green);
}
</style>
