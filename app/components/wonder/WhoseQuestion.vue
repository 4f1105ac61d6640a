<script setup lang="ts">
import { WHOSE_QUESTION } from '~~/core/lesson'
import { WHOSE_WORDS } from '~~/core/wording'

/** Whose question it is: given, picked by the class, or each group its own. */
const lesson = useLesson()
const notices = useNotices()
const plan = computed(() => lesson.heard!)
const wonderings = computed(() => plan.value.wonder.wondered)
const chosen = computed(() => wonderings.value.find(({ id }) => id === plan.value.asked.chosen))

function pick(group: string, wondering: string): void {
  lesson.editHeard((draft) => (draft.groups.find(({ id }) => id === group)!.wondering = wondering || null))
}

async function makeOwn(group: string): Promise<void> {
  const id = await lesson.ownLesson(group)
  if (id !== undefined) {
    notices.done('The lesson of this group stands on the shelf.', {
      label: 'Open it',
      run: () => void navigateTo(`/lesson/${id}/plan`),
    })
  }
}
</script>

<template>
  <div class="whose">
    <fieldset class="ways">
      <legend class="sr-only">Whose question is it?</legend>
      <label v-for="whose in WHOSE_QUESTION" :key="whose" :title="WHOSE_WORDS[whose].what">
        <input
          type="radio"
          name="whose"
          :checked="plan.asked.whose === whose"
          @change="lesson.edit((draft) => (draft.asked.whose = whose))"
        />
        {{ WHOSE_WORDS[whose].name }}
      </label>
    </fieldset>
    <p v-if="plan.asked.whose === 'class'" class="hint">
      {{
        chosen
          ? `From the wondering “${chosen.text}”.`
          : 'Pick a wondering above and see whether it could be tested, then choose it.'
      }}
    </p>
    <ul v-if="plan.asked.whose === 'groups'" class="groups">
      <li v-for="group in plan.groups" :key="group.id">
        <span class="who">
          <ShapeBadge :size="18" :shape="group.shape" />
          {{ group.name }}
        </span>
        <select
          class="box"
          :value="group.wondering ?? ''"
          :aria-label="`Question of ${group.name}`"
          @change="pick(group.id, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">{{ wonderings.length === 0 ? 'nothing wondered yet' : 'no question yet' }}</option>
          <option v-for="wondering in wonderings" :key="wondering.id" :value="wondering.id">
            {{ wondering.text.slice(0, 80) }}
          </option>
        </select>
        <button v-if="group.wondering" type="button" class="button small" @click="makeOwn(group.id)">Make its own lesson</button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  border: 0;
}
.ways label {
  display: flex;
  gap: 6px;
  cursor: pointer;
}
.ways input {
  accent-color: var(--green);
}
.groups {
  display: grid;
  gap: 6px;
  margin-top: 8px;
}
.groups li {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr) 170px;
  align-items: center;
  gap: 10px;
}
.who {
  display: flex;
  align-items: center;
  gap: 8px;
  font-family: var(--heading);
}
.groups .box {
  min-height: 32px;
}
</style>
