<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { LONGEST, type Feedback, type NewFeedback } from '~~/core/lesson'
import { nameOfGroup } from '~~/core/wording'
import LongField from '~/forms/LongField.vue'
import NativeChoice from '~/forms/NativeChoice.vue'
import { newId } from '~/following/newId'

/** After a visit: one thing the other group did well, one to work on, against what the class looks for. */
const plan = useLessonPlan()
const props = defineProps<{ group: string; told: Feedback[] }>()
const emit = defineEmits<{ tell: [feedback: NewFeedback]; close: [] }>()
const others = computed(() => plan.value.groups.filter(({ id }) => id !== props.group))
const about = ref('')
const well = ref('')
const next = ref('')
const own = computed(() => props.told.filter(({ group }) => group === props.group))
const ready = computed(() => about.value !== '' && (well.value.trim() !== '' || next.value.trim() !== ''))

function tell(): void {
  if (!ready.value) return
  const row = { id: newId(), group: props.group, about: about.value, well: well.value.trim(), next: next.value.trim() }
  emit('tell', row)
  about.value = well.value = next.value = ''
}
</script>

<template>
  <form class="station-form" @submit.prevent="tell">
    <h1>What will you tell them?</h1>
    <ul v-if="plan.criteria.length > 0" class="reset-list" aria-label="What we look for">
      <li v-for="line in plan.criteria" :key="line"><span aria-hidden="true">✓</span> {{ line }}</li>
    </ul>
    <NativeChoice
      v-model="about"
      label="The group you visited"
      :options="[{ value: '', title: 'choose' }, ...others.map(({ id, name }) => ({ value: id, title: name }))]"
    />
    <LongField v-model="well" label="One thing they did well" :rows="2" :longest="LONGEST.note" />
    <LongField v-model="next" label="One thing to work on" :rows="2" :longest="LONGEST.note" />
    <p class="soft">Only that group and your teacher will read it.</p>
    <MainBtn type="submit" :disabled="!ready">Tell them</MainBtn>
    <VBtn @click="emit('close')">Back</VBtn>
    <ul v-if="own.length > 0" aria-label="What you have told">
      <li v-for="one in own" :key="one.id" class="soft">{{ nameOfGroup(plan, one.about) }}: told</li>
    </ul>
  </form>
</template>
