<script setup lang="ts">
import { isEachChild } from '~~/core/lesson'
import { nowWays, takeNow, type NowWay } from '~~/core/waysOut'
import { isLate, type TestClock, type UnderWay } from '~~/core/record'
import { nameOfGroup, nowWayWords, underWayWords } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import UnderWayBar from '~/components/test/UnderWayBar.vue'
import { useLesson } from '~/stores/lesson'
import { useDeskBoard } from '~/stores/deskBoard'
import { serverNow } from '~/following/serverClock'

/** When the class will be done, against the bell, and what could be done about it now. */
const props = defineProps<{ forecast: UnderWay; clock: TestClock & { until: number | undefined } }>()
const lesson = useLesson()
const onBoard = useDeskBoard()
const plan = computed(() => lesson.plan!)
const late = computed(() => isLate(props.forecast))
const ways = computed(() =>
  nowWays(plan.value, lesson.record, props.clock, lesson.school.calendar).map((way) => ({
    way,
    ...nowWayWords(plan.value, way, props.clock.now),
  })),
)
const onPaper = computed(() => props.forecast.groups.length > 1 && !isEachChild(plan.value))

const take = ({ change }: NowWay) => lesson.replace(takeNow(plan.value, change))
function tap(group: string): void {
  const at = new Date(serverNow()).toISOString()
  void onBoard.show({ tap: { group, at } })
}
function untap(): void {
  const untap = onBoard.state.tapped.at(-1)
  if (untap) void onBoard.show({ untap })
}
</script>

<template>
  <div class="w-full grid gap-near" data-target="under-way">
    <p class="text-lead font-bold" :class="{ 'text-beet': late }" role="status">
      <span v-if="late" aria-hidden="true">▲ </span>{{ underWayWords(forecast, clock.now, clock.until) }}
    </p>
    <UnderWayBar v-if="forecast.done < forecast.all" :forecast="forecast" :now="clock.now" />
    <ul v-if="ways.length > 0" class="grid gap-tight" aria-label="What could be done now">
      <li v-for="({ way, label, effect }, place) in ways" :key="way.change.code" class="way">
        <VBtn size="small" :variant="place === 0 ? 'flat' : undefined" @click="take(way)">{{ label }}</VBtn>
        <span>{{ effect }}</span>
      </li>
    </ul>
    <AppFold v-if="onPaper" title="On paper: one more trial done">
      <div class="flex flex-wrap gap-near">
        <VBtn
          v-for="{ group, done, left } in forecast.groups"
          :key="group"
          size="small"
          :disabled="left === 0"
          @click="tap(group!)"
        >
          {{ nameOfGroup(plan, group!) }}: {{ done }}
        </VBtn>
        <QuietBtn v-if="onBoard.state.tapped.length > 0" size="small" @click="untap">Take the last tap back</QuietBtn>
      </div>
    </AppFold>
  </div>
</template>

<style scoped>
.way {
  display: grid;
  grid-template-columns: minmax(200px, max-content) 1fr;
  gap: var(--gap-wide);
  align-items: center;
}
</style>
