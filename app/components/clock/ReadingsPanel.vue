<script setup lang="ts">
import { BOUNDS } from '~~/core/lesson'
import { arrangementOf } from '~~/core/arrangement'
import { timetableOf } from '~~/core/clock'
import type { Watch } from '~~/core/lesson'
import { counted, minuteWords } from '~~/core/wording'
import ReadingTable from '~/components/clock/ReadingTable.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import { useLesson } from '~/stores/lesson'

/** When each jar is started and read, so that no instrument is wanted twice. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const timetable = computed(() => timetableOf(plan.value))
const together = computed(() => arrangementOf(plan.value) === 'together')
function set(change: Partial<Watch>): void {
  lesson.edit((draft) => Object.assign(draft.watch, change))
}
</script>

<template>
  <section class="section sheet" aria-labelledby="readings">
    <h3 class="text-lead" id="readings">Reading timetable</h3>
    <div class="row my-near mx-0">
      <NumberField
        steps
        whole
        label="Instruments that take turns"
        :model-value="plan.watch.instruments"
        v-bind="BOUNDS.instruments"
        @update:model-value="set({ instruments: $event ?? 1 })"
      />
      <ChoiceField
        v-if="!together"
        label="They belong to"
        :model-value="plan.watch.among"
        @update:model-value="set({ among: $event })"
        :options="[
          { value: 'group', title: 'each group its own' },
          { value: 'class', title: 'the whole class' },
        ]"
      />
      <p class="hint grow">
        {{ counted(timetable.starts.length, 'jar') }}, last reading ends after {{ minuteWords(timetable.finish)
        }}{{ timetable.soonest ? '; it cannot end sooner' : '' }}. One reading takes what stands under “Read”.
      </p>
    </div>
    <ReadingTable />
  </section>
</template>
