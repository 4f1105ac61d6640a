<script setup lang="ts">
import type { Draft, DraftChoices, DraftPart } from '~~/core/draft'
import { BOUNDS, keptFactors, KINDS, LONGEST } from '~~/core/lesson'
import { bestOf, testOf } from '~~/core/test'
import { comesWithWords, draftBests, draftPartName, draftTools, draftValue, KIND_WORDS } from '~~/core/wording'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import TextField from '~/forms/TextField.vue'

/** A part of a draft, changed where it stands; with the words that it was taken from. */
const props = defineProps<{ draft: Draft; part: DraftPart; quote?: string }>()
const emit = defineEmits<{ choose: [choices: DraftChoices] }>()
const name = computed(() => draftPartName(props.part, props.draft.plan))
const value = computed(() => draftValue(props.part, props.draft))
const kept = computed(() => keptFactors(props.draft.plan))
const coming = computed(() => comesWithWords(props.draft.plan))
/** What is chosen from a list, with the list. */
const choice = computed((): { options: { value: string; title: string }[]; value: string } | undefined => {
  const { plan } = props.draft
  if (props.part === 'kind')
    return { options: KINDS.map((kind) => ({ value: kind, title: KIND_WORDS[kind].name })), value: plan.kind }
  if (props.part === 'best') return { options: draftBests(plan), value: bestOf(plan) }
  return props.part === 'unit' ? { options: draftTools(plan), value: testOf(plan).unit } : undefined
})
</script>

<template>
  <li class="part" :data-part="part">
    <ChoiceField
      v-if="choice"
      :label="name"
      :options="choice.options"
      :model-value="choice.value"
      @update:model-value="emit('choose', { [part]: $event })"
    />
    <TextField
      v-else-if="part === 'change' || part === 'measure' || part === 'conditions'"
      lazy
      :label="name"
      :longest="LONGEST.name"
      :model-value="value"
      @update:model-value="$event !== value && emit('choose', { [part]: $event })"
    />
    <NumberField
      v-else-if="part === 'repeats'"
      :label="name"
      v-bind="BOUNDS.repeats"
      whole
      :model-value="draft.plan.repeats"
      @update:model-value="emit('choose', { repeats: $event ?? undefined })"
    />
    <fieldset v-else-if="part === 'kept'" class="kept">
      <legend class="sr-only">{{ name }}</legend>
      <TextField
        v-for="factor in kept"
        :key="factor.name"
        lazy
        :label="factor.name"
        :longest="LONGEST.name"
        :placeholder="draft.asks[factor.id]"
        :model-value="factor.how"
        @update:model-value="$event !== factor.how && emit('choose', { hows: { [factor.name]: $event } })"
      />
      <p v-if="coming" class="hint">{{ coming }}</p>
    </fieldset>
    <p v-else>
      <span class="label">{{ name }}</span>
      {{ value }}
    </p>
    <p v-if="quote" class="hint">from “{{ quote }}”</p>
  </li>
</template>

<style scoped>
.label {
  display: block;
}
.kept {
  display: grid;
  gap: var(--gap-tight);
  margin: 0;
  padding: 0;
  border: 0;
}
</style>
