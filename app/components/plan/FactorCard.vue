<script setup lang="ts">
import { activeConditions, changedFactor, type Factor } from '~~/core/lesson'
import { mayHaveSeries, withSeries } from '~~/core/test'
import { chooseChange } from '~~/core/fairness'
import { counted, seriesNames, takeWords } from '~~/core/wording'
import TrayCard from '~/components/plan/TrayCard.vue'
import GrowingField from '~/forms/GrowingField.vue'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useSecondLook } from '~/stores/secondLook'

/** A thing we could change. Kept the same, it asks how. */
const props = defineProps<{ factor: Factor; tray: 'heap' | 'change' | 'second' | 'coming' | 'keep' }>()
const lesson = useLesson()
const look = useSecondLook()
const plan = computed(() => lesson.plan!)
const changed = computed(() => changedFactor(plan.value))
const unsaid = computed(() => props.tray === 'keep' && props.factor.how.trim() === '')
const differs = computed(
  () => props.tray === 'keep' && activeConditions(plan.value).some(({ id }) => id in props.factor.exceptions),
)

function write(part: 'name' | 'how', text: string): void {
  lesson.edit((draft) => {
    draft.factors.find((one) => one.id === props.factor.id)![part] = text
  }, `${part}-${props.factor.id}`)
}

const items = computed(() => [
  ...(props.tray === 'second'
    ? []
    : [{ label: takeWords(plan.value.kind), key: 'c', run: () => lesson.replace(chooseChange(plan.value, props.factor.id)) }]),
  ...(props.tray === 'keep' && mayHaveSeries(plan.value) ? [{ label: 'Test two of these as well', key: 's', run: differToo }] : []),
  ...(props.tray === 'keep' && changed.value
    ? [{ label: `It comes with ${changed.value.name}`, key: 'w', run: () => comes(true) }]
    : []),
  ...(props.tray === 'coming' ? [{ label: 'Keep the same', key: 'k', run: () => comes(false) }] : []),
  ...(props.tray === 'change'
    ? [{ label: 'Keep the same', key: 'k', run: () => lesson.edit((draft) => (draft.changed = null)) }]
    : []),
  ...(props.tray === 'second' ? [] : [{ label: 'Take away', key: 'Delete', run: takeAway }]),
])

function comes(comesWith: boolean): void {
  lesson.edit((draft) => {
    draft.factors.find((one) => one.id === props.factor.id)!.comesWith = comesWith
  })
}

/** What it was kept at is the first of two; the other waits for its name. */
function differToo(): void {
  lesson.replace(withSeries(plan.value, props.factor.id, [props.factor.how.trim() || 'the first', ''], newId))
  look.target = `series-${plan.value.series.at(-1)!.id}`
}

function takeAway(): void {
  lesson.edit((draft) => {
    draft.factors = draft.factors.filter((one) => one.id !== props.factor.id)
    if (draft.changed === props.factor.id) draft.changed = null
  })
}
</script>

<template>
  <TrayCard :name="factor.name" :items="items" :wrong="unsaid || differs" :class="{ unsaid }" @rename="write('name', $event)">
    <GrowingField
      v-if="tray === 'keep'"
      plain
      class="how"
      :label="`How ${factor.name} is kept the same`"
      :target="`how-${factor.id}`"
      :model-value="factor.how"
      placeholder="how will you keep it?"
      @update:model-value="write('how', $event)"
    />
    <p v-if="tray === 'change'" class="note py-0 px-close text-soft text-small">
      {{ counted(activeConditions(plan).length, 'condition') }}, {{ plan.conditionsAs === 'kinds' ? 'named kinds' : 'numbers' }}
    </p>
    <p v-if="tray === 'coming'" class="note py-0 px-close text-soft text-small">comes with it: not told apart</p>
    <p v-if="tray === 'second'" class="note py-0 px-close text-soft text-small">{{ seriesNames(plan) }}, every condition in each</p>
    <p v-if="differs" class="note wrong py-0 px-close text-soft text-small">
      <span aria-hidden="true">▲</span>
      not the same for all
    </p>
  </TrayCard>
</template>

<style scoped>
.how {
  color: var(--soft);
  font-size: var(--type-small);
}
.unsaid .how::placeholder {
  color: var(--beet);
}
.note.wrong {
  color: var(--beet);
}
</style>
