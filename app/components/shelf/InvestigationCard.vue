<script setup lang="ts">
import { agesWords, KIND_WORDS, stockWords } from '~~/core/wording'
import type { InvestigationCard } from '~~/schemas/contract'

/** One ready lesson: its set-up, for whom and how long, what it needs and what the cupboard lacks. */
const props = defineProps<{ investigation: InvestigationCard }>()
defineEmits<{ take: [] }>()
const stock = computed(() => stockWords(props.investigation.needs))
</script>

<template>
  <li class="sheet card">
    <img class="justify-self-center" :src="`/drawings/${investigation.id}.svg`" alt="" width="200" height="120" />
    <h2 class="text-title">{{ investigation.title }}</h2>
    <p class="soft">
      {{ KIND_WORDS[investigation.kind].name }} · <span class="nowrap">{{ investigation.minutes }} min</span> ·
      <span class="nowrap">{{ agesWords(investigation.ages) }}</span>
    </p>
    <p>{{ investigation.summary }}</p>
    <p class="soft text-small">Needs {{ stock.needs }}.<br v-if="stock.lacks" />{{ stock.lacks }}</p>
    <VBtn :aria-label="`${investigation.title}: take this one`" @click="$emit('take')">Take this one</VBtn>
  </li>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-rows: auto auto auto auto 1fr auto;
  gap: var(--gap-near);
  justify-items: start;
}
</style>
