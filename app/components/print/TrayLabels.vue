<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { arrangementOf, circuitStations, conditionsByGroup } from '~~/core/arrangement'
import { letterOf, type Group } from '~~/core/lesson'
import { careLines, counted, nameOfCondition, orderLine } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import ConditionName from '~/components/pieces/ConditionName.vue'
import SetUpDrawing from '~/components/pieces/SetUpDrawing.vue'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import { useFitInside } from '~/composables/fitInside'

/**
 * A label for every group's tray, eight to a page: whose it is, which conditions, what to take care with. In a circuit the
 * stations have one too.
 */
const plan = useLessonPlan()
const own = computed(() => conditionsByGroup(plan.value))
const care = computed(() => careLines(plan.value))
const stations = computed(() =>
  arrangementOf(plan.value) === 'circuit'
    ? circuitStations(plan.value).flatMap(({ id, copies, measures }) => Array.from({ length: copies }, () => ({ id, measures })))
    : [],
)
const stationName = ({ id, measures }: { id: string; measures: boolean }) =>
  measures ? nameOfCondition(plan.value, id) : plan.value.arrangement.extra.find((one) => one.id === id)?.name || 'Station'
type Label = { group: Group } | { station: { id: string; measures: boolean } }
/** So many to a page; where that is too little room for nine points first the drawing goes, then they grow. */
const SIZES = [8, 6, 4]
const size = ref(0)
const drawn = ref(true)
const onPage = computed(() => SIZES[size.value]!)
const pages = computed(() => {
  const labels: Label[] = [...plan.value.groups.map((group) => ({ group })), ...stations.value.map((station) => ({ station }))]
  return Array.from({ length: Math.ceil(labels.length / onPage.value) }, (_, page) =>
    labels.slice(page * onPage.value, (page + 1) * onPage.value),
  )
})
/** From so many conditions on their letters and hatches have to do. */
const MANY = 5
const sheet = ref<HTMLElement>()
/** Eleven points may become nine. */
const READ = 0.82
const fit = useFitInside(sheet, '.label', (smallest) => {
  if (smallest >= READ) return
  if (drawn.value) drawn.value = false
  else if (size.value < SIZES.length - 1) size.value += 1
  else return
  void fit()
})
</script>

<template>
  <div ref="sheet">
    <h1 class="sr-only">Tray labels</h1>
    <section
      v-for="(labels, page) in pages"
      :key="page"
      class="page"
      :class="{ 'new-page': page > 0 }"
      :style="{ gridAutoRows: `${240 / (onPage / 2)}mm` }"
      :aria-label="`Labels, page ${page + 1}`"
    >
      <article v-for="(label, place) in labels" :key="place" class="label">
        <template v-if="'group' in label">
          <h2>
            <ShapeBadge :size="30" :shape="label.group.shape" /> {{ label.group.name }}
            <SetUpDrawing v-if="drawn" class="drawing" :investigation="plan.investigation" />
          </h2>
          <p class="title">
            {{ plan.title }} · <span class="nowrap">{{ counted(label.group.seats, 'seat') }}</span>
          </p>
          <p class="conditions">
            <template v-for="id in own.get(label.group.id)" :key="id">
              <ConditionBadge
                v-if="own.get(label.group.id)!.length >= MANY"
                :size="34"
                :letter="letterOf(plan, id)"
                :place="plan.conditions.findIndex((condition) => condition.id === id)"
              />
              <ConditionName v-else :id="id" :size="34" />
            </template>
          </p>
          <p v-if="orderLine(plan, label.group.id)" class="order text-11pt">In this order: {{ orderLine(plan, label.group.id) }}</p>
        </template>
        <template v-else>
          <h2>
            <ConditionBadge
              v-if="label.station.measures"
              :size="56"
              :letter="letterOf(plan, label.station.id)"
              :place="plan.conditions.findIndex((condition) => condition.id === label.station.id)"
            />
            {{ stationName(label.station) }}
          </h2>
          <p class="title">{{ plan.title }} · station</p>
        </template>
        <div v-if="care.length > 0" class="care">
          <p v-for="{ doer, who, what } in care" :key="doer">
            <strong>{{ who }}:</strong> {{ what }}
          </p>
          <p>The school’s own rules come first.</p>
        </div>
      </article>
    </section>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.label {
  --unit: calc(1px * var(--fit));
  display: flex;
  flex-direction: column;
  gap: calc(1.5mm * var(--fit));
  overflow: hidden;
  padding: 3mm 4mm;
  border: 1px dashed #000;
  break-inside: avoid;
}
h2 {
  display: flex;
  align-items: center;
  gap: 3mm;
  font-size: calc(24pt * var(--fit));
  line-height: 1.1;
  overflow-wrap: anywhere;
}
.drawing {
  width: auto;
  height: calc(15mm * var(--fit));
  margin: -1mm 0 -6mm auto;
}
.title {
  font-size: calc(11pt * var(--fit));
  line-height: 1.2;
}
.conditions {
  display: flex;
  flex-wrap: wrap;
  gap: 1mm 3mm;
  font-size: calc(14pt * var(--fit));
  line-height: 1.15;
}
.care {
  margin-top: auto;
  font-size: max(9pt, calc(10pt * var(--fit)));
  line-height: 1.2;
}
</style>
