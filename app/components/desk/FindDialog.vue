<script setup lang="ts">
import { isEachChild, STOPS } from '~~/core/lesson'
import { findingWords, fixWords, STOP_NAMES } from '~~/core/wording'
import AppDialog from '~/components/pieces/AppDialog.vue'
import { madeUpAddress } from '~/following/madeUp'
import { PRINTOUTS, PRINTOUT_NAMES } from '~/composables/printouts'
import { useLesson } from '~/stores/lesson'
import { useMadeUp } from '~/stores/madeUp'
import { useSecondLook } from '~/stores/secondLook'

/** Finds a stop, a finding's button or a printout by a few letters: arrows choose among what has them, Enter goes there. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ board: [] }>()
const lesson = useLesson()
const madeUp = useMadeUp()
const look = useSecondLook()
const everything = computed(() => [
  ...STOPS.map((stop) => ({ label: `Go to ${STOP_NAMES[stop]}`, run: () => navigateTo(`/lesson/${lesson.id}/${stop}`) })),
  { label: 'Open the board', run: () => emit('board') },
  ...PRINTOUT_NAMES.filter((name) => name !== 'codes' || isEachChild(lesson.plan!)).map((name) => ({
    label: `Print: ${PRINTOUTS[name].label}`,
    run: () => void window.open(madeUpAddress(madeUp.drawn, `/print/${lesson.id}/${name}`)),
  })),
  ...look.findings.flatMap((finding) =>
    finding.fixes.map((fix) => ({
      label: `${findingWords(finding, lesson.plan!).title}: ${fixWords(fix, lesson.plan!)}`,
      run: () => look.apply(fix),
    })),
  ),
])

function run(chosen: { run: () => unknown } | null): void {
  if (!chosen) return
  open.value = false
  void chosen.run()
}
</script>

<template>
  <AppDialog v-model="open" title="Find">
    <VAutocomplete
      :items="everything"
      item-title="label"
      return-object
      autofocus
      auto-select-first
      aria-label="Find a stop, a finding or a print"
      no-data-text="Nothing here has these letters."
      @update:model-value="run"
    />
  </AppDialog>
</template>
