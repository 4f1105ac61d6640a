<script setup lang="ts">
import { MOST_GROUPS, withGroups } from '~~/core/lesson'
import { counted } from '~~/core/wording'

/** The class in groups: each has a name and a shape; a child is a seat number. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)

function resize(groups: number | null): void {
  lesson.replace(withGroups(plan.value, groups ?? 1, newId))
}
</script>

<template>
  <details class="fold">
    <summary>
      <strong>Groups</strong>
      <span class="soft">{{ counted(plan.children, 'child', 'children') }} in {{ counted(plan.groups.length, 'group') }}</span>
    </summary>
    <div class="row">
      <NumberField
        steps
        label="Groups"
        :model-value="plan.groups.length"
        :least="1"
        :most="MOST_GROUPS"
        whole
        @update:model-value="resize"
      />
      <p class="hint">Up to {{ MOST_GROUPS }}. Groups that wrote something stay when you make more.</p>
    </div>
    <ul class="groups">
      <li v-for="(group, place) in plan.groups" :key="group.id">
        <ShapeBadge :shape="group.shape" />
        <input
          class="box"
          :value="group.name"
          maxlength="40"
          :aria-label="`Name of group ${place + 1}`"
          @change="
            lesson.edit((draft) => (draft.groups[place]!.name = ($event.target as HTMLInputElement).value.trim() || group.name))
          "
        />
        <NumberField
          bare
          :label="`Seats of ${group.name}`"
          :model-value="group.seats"
          :least="0"
          :most="60"
          whole
          @update:model-value="lesson.edit((draft) => (draft.groups[place]!.seats = $event ?? 0))"
        />
        <span class="soft">seats</span>
      </li>
    </ul>
  </details>
</template>

<style scoped>
.groups {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 24px;
  margin-top: 10px;
}
.groups li {
  display: flex;
  align-items: center;
  gap: 8px;
}
</style>
