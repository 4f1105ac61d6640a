<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import { REASONS } from '~~/core/wording'
import TextField from '~/forms/TextField.vue'

/** Why a reading is set aside: a ready reason with one tap, or the group's own words. */
const emit = defineEmits<{ why: [reason: string] }>()
const own = ref('')
</script>

<template>
  <VBtn v-for="reason in REASONS" :key="reason" @click="emit('why', reason)">
    {{ reason }}
  </VBtn>
  <form class="own flex gap-near" @submit.prevent="own.trim() && emit('why', own.trim())">
    <TextField bare label="Something else" v-model="own" :longest="LONGEST.reason" placeholder="something else" />
    <VBtn type="submit" :disabled="own.trim() === ''">Set aside</VBtn>
  </form>
</template>
