<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { billOf, needsOf, type School } from '~~/core/kit'
import { amountWords, counted, measuredWords } from '~~/core/wording'
import KitTitle from '~/components/print/KitTitle.vue'
import { useCustoms } from '~/composables/customs'

/** What is short, in whole packs, with what it costs and what is left over. */
const plan = useLessonPlan()
const props = defineProps<{ school: School }>()
const { kitchen, money } = useCustoms()
const rows = computed(() =>
  needsOf(plan.value, props.school)
    .filter(({ short }) => short > 0)
    .map((need) => ({ need, material: plan.value.materials.find(({ id }) => id === need.material)! })),
)
const bill = computed(() => billOf(rows.value.map(({ need }) => need)))
</script>

<template>
  <div>
    <KitTitle what="Shopping list" />
    <p v-if="rows.length === 0">Nothing is short.</p>
    <table v-else class="ruled font-heading">
      <thead>
        <tr>
          <th><span class="sr-only">Got</span></th>
          <th>Thing</th>
          <th>Buy</th>
          <th class="figure">Short</th>
          <th class="figure">Left over</th>
          <th class="figure">Cost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ need, material } in rows" :key="need.material">
          <td class="w-9mm"><span class="square" /></td>
          <td>{{ material.name || 'a thing without a name' }}</td>
          <td>
            <strong>{{
              need.packs
                ? `${counted(need.packs.count, 'pack')} of ${amountWords(need.supply.pack!, need.unit)}`
                : measuredWords(need.short, need.unit, kitchen)
            }}</strong>
          </td>
          <td class="figure">{{ amountWords(need.short, need.unit) }}</td>
          <td class="figure">{{ need.packs ? amountWords(need.packs.leftOver, need.unit) : '' }}</td>
          <td class="figure">{{ need.packs?.cost === undefined ? '' : money(need.packs.cost) }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td colspan="5" class="figure">
            <strong>In all</strong>{{ bill.unpriced > 0 ? `, ${counted(bill.unpriced, 'thing')} without a price` : '' }}
          </td>
          <td class="figure">
            <strong>{{ money(bill.cost) }}</strong>
          </td>
        </tr>
      </tfoot>
    </table>
  </div>
</template>

<style scoped>
.ruled td,
.ruled th {
  padding: 1.4mm 2mm;
  color: #000;
}
</style>
