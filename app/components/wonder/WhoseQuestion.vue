<script setup lang="ts">
import { asksItsOwn, WHOSE_QUESTION } from '~~/core/lesson'
import { WHOSE_WORDS } from '~~/core/wording'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import OwnQuestions from '~/components/together/OwnQuestions.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import PickOne from '~/forms/PickOne.vue'
import { useLesson } from '~/stores/lesson'

/** Whose question it is: given, picked by the class, or each group its own. */
const lesson = useLesson()
const plan = computed(() => lesson.heard!)
const wonderings = computed(() => plan.value.wonder.wondered)
const chosen = computed(() => wonderings.value.find(({ id }) => id === plan.value.asked.chosen))

function pick(group: string, wondering: string): void {
  lesson.editHeard((draft) => (draft.groups.find(({ id }) => id === group)!.wondering = wondering || null))
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
    <template v-if="asksItsOwn(plan)">
      <ul v-if="wonderings.length > 0" class="groups grid gap-close mt-near">
        <li v-for="group in plan.groups" :key="group.id">
          <span class="flex items-center gap-near font-heading">
            <ShapeBadge :size="18" :shape="group.shape" />
            {{ group.name }}
          </span>
          <ChoiceField
            bare
            :label="`Wondering of ${group.name}`"
            :model-value="group.wondering ?? ''"
            @update:model-value="pick(group.id, $event)"
            :options="[
              { value: '', title: 'no wondering picked' },
              ...wonderings.map((wondering) => ({ value: wondering.id, title: wondering.text.slice(0, 80) })),
            ]"
          />
        </li>
      </ul>
      <OwnQuestions class="mt-wide" stop="wonder" />
    </template>
  </div>
</template>

<style scoped>
.groups li {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  align-items: center;
  gap: var(--gap-near);
}
</style>
