<script setup lang="ts">
import { BOUNDS } from '~~/core/lesson'
import {
  circuitTogether,
  groupsTogether,
  joinPlans,
  inGroups,
  MOST_SETS,
  TOGETHER_WAYS,
  wayChosen,
  type TogetherWay,
} from '~~/core/together'
import { circuitTogetherWords, placeWords, question, titleOfMember, HANDING_OUT_WORDS, lessonName } from '~~/core/wording'
import type { WholeTogether } from '~~/schemas/togetherContract'
import MoreMenu from '~/components/pieces/MoreMenu.vue'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import SplitOff from '~/components/together/SplitOff.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import TickField from '~/forms/TickField.vue'
import { useTogether } from '~/composables/togetherDesk'

/** Who does what: a tick for each group in each lesson, or the rota where all go round. */
const props = defineProps<{ running: ReturnType<typeof useTogether>; view: WholeTogether }>()
const members = computed(() => props.running.members.value)
const together = computed(() => props.view.together)
/** Where each child has its own, it joins with its own code. */
const grouped = computed(() => inGroups(members.value))
const groups = computed(() => groupsTogether(members.value))
const circuit = computed(() => circuitTogether(members.value, together.value))
const setsOf = (lesson: string) => together.value.sets[lesson] ?? 1
const ways = TOGETHER_WAYS.map((value) => ({ value, title: HANDING_OUT_WORDS[value].name, hint: HANDING_OUT_WORDS[value].what }))
async function addMissing(): Promise<void> {
  for (const { lesson, group } of circuit.value.missing) await props.running.setGroup(lesson, group, true)
}
const splitting = ref<string>()
const waysOf = (lesson: string) => {
  const plan = members.value.find((one) => one.lesson === lesson)!.plan
  const twins = members.value.filter((one) => one.lesson !== lesson && joinPlans(one.plan, plan))
  return [
    ...(plan.groups.length > 1 ? [{ label: 'Split off some groups …', run: () => void (splitting.value = lesson) }] : []),
    ...twins.map((twin) => ({
      label: `Put its groups back into ${titleOfMember(members.value, twin.lesson)}`,
      run: () => void props.running.joinInto(lesson, twin.lesson),
    })),
    { label: 'Take out: it stands alone again', run: () => void takeOut(lesson) },
  ]
}
const choose = (way: TogetherWay) => props.running.change(wayChosen(way, together.value, members.value))
const takeOut = (lesson: string) => props.running.setLessons(props.view.lessons.map(({ id }) => id).filter((id) => id !== lesson))
</script>

<template>
  <section aria-label="Who does what">
    <div class="row items-end">
      <ChoiceField label="Groups and investigations" :model-value="together.way" :options="ways" @update:model-value="choose" />
      <TickField
        label="groups may ask their own question"
        :model-value="together.ownQuestions"
        @update:model-value="running.change({ ownQuestions: $event })"
      />
      <NumberField
        v-if="together.way === 'circuit'"
        whole
        label="Seconds to the next place"
        :model-value="together.walk"
        v-bind="BOUNDS.walkSeconds"
        @update:model-value="running.change({ walk: $event ?? 0 })"
      />
    </div>
    <p class="hint">{{ HANDING_OUT_WORDS[together.way].what }}</p>

    <ul class="lessons">
      <li v-for="one in view.lessons" :key="one.id" class="row">
        <NuxtLink :to="`/lesson/${one.id}/plan`" class="font-heading font-bold">{{ lessonName(one.plan.title) }}</NuxtLink>
        <span class="grow soft">{{ question(one.plan) }}</span>
        <NumberField
          v-if="together.way === 'circuit'"
          inline
          whole
          label="Sets in the room"
          :model-value="setsOf(one.id)"
          :least="1"
          :most="MOST_SETS"
          @update:model-value="running.change({ sets: { ...together.sets, [one.id]: $event ?? 1 } })"
        />
        <MoreMenu :label="`More for ${lessonName(one.plan.title)}`" :items="waysOf(one.id)" />
      </li>
    </ul>

    <template v-if="together.way === 'circuit'">
      <p class="large mt-wide" role="status">{{ circuitTogetherWords(circuit, together.minutes) }}</p>
      <p v-if="circuit.missing.length > 0" class="row">
        <span><span aria-hidden="true">▲</span> Not every group is in every investigation yet.</span>
        <VBtn size="small" @click="addMissing">Put every group into each</VBtn>
      </p>
      <div class="scroll" tabindex="0" role="group" aria-label="Rota">
        <table class="ruled">
          <thead>
            <tr>
              <th scope="col">Group</th>
              <th v-for="(_, round) in circuit.rounds" :key="round" scope="col">round {{ round + 1 }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(name, place) in circuit.groups" :key="name">
              <th scope="row">
                <span class="flex items-center gap-near"><ShapeBadge :shape="groups[place]!.shape" /> {{ name }}</span>
              </th>
              <td v-for="(row, round) in circuit.rounds" :key="round">{{ placeWords(members, row[place]) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
    <div v-else class="scroll" tabindex="0" role="group" aria-label="Groups in each lesson">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Group</th>
            <th v-for="{ lesson } in grouped" :key="lesson" scope="col">{{ titleOfMember(members, lesson) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="group in groups" :key="group.name">
            <th scope="row">
              <span class="flex items-center gap-near"><ShapeBadge :shape="group.shape" /> {{ group.name }}</span>
            </th>
            <td v-for="{ lesson } in grouped" :key="lesson">
              <TickField
                :label="`${group.name} does ${titleOfMember(members, lesson)}`"
                :model-value="group.ids[lesson] !== undefined"
                @update:model-value="running.setGroup(lesson, group.name, $event)"
              >
                <span class="sr-only">{{ group.name }} does {{ titleOfMember(members, lesson) }}</span>
              </TickField>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <SplitOff
      v-if="splitting"
      :model-value="true"
      :plan="members.find(({ lesson }) => lesson === splitting)!.plan"
      @update:model-value="splitting = undefined"
      @split="running.splitOff(splitting, $event)"
    />
  </section>
</template>

<style scoped>
.lessons {
  margin: var(--gap-wide) 0;
}
.lessons li {
  padding: var(--gap-close) 0;
  border-bottom: 1px solid var(--line);
}
</style>
