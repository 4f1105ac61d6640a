<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import KitTitle from '~/components/print/KitTitle.vue'

/** Slips for after a visit: one thing well, one to work on. Two for each group, to be cut out. */
const plan = useLessonPlan()
const slips = computed(() => plan.value.groups.flatMap((group) => [1, 2].map((copy) => ({ group, copy }))))
</script>

<template>
  <div>
    <KitTitle what="After a visit" />
    <div class="grid grid-cols-2 gap-y-4mm gap-x-6mm">
      <section v-for="{ group, copy } in slips" :key="`${group.id}${copy}`" class="slip keep-together">
        <h2 class="flex items-center gap-2mm text-12pt">
          <ShapeBadge :size="16" :shape="group.shape" /> {{ group.name }} went to …
        </h2>
        <p v-if="plan.criteria.length > 0" class="text-10pt">We look for: {{ plan.criteria.join(' · ') }}</p>
        <p class="text-11pt">One thing they did well</p>
        <span class="line" /><span class="line" />
        <p class="text-11pt">One thing to work on</p>
        <span class="line" /><span class="line" />
      </section>
    </div>
  </div>
</template>

<style scoped>
.slip {
  padding: 3mm;
  border: 0.3mm dashed #000;
}
.line {
  display: block;
  height: 8mm;
  border-bottom: 0.3mm solid #000;
}
</style>
