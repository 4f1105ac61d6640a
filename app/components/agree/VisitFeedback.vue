<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { LONGEST, MOST, type LessonRecord } from '~~/core/lesson'
import { readNames } from '~~/core/test'
import { nameOfGroup } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import PrintMenu from '~/components/pieces/PrintMenu.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import TextField from '~/forms/TextField.vue'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'

/** What groups told each other after a visit: from stations, or keyed in from slips. For the teacher and the group it is about. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const lesson = useLesson()
const writing = useRecordWriting()
const told = computed(() => props.record.feedbacks)
const from = ref(plan.value.groups[0]?.id ?? '')
const about = ref(plan.value.groups[1]?.id ?? '')
const well = ref('')
const next = ref('')
const options = computed(() => plan.value.groups.map(({ id, name }) => ({ value: id, title: name })))

async function add(): Promise<void> {
  const row = { id: newId(), group: from.value, about: about.value, well: well.value.trim(), next: next.value.trim() }
  if (await writing.add('feedback', row)) well.value = next.value = ''
}
</script>

<template>
  <AppFold title="After a visit" hint="one thing well, one to work on, group to group; never public by itself">
    <TextField
      lazy
      label="What we look for, with commas between"
      :model-value="plan.criteria.join(', ')"
      :longest="LONGEST.text"
      placeholder="for example the ruler touched zero, every trial was written down, the strips were alike"
      @update:model-value="lesson.edit((draft) => (draft.criteria = readNames($event, MOST.criteria)))"
    />
    <table v-if="told.length > 0" class="ruled mt-near">
      <caption class="sr-only">
        What groups told each other
      </caption>
      <thead>
        <tr>
          <th scope="col">About</th>
          <th scope="col">Done well</th>
          <th scope="col">To work on</th>
          <th scope="col">From</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in told" :key="one.id">
          <th scope="row">{{ nameOfGroup(plan, one.about) }}</th>
          <td>{{ one.well }}</td>
          <td>{{ one.next }}</td>
          <td>{{ nameOfGroup(plan, one.group) }}</td>
        </tr>
      </tbody>
    </table>
    <form class="row items-end mt-near" @submit.prevent="add">
      <ChoiceField label="From" v-model="from" :options="options" />
      <ChoiceField label="About" v-model="about" :options="options" />
      <TextField v-model="well" label="Done well" :longest="LONGEST.note" />
      <TextField v-model="next" label="To work on" :longest="LONGEST.note" />
      <VBtn type="submit" :disabled="from === about || (well.trim() === '' && next.trim() === '')">Write it down</VBtn>
    </form>
    <div class="mt-near"><PrintMenu :names="['jobs', 'visit-slips']" /></div>
  </AppFold>
</template>
