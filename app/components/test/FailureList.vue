<script setup lang="ts">
import { activeConditions, BOUNDS, conditionName, LONGEST } from '~~/core/lesson'
import { failureWords, timeWords } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import TextField from '~/forms/TextField.vue'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'

/** Trials that ended without a number, the latest first: said at stations, or taken down from paper here. */
const lesson = useLesson()
const writing = useRecordWriting()
const plan = computed(() => lesson.plan!)
const ended = computed(() => [...lesson.record.failures].reverse())
const group = ref(plan.value.groups[0]?.id ?? '')
const condition = ref(activeConditions(plan.value)[0]?.id ?? '')
const repeat = ref(1)
const reason = ref('')

async function add(): Promise<void> {
  const words = reason.value.trim()
  if (words === '' || group.value === '' || condition.value === '') return
  const row = { id: newId(), group: group.value, condition: condition.value, repeat: repeat.value, reason: words }
  if (await writing.add('failure', row)) reason.value = ''
}
</script>

<template>
  <AppFold
    title="Trials without a number"
    :hint="ended.length === 0 ? 'it burst, it fell over' : `${ended.length} so far`"
    :model-value="ended.length > 0"
  >
    <form class="row my-near mx-0" @submit.prevent="add">
      <ChoiceField
        bare
        label="Whose trial"
        v-model="group"
        :options="plan.groups.map((one) => ({ value: one.id, title: one.name }))"
      />
      <ChoiceField
        bare
        label="Of what"
        v-model="condition"
        :options="activeConditions(plan).map((one) => ({ value: one.id, title: conditionName(plan, one) }))"
      />
      <NumberField
        bare
        whole
        label="Which repeat"
        :model-value="repeat"
        v-bind="BOUNDS.repeats"
        @update:model-value="repeat = $event ?? 1"
      />
      <TextField
        bare
        class="grow min-w-200px"
        label="What happened"
        v-model="reason"
        :longest="LONGEST.reason"
        placeholder="for example it fell over"
      />
      <VBtn type="submit" size="small" :disabled="reason.trim() === ''">Write it down</VBtn>
    </form>
    <ul>
      <li v-for="one in ended" :key="one.id" class="break-anywhere">
        {{ failureWords(plan, one) }} <span class="soft">{{ timeWords(one.at) }}</span>
      </li>
    </ul>
  </AppFold>
</template>
