<script setup lang="ts">
import { seededRandom } from '~~/core/chance'
import { drawScale, hasParallax, judgeScale, LEVELS, SCALE_KINDS, type Level, type ScaleKind } from '~~/core/warmUps'
import { eyeLines, eyeWords, LEVEL_WORDS, SCALE_WORDS, scaleAnswer, scaleEntry, scaleQuestion } from '~~/core/wording'
import ScaleDrawing from '~/components/pieces/ScaleDrawing.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import TextField from '~/forms/TextField.vue'
import TickField from '~/forms/TickField.vue'
import { freshSeed } from '~/following/freshSeed'

/** Read the scale: another one each time, and why it was wrong. Every try is told with how many marks it was off, and with nobody's name. */
const emit = defineEmits<{ tried: [error: number] }>()
const kind = ref<ScaleKind>('ruler')
const level = ref<Level>('marks')
const eyes = ref(false)
const withEye = computed(() => eyes.value && hasParallax(kind.value))
const seed = ref(freshSeed())
const text = ref('')
const entered = ref<number>()
const task = computed(() => drawScale(kind.value, level.value, seededRandom(seed.value), { eyes: withEye.value }))
const answer = computed(() => (entered.value === undefined ? undefined : scaleAnswer(task.value, entered.value)))
const read = computed(() => scaleEntry(text.value, task.value.scale.unit))
watch([kind, level, eyes], next)
const field = useTemplateRef<HTMLElement>('field')

function check(): void {
  if (entered.value !== undefined) return next()
  if (read.value === undefined) return
  entered.value = read.value
  emit('tried', judgeScale(task.value, read.value).error)
}
function next(): void {
  ;[seed.value, text.value, entered.value] = [freshSeed(), '', undefined]
  void nextTick(() => field.value?.querySelector('input')?.focus())
}
</script>

<template>
  <div class="grid gap-wide">
    <div class="row">
      <ChoiceField
        v-model="kind"
        label="Instrument"
        :options="SCALE_KINDS.map((value) => ({ value, title: SCALE_WORDS[value] }))"
      />
      <ChoiceField v-model="level" label="How fine" :options="LEVELS.map((value) => ({ value, title: LEVEL_WORDS[value] }))" />
      <TickField v-if="hasParallax(kind)" v-model="eyes" class="self-end" label="with an eye" />
    </div>
    <div class="task">
      <ScaleDrawing
        :scale="task.scale"
        :value="task.value"
        :eye="withEye ? task.eye : undefined"
        :label="`${SCALE_WORDS[kind]} to read${withEye ? `. ${eyeWords(kind, task.eye)}.` : ''}`"
      />
      <form ref="field" class="grid gap-wide content-start" @submit.prevent="check">
        <p class="text-large">{{ scaleQuestion(task) }}</p>
        <TextField
          v-model="text"
          class="reading"
          label="It shows"
          :longest="20"
          inputmode="decimal"
          :disabled="entered !== undefined"
        />
        <MainBtn type="submit" :disabled="entered === undefined && read === undefined">{{ answer ? 'Next one' : 'Check' }}</MainBtn>
        <p v-if="answer" class="text-lead" role="status">{{ answer }}</p>
        <ul v-if="answer && withEye">
          <li v-for="line in eyeLines(task)" :key="line">{{ line }}</li>
        </ul>
      </form>
    </div>
  </div>
</template>

<style scoped>
.task {
  display: grid;
  grid-template-columns: minmax(0, 420px) minmax(220px, 1fr);
  gap: var(--gap-block);
}
@media (width < 700px) {
  .task {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
