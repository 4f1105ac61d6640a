<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { needsOf, type School } from '~~/core/kit'
import { measuredWords } from '~~/core/wording'
import KitTitle from '~/components/print/KitTitle.vue'
import { useCustoms } from '~/composables/customs'

/** What went out, with room for what came back and what broke. */
const plan = useLessonPlan()
const props = defineProps<{ school: School }>()
const { kitchen } = useCustoms()
const rows = computed(() =>
  needsOf(plan.value, props.school)
    .filter(({ forClass }) => forClass > 0)
    .map((need) => ({ need, material: plan.value.materials.find(({ id }) => id === need.material)! })),
)
</script>

<template>
  <div>
    <KitTitle what="Counting back" />
    <table class="ruled font-heading">
      <thead>
        <tr>
          <th>Thing</th>
          <th>Goes back to</th>
          <th class="figure">Went out</th>
          <th class="write">Came back</th>
          <th class="write">Broken or lost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ need, material } in rows" :key="need.material">
          <td>
            {{ material.name || 'a thing without a name'
            }}<small class="block" v-if="material.use === 'up'"> used up; what is left counts</small>
          </td>
          <td>{{ need.supply.place }}</td>
          <td class="figure">{{ measuredWords(need.forClass, need.unit, kitchen) }}</td>
          <td class="write" />
          <td class="write" />
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.ruled td,
.ruled th {
  padding: 2mm;
  color: #000;
}
.write {
  width: 27mm;
  border-left: 1px solid #000;
}
</style>
