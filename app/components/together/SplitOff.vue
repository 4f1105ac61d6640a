<script setup lang="ts">
import { lessonName } from '~~/core/wording'
import type { Plan } from '~~/core/lesson'
import AppDialog from '~/components/pieces/AppDialog.vue'
import TickField from '~/forms/TickField.vue'

/** Some groups of a lesson get one of their own, with the same plan to begin with and all that they wrote down. */
const props = defineProps<{ plan: Plan }>()
const emit = defineEmits<{ split: [groups: string[]] }>()
const open = defineModel<boolean>({ required: true })
const going = ref<string[]>([])
const turn = (name: string) =>
  (going.value = going.value.includes(name) ? going.value.filter((one) => one !== name) : [...going.value, name])
function split(): void {
  emit('split', going.value)
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" :title="`Split “${lessonName(plan.title)}”`" :width="520">
    <p>Who goes into a lesson of its own? It begins with the same plan, and everything that these groups wrote down goes along.</p>
    <ul class="mt-near">
      <li v-for="group in props.plan.groups" :key="group.id">
        <TickField :label="group.name" :model-value="going.includes(group.name)" @update:model-value="turn(group.name)" />
      </li>
    </ul>
    <template #actions>
      <MainBtn :disabled="going.length === 0 || going.length === plan.groups.length" @click="split">Split them off</MainBtn>
      <QuietBtn @click="open = false">Not now</QuietBtn>
    </template>
  </AppDialog>
</template>
