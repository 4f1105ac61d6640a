<script setup lang="ts">
import { seededRandom } from '~~/core/chance'
import { drawMoving, movedTo } from '~~/core/warmUps'
import { countAnswer, scaleEntry } from '~~/core/wording'
import TextField from '~/forms/TextField.vue'
import { freshSeed } from '~/following/freshSeed'

/** Count what moves. Whoever wants no movement on the screen counts the same things standing still. */
const seed = ref(freshSeed())
const things = computed(() => drawMoving(seededRandom(seed.value)))
const seconds = ref(0)
const text = ref('')
const said = ref<number>()
const read = computed(() => scaleEntry(text.value, 'count'))
let frame = 0
let began = 0
const still = () => window.matchMedia('(prefers-reduced-motion: reduce)').matches

onMounted(() => {
  began = performance.now()
  if (!still()) frame = requestAnimationFrame(step)
})
onBeforeUnmount(() => cancelAnimationFrame(frame))
function step(now: number): void {
  seconds.value = (now - began) / 1000
  frame = requestAnimationFrame(step)
}
function check(): void {
  if (said.value !== undefined) {
    ;[seed.value, text.value, said.value] = [freshSeed(), '', undefined]
    return
  }
  said.value = read.value
}
</script>

<template>
  <form class="grid gap-wide" @submit.prevent="check">
    <p class="text-large">How many are there?</p>
    <svg viewBox="-3 -3 106 66" class="field" role="img" aria-label="Things that move about">
      <rect x="-2" y="-2" width="104" height="64" class="frame" />
      <g v-for="(thing, place) in things" :key="place">
        <circle :cx="movedTo(thing, seconds).x" :cy="movedTo(thing, seconds).y" r="1.8" class="thing" />
      </g>
    </svg>
    <div class="row">
      <TextField v-model="text" class="reading" label="I count" :longest="6" inputmode="numeric" :disabled="said !== undefined" />
      <MainBtn type="submit" :disabled="said === undefined && read === undefined">{{
        said === undefined ? 'Check' : 'Next one'
      }}</MainBtn>
    </div>
    <p v-if="said !== undefined" class="text-lead" role="status">{{ countAnswer(said, things.length) }}</p>
  </form>
</template>

<style scoped>
.field {
  width: 100%;
  max-width: 760px;
}
.frame {
  fill: #fff;
  stroke: #1e2b2f;
  stroke-width: 0.6;
}
.thing {
  fill: #1e2b2f;
}
</style>
