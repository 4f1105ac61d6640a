<script setup lang="ts">
import { billOf, COLUMNS, likelyThing, materialsFromPlan, needsOf } from '~~/core/kit'
import { LONGEST, newMaterial } from '~~/core/lesson'
import { counted, PER_WORDS, spoonWords, trialSum } from '~~/core/wording'
import { FIRST_COLUMNS } from './columns'
import CautionPanel from '~/components/kit/CautionPanel.vue'
import CountBack from '~/components/kit/CountBack.vue'
import GettingReadyPanel from '~/components/kit/GettingReadyPanel.vue'
import KitTable from '~/components/kit/KitTable.vue'
import WaysOutPanel from '~/components/kit/WaysOutPanel.vue'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import PrintMenu from '~/components/pieces/PrintMenu.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import { useCustoms } from '~/composables/customs'
import { focusTarget } from '~/composables/keys'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useSecondLook } from '~/stores/secondLook'

/** What every tray holds, multiplied for the class; what runs short and what to do about it; getting ready; cautions. */
const lesson = useLesson()
const look = useSecondLook()
const { kitchen, money } = useCustoms()
const plan = computed(() => lesson.plan!)
const needs = computed(() => needsOf(plan.value, lesson.school))
const needOf = computed(() => new Map(needs.value.map((need) => [need.material, need])))
const whole = ref(false)
const offered = computed(() => materialsFromPlan(plan.value, () => ''))
const spoons = computed(() =>
  spoonWords(
    needs.value.map(({ unit }) => unit),
    kitchen.value,
  ),
)
const bill = computed(() => {
  const onList = new Set(plan.value.materials.filter(({ toBuy }) => toBuy).map(({ id }) => id))
  const { things, cost } = billOf(needs.value.filter(({ material }) => onList.has(material)))
  return things === 0 ? '' : `To buy: ${counted(things, 'thing')}${cost > 0 ? `, ${money(cost)}` : ''}.`
})
onMounted(() => lesson.lookAround())

function showWhole(all: boolean): void {
  whole.value = all
  look.folded = all
}

function add(name: string): void {
  const thing = likelyThing(name, lesson.school.things)?.id ?? null
  lesson.edit((draft) => draft.materials.push({ ...newMaterial(newId(), name), thing }))
}
function take(name: string): void {
  const material = materialsFromPlan(plan.value, newId).find((one) => one.name === name)
  if (material) lesson.edit((draft) => draft.materials.push(material))
}
const PRINTS = ['trays', 'labels', 'picking', 'shopping', 'getting-ready', 'count-back'] as const
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Kit</h2>
      <p class="soft figures text-body">{{ trialSum(plan) }}</p>
      <div class="row ml-auto self-center">
        <VBtn v-if="plan.materials.length > 0" size="small" :aria-pressed="whole" @click="showWhole(!whole)">
          {{ whole ? 'Fewer columns' : 'All columns' }}
        </VBtn>
        <VBtn size="small" to="/cupboard">Cupboard</VBtn>
        <PrintMenu :names="PRINTS" />
      </div>
    </div>
    <KitTable
      data-target="kit-table"
      v-if="plan.materials.length > 0"
      :columns="whole ? [...COLUMNS] : FIRST_COLUMNS"
      :needs="needOf"
      :whole="whole"
    />
    <EmptyNote v-else title="What does one tray hold?" begin="List the first thing" @begin="focusTarget('new-material')">
      Name a thing and how much {{ PER_WORDS.group }} or {{ PER_WORDS.trial }} takes, such as “1 strip” {{ PER_WORDS.trial }}.
      Conditions, repeats, groups and spares are multiplied for you.
    </EmptyNote>
    <QuickAdd
      class="add"
      is-new
      target="new-material"
      label="Add a thing to the kit"
      placeholder="+ another thing"
      example="a shallow tray"
      :longest="LONGEST.name"
      @add="add"
    />
    <p v-if="offered.length > 0" class="row mt-close gap-y-tight gap-x-near">
      <span class="hint">From the plan:</span>
      <QuietBtn v-for="one in offered" :key="one.name" size="small" @click="take(one.name)"> + {{ one.name }} </QuietBtn>
    </p>
    <p v-if="bill || spoons" class="hint">{{ bill }} {{ spoons }}</p>
    <WaysOutPanel :needs="needs" />
    <CautionPanel />
    <GettingReadyPanel :needs="needs" />
    <CountBack :needs="needs" />
  </div>
</template>

<style scoped>
.add {
  margin-top: 8px;
}
</style>
