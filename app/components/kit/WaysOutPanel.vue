<script setup lang="ts">
import type { Need } from '~~/core/kit'
import { waysOut, takeWayOut, type WayOut } from '~~/core/waysOut'
import { amountWords, wayOutWords } from '~~/core/wording'
import { useCustoms } from '~/composables/customs'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** What runs short, and for each thing the ways out, worked out and done with one click. */
const props = defineProps<{ needs: Need[] }>()
const lesson = useLesson()
const { currency } = useCustoms()
const plan = computed(() => lesson.plan!)
const short = computed(() =>
  props.needs
    .filter((need) => need.short > 0)
    .map((need) => {
      const material = plan.value.materials.find(({ id }) => id === need.material)!
      const ways = waysOut(plan.value, need, lesson.school, () => '')
      return { need, material, ways: ways.map((way) => ({ way, ...wayOutWords(way, plan.value, need.unit, currency.value) })) }
    }),
)
const take = (way: WayOut) => lesson.replace(takeWayOut(plan.value, way, newId))
</script>

<template>
  <section v-if="short.length > 0" class="section sheet" aria-labelledby="ways-out">
    <h3 class="text-lead" id="ways-out">Runs short</h3>
    <div
      v-for="{ need, material, ways } in short"
      :key="need.material"
      class="thing py-close px-0 edge-top-1-line"
      :data-target="`ways-${material.id}`"
      tabindex="-1"
    >
      <p>
        <strong>{{ material.name || 'A thing without a name' }}</strong>
        <span class="trouble"> ▲ {{ amountWords(need.short, need.unit) }} short</span>
        <span v-if="material.toBuy" class="soft"> · on the shopping list</span>
      </p>
      <ul :aria-label="`Ways out for ${material.name}`">
        <li v-for="({ way, label, effect }, place) in ways" :key="place">
          <VBtn size="small" @click="take(way)">{{ label }}</VBtn>
          <span>{{ effect }}</span>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.thing:first-of-type {
  border: 0;
}
li {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: var(--gap-wide);
  align-items: center;
  padding: var(--gap-tight) 0;
}
</style>
