<script setup lang="ts">
import { LONGEST, letterOf } from '~~/core/lesson'
import { timeWords, nameOfCondition } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import GroupName from '~/components/pieces/GroupName.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import TextField from '~/forms/TextField.vue'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'

/** What the groups saw while they tested, the latest first. */
const lesson = useLesson()
const writing = useRecordWriting()
const plan = computed(() => lesson.plan!)
const seen = computed(() => [...lesson.record.observations].reverse())
const groupOf = (id: string) => plan.value.groups.find((one) => one.id === id)
const group = ref(plan.value.groups[0]?.id ?? '')
const text = ref('')

async function add(): Promise<void> {
  const words = text.value.trim()
  if (words === '' || group.value === '') return
  const row = { id: newId(), group: group.value, condition: null, repeat: null, kind: 'words' as const, text: words, picture: null }
  if (await writing.add('observation', row)) text.value = ''
}
</script>

<template>
  <AppFold
    title="Observations"
    :hint="seen.length === 0 ? 'what groups see while they test' : `${seen.length} so far`"
    :model-value="seen.length > 0"
  >
    <form class="row add flex-nowrap my-near mx-0" @submit.prevent="add">
      <ChoiceField
        bare
        label="Who saw it"
        class="who"
        v-model="group"
        :options="plan.groups.map((one) => ({ value: one.id, title: one.name }))"
      />
      <TextField
        bare
        label="What was seen"
        v-model="text"
        :longest="LONGEST.observation"
        placeholder="for example the tissue fell apart at the bottom"
      />
      <VBtn type="submit" size="small" class="nowrap" :disabled="text.trim() === ''">Write it down</VBtn>
    </form>
    <ul>
      <li class="flex gap-near break-anywhere" v-for="one in seen" :key="one.id">
        <a v-if="one.picture" :href="`/api/lessons/${lesson.id}/pictures/${one.picture}`" target="_blank">
          <img
            :src="`/api/lessons/${lesson.id}/pictures/${one.picture}`"
            :alt="one.text || (one.kind === 'sketch' ? 'A sketch' : 'A photo')"
          />
        </a>
        <span>
          <GroupName v-if="groupOf(one.group)" :group="groupOf(one.group)!" />
          <span class="soft when ml-near"
            >{{ timeWords(one.at)
            }}{{ one.condition ? `, ${letterOf(plan, one.condition)} ${nameOfCondition(plan, one.condition)}` : '' }}</span
          >
          <br />{{ one.text }}
        </span>
      </li>
    </ul>
  </AppFold>
</template>

<style scoped>
.who {
  width: 140px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
  gap: var(--gap-near) var(--gap-block);
}
img {
  display: block;
  width: 84px;
  height: 64px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: #fff;
  object-fit: contain;
}
</style>
