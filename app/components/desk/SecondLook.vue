<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import type { Stop } from '~~/core/lesson'
import { firstSteps, hourOf, sortedByHour } from '~~/core/secondLook'
import { HOUR_WORDS, otherHourWords } from '~~/core/wording'
import FindingCard from '~/components/desk/FindingCard.vue'
import FindingsFold from '~/components/desk/FindingsFold.vue'
import FirstSteps from '~/components/desk/FirstSteps.vue'
import { useLesson } from '~/stores/lesson'
import { useSecondLook } from '~/stores/secondLook'

/**
 * What the computation found that matters at this hour of the lesson, worst first and five at most; the rest is folded. A lesson that
 * has only begun has its first steps here. Folds away to a count.
 */
const props = defineProps<{ stop: Stop }>()
const lesson = useLesson()
const look = useSecondLook()
const hour = computed(() => hourOf(lesson.plan!, lesson.record))
const steps = computed(() => firstSteps(lesson.plan!, lesson.record))
const sorted = computed(() => sortedByHour(look.findings, hour.value, props.stop))
const now = computed(() => [...sorted.value.open, ...sorted.value.more])
const serious = computed(() => now.value.some((finding) => finding.severity !== 'note'))
</script>

<template>
  <aside class="look screen-only" data-target="second-look" :class="{ folded: look.folded }" aria-labelledby="second-look">
    <QuietBtn
      class="turn"
      size="small"
      :aria-expanded="!look.folded"
      :aria-label="look.folded ? 'Open the Second look' : 'Fold the Second look away'"
      :append-icon="look.folded ? mdiChevronLeft : mdiChevronRight"
      @click="look.folded = !look.folded"
    >
      <span class="badge" :class="{ none: !serious }">{{ now.length }}</span>
    </QuietBtn>
    <template v-if="!look.folded">
      <h2 class="text-lead" id="second-look">Second look</h2>
      <FirstSteps v-if="steps" :steps="steps" />
      <p v-else class="soft lead mb-10px text-small">{{ HOUR_WORDS[hour].title }}</p>
      <ul v-if="now.length > 0">
        <FindingCard v-for="finding in sorted.open" :key="finding.key" :finding="finding" :here="stop" />
      </ul>
      <p v-else-if="!steps" class="pt-wide edge-top-1-line">
        <strong>Nothing found.</strong>
        {{ HOUR_WORDS[hour].calm }}
      </p>
      <FindingsFold v-if="sorted.more.length > 0" :title="`${sorted.more.length} more`" :findings="sorted.more" :here="stop" />
      <FindingsFold
        v-if="sorted.past.length > 0"
        :title="otherHourWords(sorted.past.length, 'past')"
        :findings="sorted.past"
        :here="stop"
      />
      <FindingsFold
        v-if="sorted.coming.length > 0"
        :title="otherHourWords(sorted.coming.length, 'coming')"
        :findings="sorted.coming"
        :here="stop"
      />
    </template>
    <h2 v-else id="second-look" class="sr-only text-lead">Second look</h2>
  </aside>
</template>

<style scoped>
.look {
  position: sticky;
  top: 0;
  width: 300px;
  height: 100vh;
  overflow-y: auto;
  padding: var(--gap-block) var(--gap-block) var(--gap-far);
  border-left: 1px solid var(--line);
  background: var(--panel);
}
.look.folded {
  width: 58px;
  padding: var(--gap-block) var(--gap-close);
}
.turn {
  float: right;
}
.badge {
  min-width: 24px;
  padding: 0 var(--gap-close);
  border-radius: var(--corner-glass);
  background: var(--beet-light);
  color: var(--beet);
  font-weight: 700;
  text-align: center;
}
.badge.none {
  background: var(--green-light);
  color: var(--green);
}
@media (width < 900px) {
  .look {
    position: static;
    width: auto;
    height: auto;
  }
}
</style>
