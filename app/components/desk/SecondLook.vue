<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import type { Stop } from '~~/core/lesson'

/** What the computation found in the whole lesson, worst first; this stop's own first among equals. Folds away to a count. */
const props = defineProps<{ stop: Stop }>()
const lesson = useLesson()
const RANK = { wrong: 0, attention: 1, note: 2 }
const findings = computed(() =>
  [...lesson.findings].sort(
    (a, b) => RANK[a.severity] - RANK[b.severity] || Number(b.stop === props.stop) - Number(a.stop === props.stop),
  ),
)
const serious = computed(() => lesson.findings.filter((finding) => finding.severity !== 'note').length)
</script>

<template>
  <aside class="look screen-only" :class="{ folded: lesson.lookFolded }" aria-labelledby="second-look">
    <QuietBtn
      class="turn"
      size="small"
      :aria-expanded="!lesson.lookFolded"
      :aria-label="lesson.lookFolded ? 'Open the Second look' : 'Fold the Second look away'"
      :append-icon="lesson.lookFolded ? mdiChevronLeft : mdiChevronRight"
      @click="lesson.lookFolded = !lesson.lookFolded"
    >
      <span class="badge" :class="{ none: serious === 0 }">{{ lesson.findings.length }}</span>
    </QuietBtn>
    <template v-if="!lesson.lookFolded">
      <h2 id="second-look">Second look</h2>
      <p class="soft lead">worked out, worst first</p>
      <ul v-if="findings.length > 0">
        <FindingCard v-for="finding in findings" :key="finding.key" :finding="finding" :here="stop" />
      </ul>
      <p v-else class="fine">
        <strong>Nothing found.</strong>
        Fair, measurable, counted and in time, as far as sums can tell.
      </p>
    </template>
    <h2 v-else id="second-look" class="sr-only">Second look</h2>
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
.look h2 {
  font-size: var(--type-lead);
}
.lead {
  margin-bottom: 10px;
  font-size: var(--type-small);
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
.fine {
  padding-top: var(--gap-wide);
  border-top: 1px solid var(--line);
}
@media (width < 900px) {
  .look {
    position: static;
    width: auto;
    height: auto;
  }
}
</style>
