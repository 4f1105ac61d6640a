<script setup lang="ts">
import { withClashAs } from '~~/core/lesson'
import { clashPlace, clashValue } from '~~/core/wording'

/** Two desks changed the same place: which of the two it is to be. All else is merged already. */
const lesson = useLesson()
const taken = ref<('mine' | 'theirs')[]>([])
const open = computed({ get: () => lesson.merging !== undefined, set: () => undefined })
watch(
  () => lesson.merging,
  (merging) => (taken.value = merging?.clashes.map(() => 'mine') ?? []),
)

function settle(): void {
  const merging = lesson.merging!
  const plan = merging.clashes.reduce(
    (sum, clash, place) => (taken.value[place] === 'theirs' ? withClashAs(sum, clash, clash.theirs) : sum),
    merging.plan,
  )
  lesson.settleMerge(merging, plan)
}
</script>

<template>
  <AppDialog v-model="open" title="Another desk changed the same place" :width="640">
    <template v-if="lesson.merging">
      <p>Everything else from both desks is kept. Choose for each of these:</p>
      <fieldset v-for="(clash, place) in lesson.merging.clashes" :key="clash.path.join('/')">
        <legend>{{ clashPlace(lesson.merging.plan, clash) }}</legend>
        <label>
          <input v-model="taken[place]" type="radio" value="mine" />
          yours: <strong>{{ clashValue(clash.mine) }}</strong>
        </label>
        <label>
          <input v-model="taken[place]" type="radio" value="theirs" />
          the other desk’s: <strong>{{ clashValue(clash.theirs) }}</strong>
        </label>
      </fieldset>
    </template>
    <template #actions><button type="button" class="button main" @click="settle">Go on with these</button></template>
  </AppDialog>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 4px;
  padding: 8px 12px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
}
legend {
  padding: 0 6px;
  font-family: var(--heading);
}
label {
  display: flex;
  gap: 8px;
  overflow-wrap: anywhere;
}
input {
  accent-color: var(--green);
}
</style>
