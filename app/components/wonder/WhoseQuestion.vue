<script setup lang="ts">
import { WHOSE_QUESTION } from '~~/core/lesson'
import { WHOSE_WORDS } from '~~/core/wording'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import PickOne from '~/forms/PickOne.vue'
import { useLesson } from '~/stores/lesson'
import { useBeginLesson } from '~/composables/beginLesson'
import { useNotices } from '~/stores/notices'

/** Whose question it is: given, picked by the class, or each group its own. */
const lesson = useLesson()
const beginning = useBeginLesson()
const notices = useNotices()
const plan = computed(() => lesson.heard!)
const wonderings = computed(() => plan.value.wonder.wondered)
const chosen = computed(() => wonderings.value.find(({ id }) => id === plan.value.asked.chosen))

function pick(group: string, wondering: string): void {
  lesson.editHeard((draft) => (draft.groups.find(({ id }) => id === group)!.wondering = wondering || null))
}

async function makeOwn(group: string): Promise<void> {
  const id = await beginning.ownLesson(group)
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
    <PickOne
      label="Whose question is it?"
      :model-value="plan.asked.whose"
      :options="WHOSE_QUESTION.map((whose) => ({ value: whose, title: WHOSE_WORDS[whose].name }))"
      @update:model-value="lesson.edit((draft) => (draft.asked.whose = $event!))"
    >
      <template #default="{ option }">
        <span :title="WHOSE_WORDS[option.value].what">{{ option.title }}</span>
      </template>
    </PickOne>
    <p v-if="plan.asked.whose === 'class'" class="hint">
      {{
        chosen
          ? `From the wondering “${chosen.text}”.`
          : 'Pick a wondering above and see whether it could be tested, then choose it.'
      }}
    </p>
    <ul v-if="plan.asked.whose === 'groups'" class="groups grid gap-close mt-near">
      <li v-for="group in plan.groups" :key="group.id">
        <span class="flex items-center gap-near font-heading">
          <ShapeBadge :size="18" :shape="group.shape" />
          {{ group.name }}
        </span>
        <ChoiceField
          bare
          :label="`Question of ${group.name}`"
          :model-value="group.wondering ?? ''"
          @update:model-value="pick(group.id, $event)"
          :options="[
            { value: '', title: wonderings.length === 0 ? 'nothing wondered yet' : 'no question yet' },
            ...wonderings.map((wondering) => ({ value: wondering.id, title: wondering.text.slice(0, 80) })),
          ]"
        />
        <VBtn v-if="group.wondering" size="small" @click="makeOwn(group.id)">Make its own lesson</VBtn>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.groups li {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr) 170px;
  align-items: center;
  gap: var(--gap-near);
}
</style>
