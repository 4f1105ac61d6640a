<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import { REASONS } from '~~/core/wording'

/** Why a reading is set aside: a ready reason with one tap, or the group's own words. */
const emit = defineEmits<{ why: [reason: string] }>()
const own = ref('')
</script>

<template>
  <button v-for="reason in REASONS" :key="reason" type="button" class="button large" @click="emit('why', reason)">
    {{ reason }}
  </button>
  <form class="own" @submit.prevent="own.trim() && emit('why', own.trim())">
    <input v-model="own" class="box" :maxlength="LONGEST.reason" aria-label="Something else" placeholder="something else" />
    <button type="submit" class="button large" :disabled="own.trim() === ''">Set aside</button>
  </form>
</template>

<style scoped>
.own {
  display: flex;
  gap: 8px;
}
</style>
