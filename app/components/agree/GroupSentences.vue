<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { firstSaid, offersOf } from '~~/core/agree'
import { boundsOfHands, LONGEST, groupOf, type Conclusion, type LessonRecord } from '~~/core/lesson'
import { ownersWord, sentenceCase } from '~~/core/wording'
import GroupName from '~/components/pieces/GroupName.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import TextField from '~/forms/TextField.vue'
import { newId } from '~/following/newId'
import { useRecordWriting } from '~/stores/recordWriting'

/** The sentences that groups offer, from their stations or said aloud and written here; hands are counted for each. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const emit = defineEmits<{ use: [sentence: Conclusion] }>()
const writing = useRecordWriting()
const offers = computed(() => offersOf(plan.value, props.record.conclusions))
const missing = computed(() => plan.value.groups.filter(({ id }) => !offers.value.some(({ group }) => group === id)))
const saying = reactive({ group: '', text: '' })

async function add(): Promise<void> {
  const group = saying.group || missing.value[0]?.id || plan.value.groups[0]?.id
  const text = sentenceCase(saying.text.trim())
  if (!group || text === '') return
  if (await writing.add('conclusion', { id: newId(), group, from: null, text, hands: null, agreed: false })) {
    saying.text = ''
    saying.group = ''
  }
}
function count(sentence: Conclusion, hands: number | null): void {
  const { id, group, text } = sentence
  void writing.add('conclusion', { id: newId(), group, from: id, text, hands, agreed: false })
}
</script>

<template>
  <section class="section" aria-labelledby="offers">
    <h3 class="mb-close text-lead" id="offers">
      What the {{ ownersWord(plan) }} say
      <span class="soft font-dense text-body font-normal">{{
        offers.length === 0 ? 'from their stations, or said aloud and written here' : ''
      }}</span>
    </h3>
    <ul class="offers">
      <li v-for="one in offers" :key="firstSaid(one, record.conclusions)">
        <GroupName :group="groupOf(plan, one.group)!" />
        <p class="grow font-heading break-anywhere">{{ one.text }}</p>
        <NumberField
          bare
          optional
          whole
          :label="`Hands for ${groupOf(plan, one.group)!.name}`"
          v-bind="boundsOfHands(plan)"
          :model-value="one.hands"
          @update:model-value="count(one, $event)"
        />
        <span class="hint">hands</span>
        <VBtn size="small" @click="emit('use', one)">Take it up</VBtn>
      </li>
    </ul>
    <form class="row mt-near" @submit.prevent="add">
      <ChoiceField
        bare
        label="Which group says it"
        class="who"
        v-model="saying.group"
        :options="[
          { value: '', title: (missing[0] ?? plan.groups[0])?.name ?? '' },
          ...plan.groups.map((one) => ({ value: one.id, title: one.name })),
        ]"
      />
      <TextField
        bare
        label="A group’s sentence"
        class="grow"
        v-model="saying.text"
        :longest="LONGEST.proposal"
        placeholder="We found that …"
      />
      <VBtn type="submit" :disabled="saying.text.trim() === ''">Write it down</VBtn>
    </form>
  </section>
</template>

<style scoped>
.offers li {
  display: flex;
  align-items: center;
  gap: var(--gap-near);
  padding: var(--gap-close) 0;
  border-bottom: 1px solid var(--line);
}
.who {
  width: auto;
}
</style>
