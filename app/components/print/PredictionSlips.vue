<script setup lang="ts">
import { activeConditions, letterOf, type Plan } from '~~/core/lesson'
import { FRAME_WORDS, nameOfCondition, question } from '~~/core/wording'

/** A slip for every group to cut out: its order, the most first, and why. Four to a page. */
const props = defineProps<{ plan: Plan }>()
const A_PAGE = 4
const pages = computed(() =>
  Array.from({ length: Math.ceil(props.plan.groups.length / A_PAGE) }, (_, page) =>
    props.plan.groups.slice(page * A_PAGE, (page + 1) * A_PAGE),
  ),
)
</script>

<template>
  <div>
    <h1 class="screen-only">Prediction slips</h1>
    <div v-for="(groups, page) in pages" :key="page" class="slips" :class="{ 'new-page': page > 0 }">
      <section v-for="group in groups" :key="group.id" class="slip keep-together">
        <h2><ShapeBadge :size="18" :shape="group.shape" /> {{ group.name }}</h2>
        <p class="question">{{ question(plan) }}</p>
        <p class="conditions">
          <span v-for="condition in activeConditions(plan)" :key="condition.id"
            ><strong>{{ letterOf(plan, condition.id) }}</strong> {{ nameOfCondition(plan, condition.id) }}</span
          >
        </p>
        <p class="order">
          most
          <span v-for="condition in activeConditions(plan)" :key="condition.id" class="box" />
          least
        </p>
        <p>{{ FRAME_WORDS[plan.frame].name }}</p>
        <p class="line" />
        <p class="line" />
        <p class="line" />
      </section>
    </div>
  </div>
</template>

<style scoped>
.slips {
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.slip {
  min-height: 124mm;
  padding: 5mm;
  border: 1px dashed #000;
}
h2 {
  display: flex;
  align-items: center;
  gap: 2mm;
  font-size: 15pt;
}
.question {
  margin: 2mm 0;
  font-size: 12.5pt;
  font-weight: 700;
}
.conditions {
  display: flex;
  flex-wrap: wrap;
  gap: 1mm 5mm;
}
.order {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2mm;
  margin: 4mm 0;
}
.box {
  width: 11mm;
  height: 11mm;
  border: 1.5px solid #000;
}
.line {
  height: 9mm;
  border-bottom: 1px solid #000;
}
</style>
