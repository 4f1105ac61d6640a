<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { activeConditions, conditionName, letterOf } from '~~/core/lesson'
import { canWeighEmpty, containerKey, testOf, unweighed, withMethodOf, type ResolvedMethod } from '~~/core/test'
import { counted } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import NumberField from '~/forms/NumberField.vue'
import { useLesson } from '~/stores/lesson'

/** What each group's containers weigh empty, once for each. */
const plan = useLessonPlan()
const lesson = useLesson()
const method = computed(() => testOf(plan.value).method)
const conditions = computed(() => activeConditions(plan.value))
const open = computed(() => unweighed(plan.value).length)

function set(group: string, condition: string, value: number | null): void {
  const key = containerKey({ group, condition })
  const weighed = (own: ResolvedMethod): ResolvedMethod => {
    const { [key]: _old, ...others } = own.empties
    return { ...own, empties: value === null ? others : { ...others, [key]: value } }
  }
  lesson.edit((draft) => Object.assign(draft, withMethodOf(draft, plan.value.measured, weighed)), `empty-${key}`)
}
</script>

<template>
  <AppFold
    v-if="method?.weighsEmpty && canWeighEmpty(plan)"
    title="Empty containers"
    target="empties"
    :hint="open === 0 ? 'all weighed' : `${counted(open, 'container')} still to weigh; without it there is no result`"
  >
    <div class="scroll" tabindex="0" role="group" aria-label="Empty containers">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Empty</th>
            <th v-for="condition in conditions" :key="condition.id" scope="col">
              {{ letterOf(plan, condition.id) }} {{ conditionName(plan, condition) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="group in plan.groups" :key="group.id">
            <th scope="row">{{ group.name }}</th>
            <td v-for="condition in conditions" :key="condition.id">
              <NumberField
                bare
                optional
                :label="`${group.name}, ${conditionName(plan, condition)}, empty`"
                :unit="method.unit"
                :model-value="method.empties[containerKey({ group: group.id, condition: condition.id })] ?? null"
                @update:model-value="set(group.id, condition.id, $event)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </AppFold>
</template>
