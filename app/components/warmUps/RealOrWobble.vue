<script setup lang="ts">
import { seededRandom } from '~~/core/chance'
import { drawWobble, isFooledBy } from '~~/core/warmUps'
import { fooledWords, wobbleAnswer } from '~~/core/wording'
import { freshSeed } from '~/following/freshSeed'

/** Real or wobble? Two heaps of dots; would you bet on a difference? */
const seed = ref(freshSeed())
const puzzle = computed(() => drawWobble(seededRandom(seed.value)))
const said = ref<boolean>()
const bets = ref(0)
const fooled = ref(0)
const range = computed(() => {
  const all = puzzle.value.heaps.flat()
  return { low: Math.min(...all) - 2, high: Math.max(...all) + 2 }
})
const along = (value: number) => 10 + (280 * (value - range.value.low)) / (range.value.high - range.value.low)

function bet(real: boolean): void {
  said.value = real
  bets.value += 1
  if (isFooledBy(puzzle.value, real)) fooled.value += 1
}
function next(): void {
  ;[seed.value, said.value] = [freshSeed(), undefined]
}
</script>

<template>
  <div class="grid gap-wide">
    <p class="text-large">Two heaps of numbers. Is there a real difference, or is it only wobble?</p>
    <svg
      viewBox="0 0 300 96"
      class="heaps"
      role="img"
      :aria-label="`Heap A: ${puzzle.heaps[0].join(', ')}. Heap B: ${puzzle.heaps[1].join(', ')}.`"
    >
      <g v-for="(heap, place) in puzzle.heaps" :key="place" :transform="`translate(0 ${28 + 42 * place})`">
        <text x="0" y="4">{{ place === 0 ? 'A' : 'B' }}</text>
        <line x1="10" y1="10" x2="290" y2="10" />
        <circle v-for="(value, dot) in heap" :key="dot" :cx="along(value)" cy="0" r="5" />
      </g>
    </svg>
    <div class="row">
      <template v-if="said === undefined">
        <MainBtn @click="bet(true)">A real difference</MainBtn>
        <MainBtn @click="bet(false)">Only wobble</MainBtn>
      </template>
      <MainBtn v-else @click="next">Next one</MainBtn>
    </div>
    <p v-if="said !== undefined" class="text-lead" role="status">{{ wobbleAnswer(puzzle, said) }}</p>
    <p v-if="bets > 2" class="soft">{{ fooledWords(fooled, bets) }}</p>
  </div>
</template>

<style scoped>
.heaps {
  width: 100%;
  max-width: 760px;
}
text {
  font-size: 12px;
  font-weight: 700;
}
line {
  stroke: #1e2b2f;
}
circle {
  fill: #cfe3dc;
  stroke: #1e2b2f;
  stroke-width: 1.5;
}
</style>
