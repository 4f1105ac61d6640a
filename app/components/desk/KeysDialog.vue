<script setup lang="ts">
const open = defineModel<boolean>({ required: true })
const KEYS = [
  ['1 to 8', 'the eight stops'],
  ['/', 'find a stop, a finding or a print'],
  ['b', 'open the board'],
  ['n', 'a new card, remark or thing'],
  ['c  m  k', 'on a card: change, measure, keep the same'],
  ['Enter', 'in a grid: down, and keep what was typed'],
  ['Tab', 'in a grid: to the right'],
  ['t', 'testing: start or stop the clock'],
  ['q', 'testing: numbers on the board, or hidden'],
  ['o', 'testing: the odd numbers; then k, f or a'],
  ['Ctrl Z', 'undo in the plan'],
  ['Ctrl Shift Z', 'do it again'],
  ['Esc', 'back out'],
]
</script>

<template>
  <AppDialog v-model="open" title="Keys">
    <dl class="keys">
      <template v-for="[key, what] in KEYS" :key="key">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <template #actions><VBtn @click="open = false">Close</VBtn></template>
  </AppDialog>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: var(--gap-close) var(--gap-wide);
}
</style>
