<script setup lang="ts">
import { agesWords, KIND_WORDS, stockWords, lessonName } from '~~/core/wording'
import type { InvestigationCard } from '~~/schemas/contract'
import BeakerMark from '~/components/pieces/BeakerMark.vue'
import MoreMenu from '~/components/pieces/MoreMenu.vue'
import SetUpDrawing from '~/components/pieces/SetUpDrawing.vue'

/** One lesson to begin from: its set-up, for whom and how long, what it needs and what the cupboard lacks. */
const props = defineProps<{ investigation: InvestigationCard }>()
const emit = defineEmits<{ take: []; takeWhatIsThere: []; look: []; remove: [] }>()
const stock = computed(() => stockWords(props.investigation.needs))
/** Something of it is missing, so that it could be changed to what is there. */
const lacks = computed(() => {
  const { needs } = props.investigation
  return needs.some(({ stocked }) => stocked === 'there') && needs.some(({ stocked }) => stocked !== 'there')
})
const more = computed(() => [
  ...(lacks.value ? [{ label: 'Take it with what we have', run: () => emit('takeWhatIsThere') }] : []),
  {
    label: 'Save as a file for others',
    run: () => void navigateTo(`/api/investigations/${props.investigation.id}/file`, { external: true }),
  },
  ...(props.investigation.own ? [{ label: 'Take it out of the library', run: () => emit('remove') }] : []),
])
</script>

<template>
  <li class="sheet card">
    <SetUpDrawing v-if="investigation.drawing" class="justify-self-center" :investigation="investigation.drawing" />
    <p v-else class="own-picture justify-self-center"><BeakerMark :size="84" :level="0.4" /></p>
    <header class="row w-full flex-nowrap">
      <h2 class="text-title">{{ lessonName(investigation.title) }}</h2>
      <span class="ml-auto"><MoreMenu :label="`More for ${investigation.title}`" :items="more" /></span>
    </header>
    <p class="soft">
      <strong v-if="investigation.own">Our own · </strong>{{ KIND_WORDS[investigation.kind].name }} ·
      <span class="nowrap">{{ investigation.minutes }} min</span> ·
      <span class="nowrap">{{ agesWords(investigation.ages) }}</span>
    </p>
    <p>{{ investigation.summary || investigation.question }}</p>
    <p class="soft text-small">Needs {{ stock.needs }}.<br v-if="stock.lacks" />{{ stock.lacks }}</p>
    <div class="row">
      <VBtn :aria-label="`${investigation.title}: take this one`" @click="$emit('take')">Take this one</VBtn>
      <QuietBtn :aria-label="`Look inside ${investigation.title}`" @click="$emit('look')">Look inside</QuietBtn>
    </div>
  </li>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-rows: auto auto auto auto 1fr auto;
  gap: var(--gap-near);
  justify-items: start;
}
.own-picture {
  display: grid;
  place-items: center;
  height: 120px;
}
</style>
