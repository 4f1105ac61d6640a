<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import TextField from '~/forms/TextField.vue'

/** What happened: a ready reason with one tap, or the group's own words. */
defineProps<{ reasons: readonly string[]; own: string }>()
const emit = defineEmits<{ why: [reason: string] }>()
const words = ref('')
</script>

<template>
  <VBtn v-for="reason in reasons" :key="reason" @click="emit('why', reason)">
    {{ reason }}
  </VBtn>
  <form class="own flex flex-wrap gap-near" @submit.prevent="words.trim() && emit('why', words.trim())">
    <TextField
      bare
      class="grow min-w-200px"
      label="Something else"
      v-model="words"
      :longest="LONGEST.reason"
      placeholder="something else"
    />
    <VBtn type="submit" :disabled="words.trim() === ''">{{ own }}</VBtn>
  </form>
</template>
