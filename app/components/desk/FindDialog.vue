<script setup lang="ts">
import { STOPS } from '~~/core/lesson'
import { findingWords, fixWords, STOP_NAMES } from '~~/core/wording'

/** Finds a stop, a finding's button or a printout by a few letters. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ board: [] }>()
const lesson = useLesson()
const words = ref('')
const list = useTemplateRef<{ focus(place: 'first'): void }>('list')
watch(open, () => (words.value = ''))

const everything = computed(() => [
  ...STOPS.map((stop) => ({ label: `Go to ${STOP_NAMES[stop]}`, run: () => navigateTo(`/lesson/${lesson.id}/${stop}`) })),
  { label: 'Open the board', run: () => emit('board') },
  ...PRINTOUT_NAMES.map((name) => ({
    label: `Print: ${PRINTOUTS[name].label}`,
    run: () => void window.open(`/print/${lesson.id}/${name}`),
  })),
  ...lesson.findings.flatMap((finding) =>
    finding.fixes.map((fix) => ({
      label: `${findingWords(finding, lesson.plan!).title}: ${fixWords(fix, lesson.plan!)}`,
      run: () => lesson.apply(fix),
    })),
  ),
])
const found = computed(() =>
  everything.value.filter(({ label }) => label.toLowerCase().includes(words.value.trim().toLowerCase())).slice(0, 9),
)

function run(place: number): void {
  const chosen = found.value[place]
  if (!chosen) return
  open.value = false
  void chosen.run()
}
</script>

<template>
  <AppDialog v-model="open" title="Find">
    <TextField
      v-model="words"
      bare
      label="Find a stop, a finding or a print"
      type="search"
      autofocus
      @keydown.enter="run(0)"
      @keydown.down.prevent="list?.focus('first')"
    />
    <VList v-if="found.length > 0" ref="list" density="compact" aria-label="Found">
      <VListItem v-for="(one, place) in found" :key="one.label" :title="one.label" @click="run(place)" />
    </VList>
    <p v-if="found.length === 0" class="soft">Nothing here has these letters.</p>
  </AppDialog>
</template>
