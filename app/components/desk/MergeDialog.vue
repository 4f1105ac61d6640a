<script setup lang="ts">
import { withClashAs } from '~~/core/lesson'
import { clashPlace, clashValue } from '~~/core/wording'
import AppDialog from '~/components/pieces/AppDialog.vue'
import PickOne from '~/forms/PickOne.vue'
import { useLesson } from '~/stores/lesson'

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
      <section v-for="(clash, place) in lesson.merging.clashes" :key="clash.path.join('/')" class="sheet">
        <h3>{{ clashPlace(lesson.merging.plan, clash) }}</h3>
        <PickOne
          v-model="taken[place]"
          :label="clashPlace(lesson.merging.plan, clash)"
          :options="[
            { value: 'mine', title: `yours: ${clashValue(clash.mine)}` },
            { value: 'theirs', title: `the other desk’s: ${clashValue(clash.theirs)}` },
          ]"
        />
      </section>
    </template>
    <template #actions><MainBtn @click="settle">Go on with these</MainBtn></template>
  </AppDialog>
</template>
