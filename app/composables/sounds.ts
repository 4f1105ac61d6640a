import type { Coming, RunningClock } from '~~/core/clock'

const TONES = { due: [660], end: [880, 660, 880] }
const TONE_SECONDS = 0.35
const LOUD = 0.25
let audio: AudioContext | undefined

/** A few plain tones, made on the spot. Where the browser gives no sound, nothing happens. */
function ring(kind: keyof typeof TONES): void {
  audio ??= typeof AudioContext === 'undefined' ? undefined : new AudioContext()
  if (!audio) return
  void audio.resume().catch(() => undefined)
  for (const [place, pitch] of TONES[kind].entries()) {
    const start = audio.currentTime + place * TONE_SECONDS
    const [tone, volume] = [audio.createOscillator(), audio.createGain()]
    tone.frequency.value = pitch
    volume.gain.setValueAtTime(LOUD, start)
    volume.gain.exponentialRampToValueAtTime(0.001, start + TONE_SECONDS)
    tone.connect(volume).connect(audio.destination)
    tone.start(start)
    tone.stop(start + TONE_SECONDS)
  }
}

/** Rings when a phase ends and when something of the timetable comes due, as long as sound is on. */
export function useBell(state: Ref<RunningClock>, coming: Ref<Coming[]>, on: Ref<boolean>): void {
  watch(
    () => [state.value.phase, state.value.secondsLeft === 0] as const,
    ([phase, ended], [earlier, endedBefore]) => {
      if (on.value && state.value.running && (phase !== earlier || (ended && !endedBefore))) ring('end')
    },
  )
  watch(
    () => coming.value.filter(({ seconds }) => seconds <= 0).length,
    (due, before) => {
      if (on.value && due > before) ring('due')
    },
  )
}
