<script setup lang="ts">
import { letterOf, LONGEST, seriesFactor } from '~~/core/lesson'
import { MOST_SERIES, seriesIn, withOneSeriesMore, withoutSeries, withSeriesName } from '~~/core/test'
import { usedIn } from '~~/core/record'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import TextField from '~/forms/TextField.vue'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** The second thing that differs on purpose: a row for each of its values, with the conditions that it is tested in. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const series = computed(() => seriesIn(plan.value))
const placeOf = (id: string) => plan.value.conditions.findIndex((one) => one.id === id)
const remove = (id: string) => lesson.replace(withoutSeries(plan.value, id, usedIn(lesson.record).conditions))
</script>

<template>
  <div class="mt-near" role="group" :aria-label="`Each of them with ${seriesFactor(plan)?.name ?? 'the second thing'}`">
    <h4 class="text-body">
      Each of them with {{ seriesFactor(plan)?.name ?? 'the second thing' }}
      <span class="soft font-normal">a line of its own on the graph, and “do they differ?”</span>
    </h4>
    <ul class="rows">
      <li v-for="(one, place) in series" :key="one.id">
        <TextField
          bare
          class="name"
          :label="`Name of series ${place + 1}`"
          :target="`series-${one.id}`"
          :model-value="one.name"
          :longest="LONGEST.name"
          placeholder="which one?"
          @update:model-value="lesson.replace(withSeriesName(plan, one.id, $event), `series-${one.id}`)"
        />
        <ConditionBadge v-for="id in one.conditions" :key="id" :size="24" :letter="letterOf(plan, id)" :place="placeOf(id)" />
        <QuietBtn size="small" :aria-label="`Take away ${one.name || `series ${place + 1}`}`" @click="remove(one.id)">✕</QuietBtn>
      </li>
    </ul>
    <QuickAdd
      v-if="series.length < MOST_SERIES"
      label="Add a series"
      placeholder="+ another"
      :longest="LONGEST.name"
      class="more"
      @add="lesson.replace(withOneSeriesMore(plan, $event, newId))"
    />
  </div>
</template>

<style scoped>
.rows {
  display: grid;
  gap: var(--gap-close);
  margin: 4px 0;
}
.rows li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-close);
}
.name,
.more {
  width: 260px;
}
</style>
