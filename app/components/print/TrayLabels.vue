<script setup lang="ts">
import { conditionsByGroup } from '~~/core/clock'
import { cautionsOf } from '~~/core/kit'
import type { Plan } from '~~/core/lesson'
import { cautionLine, counted } from '~~/core/wording'

/** A label for every group's tray, eight to a page: whose it is, which conditions, what to take care with. */
const props = defineProps<{ plan: Plan }>()
const own = computed(() => conditionsByGroup(props.plan))
const care = computed(() => [
  ...cautionsOf(props.plan)
    .filter(({ notHere }) => notHere === undefined)
    .map(({ caution, doer }) => cautionLine(caution, doer)),
  ...props.plan.ownCautions.map(({ text }) => text),
])
const ON_PAGE = 8
const pages = computed(() =>
  Array.from({ length: Math.ceil(props.plan.groups.length / ON_PAGE) }, (_, page) =>
    props.plan.groups.slice(page * ON_PAGE, (page + 1) * ON_PAGE),
  ),
)
</script>

<template>
  <div>
    <section
      v-for="(groups, page) in pages"
      :key="page"
      class="page"
      :class="{ 'new-page': page > 0 }"
      :aria-label="`Labels, page ${page + 1}`"
    >
      <article v-for="group in groups" :key="group.id" class="label">
        <h2><ShapeBadge :size="30" :shape="group.shape" /> {{ group.name }}</h2>
        <p class="title">
          {{ plan.title }} <span>{{ counted(group.seats, 'seat') }}</span>
        </p>
        <p class="conditions" :class="{ many: own.get(group.id)!.length > 4 }">
          <ConditionName v-for="id in own.get(group.id)" :key="id" :plan="plan" :id="id" :size="22" />
        </p>
        <p v-if="care.length > 0" class="care"><strong>Take care:</strong> {{ care.join(', ') }}. School rules first.</p>
      </article>
    </section>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: 1fr 1fr;
  grid-auto-rows: 60mm;
}
.label {
  display: flex;
  flex-direction: column;
  gap: 1.5mm;
  overflow: hidden;
  padding: 3mm 4mm;
  border: 1px dashed #000;
  break-inside: avoid;
}
h2 {
  display: flex;
  align-items: center;
  gap: 3mm;
  font-size: 20pt;
  line-height: 1.1;
}
.title {
  font-size: 10.5pt;
}
.title span {
  white-space: nowrap;
}
.conditions {
  display: flex;
  flex-wrap: wrap;
  gap: 1mm 4mm;
  max-height: 22mm;
  overflow: hidden;
  font-size: 11pt;
}
.conditions.many {
  font-size: 9pt;
  line-height: 1.1;
}
.care {
  margin-top: auto;
  overflow: hidden;
  font-size: 9pt;
  line-height: 1.25;
}
</style>
