<script setup lang="ts">
import {
  BOUNDS,
  isEachChild,
  LONGEST,
  groupsBySize,
  largestGroup,
  MOST,
  MOST_GROUPS,
  withEachChild,
  withGroups,
  withoutEachChild,
  withRecords,
  type Each,
} from '~~/core/lesson'
import { scarceLimits } from '~~/core/waysOut'
import { counted, limitWords, sizesWords } from '~~/core/wording'
import ChildRecords from '~/components/desk/ChildRecords.vue'
import AppDialog from '~/components/pieces/AppDialog.vue'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import TextField from '~/forms/TextField.vue'
import { secretRandom } from '~/following/chance'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** The class set up in one place: its name, how many children, the groups with their names, shapes and seats. */
const open = defineModel<boolean>({ required: true })
const lesson = useLesson()
const plan = computed(() => lesson.plan!)

const limits = computed(() => scarceLimits(plan.value, lesson.school))

function resize(groups: number | null): void {
  lesson.replace(withGroups(plan.value, groups ?? 1, newId))
}
const alone = computed(() => isEachChild(plan.value))
/** What is written down belongs to somebody: from then on it stays as it is. */
const written = computed(() => lesson.record.readings.length + lesson.record.predictions.length > 0)
/** Some groups are in their own questions: those made here would be there twice. */
const parted = computed(() => lesson.partOf !== null)
/** More children than have room in one table measure in groups. */
const owners = computed(() => [
  { value: 'group' as const, title: 'each group' },
  ...(plan.value.children <= MOST.children ? [{ value: 'child' as const, title: 'each child' }] : []),
])
function setOwners(each: Each): void {
  if (each === plan.value.each) return
  lesson.replace(
    each === 'child'
      ? withEachChild(plan.value, newId, secretRandom)
      : withoutEachChild(plan.value, groupsBySize(plan.value.children, 4), newId),
  )
}
function setChildren(children: number | null): void {
  if (alone.value) return lesson.replace(withRecords(plan.value, children ?? 1, newId, secretRandom))
  lesson.replace(withGroups({ ...plan.value, children: children ?? 0 }, plan.value.groups.length, newId))
}
function toggle(id: string, seat: number): void {
  lesson.edit((draft) => {
    const own = draft.groups.find((one) => one.id === id)!
    own.away = own.away.includes(seat) ? own.away.filter((one) => one !== seat) : [...own.away, seat]
  })
}
/** A scarce thing goes round between all the groups, in as many rounds as it takes. */
function goRound(material: string, stock: number): void {
  lesson.edit((draft) => (draft.materials.find((one) => one.id === material)!.goesRound = stock))
}

/** What is known of one class's pace is nothing to another. */
function nameClass(name: string): void {
  if (name === plan.value.className) return
  lesson.edit((draft) => {
    draft.className = name
    draft.clock.pace = null
  })
}
</script>

<template>
  <AppDialog v-model="open" title="The class" :width="720">
    <div class="row">
      <TextField
        label="Class"
        class="class"
        lazy
        :longest="LONGEST.name"
        :model-value="plan.className"
        @update:model-value="nameClass($event.trim())"
      />
      <NumberField
        label="Children"
        :disabled="parted"
        :model-value="plan.children"
        v-bind="alone ? { least: 1, most: MOST.children } : BOUNDS.children"
        whole
        @update:model-value="setChildren"
      />
      <ChoiceField
        label="Writes down its own"
        :disabled="written || parted"
        :model-value="plan.each"
        :options="owners"
        @update:model-value="setOwners"
      />
      <NumberField
        v-if="!alone && !parted"
        label="Children in a group"
        :model-value="largestGroup(plan.groups)"
        :least="1"
        :most="60"
        whole
        @update:model-value="resize(groupsBySize(plan.children, $event ?? 4))"
      />
      <NumberField
        v-if="!alone && !parted"
        steps
        label="Groups"
        :model-value="plan.groups.length"
        :least="1"
        :most="MOST_GROUPS"
        whole
        @update:model-value="resize"
      />
      <p v-if="written" class="hint">Something is written down, so whose it is stays. Copy the lesson to begin it otherwise.</p>
      <p v-if="parted" class="hint">
        Groups ask their own questions, so how many there are stays. Here are those of this question; names and who is away change
        where a group is.
      </p>
      <p v-else-if="!alone" class="hint">
        {{ sizesWords(plan.groups) }}. Up to {{ MOST_GROUPS }} groups; those that wrote something stay when you make more.
      </p>
    </div>
    <ul v-if="limits.length > 0" class="mt-near">
      <li v-for="limit in limits" :key="limit.material" class="row">
        <span><span aria-hidden="true">▲</span> {{ limitWords(limit, plan) }}</span>
        <VBtn v-if="limit.groups && !parted" size="small" @click="resize(limit.groups)">
          Make {{ counted(limit.groups, 'group') }}
        </VBtn>
        <VBtn size="small" @click="goRound(limit.material, limit.stock)">
          {{ counted(limit.rounds, 'round') }}
        </VBtn>
      </li>
    </ul>
    <ChildRecords v-if="alone" />
    <ul v-else class="groups grid gap-y-near gap-x-block mt-10px">
      <li class="flex items-center gap-near" v-for="(group, place) in plan.groups" :key="group.id">
        <ShapeBadge :shape="group.shape" />
        <TextField
          bare
          :label="`Name of group ${place + 1}`"
          lazy
          :model-value="group.name"
          :longest="LONGEST.groupName"
          @update:model-value="lesson.edit((draft) => (draft.groups[place]!.name = $event.trim() || group.name))"
        />
        <NumberField
          bare
          :label="`Seats of ${group.name}`"
          :model-value="group.seats"
          v-bind="BOUNDS.seats"
          whole
          @update:model-value="lesson.edit((draft) => (draft.groups[place]!.seats = $event ?? 0))"
        />
        <span class="soft">seats</span>
        <span class="flex min-w-150px gap-tight" role="group" :aria-label="`Who is away in ${group.name}`">
          <VBtn
            v-for="seat in group.seats"
            :key="seat"
            size="small"
            :aria-pressed="group.away.includes(seat)"
            :aria-label="`${group.name}, seat ${seat} is away`"
            :class="{ away: group.away.includes(seat) }"
            @click="toggle(group.id, seat)"
          >
            {{ seat }}
          </VBtn>
        </span>
      </li>
    </ul>
    <p v-if="!alone && plan.groups.length > 0" class="hint">
      Press a seat that is empty today: turns and jobs are worked out anew.
    </p>
    <template #actions><VBtn @click="open = false">Done</VBtn></template>
  </AppDialog>
</template>

<style scoped>
.class {
  width: 130px;
}
.away {
  text-decoration: line-through;
}
.groups li > .field:not(.number-field) {
  flex: 1;
}
</style>
