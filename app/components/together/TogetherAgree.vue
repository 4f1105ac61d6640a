<script setup lang="ts">
import { isChecked, isUnfinished } from '~~/core/agree'
import { LONGEST } from '~~/core/lesson'
import { readTogether, type Found, type Together, type TogetherChange } from '~~/core/together'
import { doubtLead, doubtWordsOfConclusion, foundWords, uncheckedWords } from '~~/core/wording'
import ReadBack from '~/components/agree/ReadBack.vue'
import LongField from '~/forms/LongField.vue'

/** One sentence of the class across all investigations, each part read against the tables that it speaks of. */
const props = defineProps<{ found: Found[]; together: Together }>()
const emit = defineEmits<{ change: [change: TogetherChange] }>()
const text = ref(props.together.conclusion)
/** What it was written on, so that another desk's words are kept. */
let from = props.together.conclusion
watch(
  () => props.together.conclusion,
  (now) => {
    // Whoever is writing keeps what was there when it began; the server puts both together.
    if (text.value !== from) return
    text.value = now
    from = now
  },
)
const read = computed(() => (text.value.trim() === '' ? undefined : readTogether(text.value, props.found)))
const withResults = computed(() => props.found.filter(({ done }) => done > 0))

function keep(agreed: boolean): void {
  const conclusionFrom = from
  from = text.value.trim()
  emit('change', { conclusion: from, conclusionFrom, agreed })
}
</script>

<template>
  <section aria-label="Our sentence">
    <ul class="mb-wide">
      <li v-for="one in withResults" :key="one.lesson">
        <strong>{{ one.plan.title }}:</strong> {{ foundWords(one) }}
      </li>
    </ul>
    <LongField v-model="text" label="Our sentence across all" :rows="3" :longest="LONGEST.text" placeholder="We found that …" />
    <ReadBack v-if="read" :text="text" :read="read.read" />
    <ul v-if="read && read.read.doubts.length > 0" class="my-near mx-0" aria-live="polite">
      <li v-for="(doubt, place) in read.read.doubts" :key="place" class="py-close px-near edge-left-4-beet bg-beet-light">
        <strong>{{ doubtLead(doubt, read.plans[doubt.ofTable ?? 0]!) }}</strong>
        {{ doubtWordsOfConclusion(doubt, read.plans[doubt.ofTable ?? 0]!).text }}
      </li>
    </ul>
    <p v-if="read && read.plans.length > 0 && isChecked(read.read)" class="my-close mx-0 text-leaf">
      <span aria-hidden="true">✓</span>
      Everything in it was checked against the tables.
    </p>
    <p v-else-if="read && read.read.unread.length > 0" class="my-close mx-0 text-soft">{{ uncheckedWords(text, read.read) }}</p>
    <div class="row mt-wide">
      <MainBtn :disabled="text.trim() === '' || isUnfinished(text)" @click="keep(true)">We agree on this</MainBtn>
      <VBtn :disabled="text.trim() === together.conclusion" @click="keep(false)">Keep as a draft</VBtn>
      <span v-if="together.agreed && together.conclusion === text.trim()" class="text-leaf">Agreed by the class.</span>
    </div>
  </section>
</template>
