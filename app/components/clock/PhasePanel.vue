<script setup lang="ts">
import type { Fit } from '~~/core/clock'
import { BOUNDS, LATER_PHASES, type LaterPhase, type Phase } from '~~/core/lesson'
import { PHASE_NAMES, testSum, trialParts } from '~~/core/wording'
import NumberField from '~/forms/NumberField.vue'
import TickField from '~/forms/TickField.vue'
import { useLesson } from '~/stores/lesson'

/** How long the chosen phase takes; the test is worked out from one trial. */
const chosen = defineModel<Phase>({ required: true })
const props = defineProps<{ fit: Fit }>()
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const fixed = computed(() => (chosen.value === 'test' ? undefined : chosen.value))
/** Testing may take minutes from it, down to what is said here. */
const later = computed(() => LATER_PHASES.find((phase) => phase === chosen.value))
function setLeast(phase: LaterPhase, minutes: number | null): void {
  lesson.edit((draft) => {
    const { [phase]: _, ...others } = draft.clock.least
    draft.clock.least = minutes === null ? others : { ...others, [phase]: minutes }
  })
}
/** Without minutes they have no place on the bar. */
const without = computed(() => props.fit.phases.filter(({ phase, minutes }) => minutes === 0 && phase !== chosen.value))
</script>

<template>
  <section class="sheet" aria-labelledby="phase">
    <div class="row">
      <h3 class="text-lead" id="phase">{{ fixed ? PHASE_NAMES[fixed] : 'One trial' }}</h3>
      <p v-if="!fixed" class="hint">{{ testSum(fit) }}</p>
      <p v-else class="hint">Press another part of the bar to set that; the test is worked out.</p>
      <span v-if="without.length > 0" class="row ml-auto">
        <span class="soft">Without time:</span>
        <QuietBtn v-for="{ phase } in without" :key="phase" size="small" :data-target="`phase-${phase}`" @click="chosen = phase">
          {{ PHASE_NAMES[phase] }}
        </QuietBtn>
      </span>
    </div>
    <div v-show="!fixed" class="fields" data-opened-by="phase-test">
      <NumberField
        v-for="{ part, label } in trialParts(plan)"
        :key="part"
        :label="label"
        unit="s"
        :target="`trial-${part}`"
        :model-value="plan.clock.trial[part]"
        v-bind="BOUNDS.trialSeconds"
        @update:model-value="lesson.edit((draft) => (draft.clock.trial[part] = $event ?? 0))"
      />
      <NumberField
        v-if="fit.oneAfterTheOther"
        steps
        whole
        label="Trials side by side"
        :model-value="plan.clock.sideBySide"
        v-bind="BOUNDS.sideBySide"
        @update:model-value="lesson.edit((draft) => (draft.clock.sideBySide = $event ?? 1))"
      />
    </div>
    <div v-if="fixed" class="row">
      <NumberField
        :key="fixed"
        steps
        :label="`${PHASE_NAMES[fixed]}, minutes`"
        :model-value="plan.clock.phases[fixed]"
        v-bind="BOUNDS.minutes"
        @update:model-value="lesson.edit((draft) => (draft.clock.phases[fixed!] = $event ?? 0))"
      />
      <NumberField
        v-if="later"
        :key="`${later}-least`"
        optional
        label="May be cut to, minutes"
        :model-value="plan.clock.least[later] ?? null"
        :least="0"
        :most="plan.clock.phases[later]"
        @update:model-value="setLeast(later, $event)"
      />
      <TickField
        v-if="fixed === 'fetch' || fixed === 'predict'"
        label="one child of each group fetches while the others predict"
        :model-value="plan.clock.fetchWhilePredicting"
        @update:model-value="lesson.edit((draft) => (draft.clock.fetchWhilePredicting = $event))"
      />
    </div>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(136px, 1fr));
  gap: var(--gap-near);
  margin-top: 8px;
}
</style>
