<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { classConclusion, offersOf } from '~~/core/agree'
import { everyTable, evidenceOf } from '~~/core/evidence'
import { groupOf, type BoardState, type LessonRecord } from '~~/core/lesson'
import { stampedOrders } from '~~/core/predictions'
import { foresight, gradesInOne, handsForesight } from '~~/core/wording'
import GroupName from '~/components/pieces/GroupName.vue'

/** The class's sentence in large letters, as it is being written; the groups' sentences until there is one. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; board: BoardState }>()
const last = computed(() => classConclusion(props.record.conclusions))
const offers = computed(() => offersOf(plan.value, props.record.conclusions))
const text = computed(() => props.board.draft || (last.value?.text ?? ''))
const agreed = computed(() => last.value?.agreed === true && last.value.text === text.value.trim())
const evidence = computed(() => evidenceOf(plan.value, props.record))
const orders = computed(() => stampedOrders(plan.value, props.record.predictions))
const FEW = 5
</script>

<template>
  <div class="grid gap-block content-start h-full pt-wide overflow-auto">
    <p v-if="text" class="text" :class="{ long: text.length > 220 }">{{ text }}</p>
    <p v-else class="text soft">What do we agree on?</p>
    <p v-if="agreed && last">
      Agreed<template v-if="last.hands !== null">, {{ last.hands }} hands up</template>.
      <template v-if="evidence"
        >How sure: <strong>{{ gradesInOne(everyTable(plan, record)).toLowerCase() }}</strong>.
        {{ foresight(plan, evidence, orders) }} {{ handsForesight(plan, evidence, record) }}</template
      >
    </p>
    <ul v-else class="offers" :class="{ many: offers.length > FEW }">
      <li v-for="one in offers" :key="one.id">
        <GroupName :group="groupOf(plan, one.group)!" />
        <span class="grow">{{ one.text }}</span>
        <strong v-if="one.hands !== null" class="nowrap">{{ one.hands }} hands</strong>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.text {
  padding: var(--gap-block) var(--gap-far);
  border: 2.5px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 var(--corner-glass) var(--corner-glass);
  font-size: var(--type-figure);
  line-height: 1.35;
  overflow-wrap: anywhere;
}
.text.long {
  font-size: var(--type-huge);
}
.offers li {
  display: flex;
  align-items: baseline;
  gap: var(--gap-block);
  padding: var(--gap-near) 0;
  border-bottom: 1px solid var(--line);
}
.offers.many {
  font-size: var(--type-huge);
}
.offers.many li {
  padding: var(--gap-hair) 0;
}
</style>
