<script setup lang="ts">
import { REASONS } from '~~/core/wording'

/** What went wrong: with a number it is kept and set aside, without one the trial is simply done again. */
defineProps<{ hasNumber: boolean; trouble: string }>()
const emit = defineEmits<{ why: [reason: string]; back: [] }>()
const own = ref('')
</script>

<template>
  <div class="why">
    <h2>What went wrong?</h2>
    <template v-if="hasNumber">
      <p>The number is kept with the reason and not counted. Then do this trial again.</p>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <button v-for="reason in REASONS" :key="reason" type="button" class="button big" @click="emit('why', reason)">
        {{ reason }}
      </button>
      <form class="own" @submit.prevent="own.trim() && emit('why', own.trim())">
        <input v-model="own" class="box" maxlength="300" aria-label="Something else" placeholder="something else" />
        <button type="submit" class="button big" :disabled="own.trim() === ''">Set aside</button>
      </form>
    </template>
    <p v-else>No number yet? Do this trial again. If you have one, type it first, even if it is odd.</p>
    <button type="button" class="button main big" @click="emit('back')">Back to the trial</button>
  </div>
</template>

<style scoped>
.why {
  display: grid;
  gap: 10px;
  align-content: start;
}
.big {
  min-height: 56px;
  font-family: var(--heading);
  font-size: 18px;
}
.own {
  display: flex;
  gap: 8px;
}
</style>
