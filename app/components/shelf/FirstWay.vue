<script setup lang="ts">
import { callServer, messageOf } from '~/following/callServer'
import { useNotices } from '~/stores/notices'

/** What an empty shelf shows: a class to look around in, the first lesson, the own class. */
const notices = useNotices()
const busy = ref(false)

async function lookAround(): Promise<void> {
  busy.value = true
  try {
    const { id } = await callServer('POST /api/demo')
    await navigateTo(`/lesson/${id}/wonder?walk`)
  } catch (error) {
    busy.value = false
    notices.trouble(messageOf(error))
  }
}
</script>

<template>
  <ol class="way">
    <li class="sheet">
      <h3 class="text-lead">1 Look around</h3>
      <p>
        A made-up class with three lessons: one nearly finished, one half planned and unfair, one that watches cress. Three minutes.
      </p>
      <VBtn :loading="busy" @click="lookAround">Put the demo class on the shelf</VBtn>
    </li>
    <li class="sheet">
      <h3 class="text-lead">2 Plan a first lesson</h3>
      <p>Take a ready one, such as “How does the kind of paper change how high water climbs?”, and change what you like.</p>
      <MainBtn to="/new">Choose a lesson</MainBtn>
    </li>
    <li class="sheet">
      <h3 class="text-lead">3 Say who is in it</h3>
      <p>The name of your class and how many children stand above the ready lessons; groups and who is away follow in the plan.</p>
    </li>
  </ol>
</template>

<style scoped>
.way {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: var(--gap-block);
  margin-top: 20px;
  padding: 0;
  list-style: none;
}
.way li {
  display: grid;
  grid-template-rows: auto 1fr auto;
  gap: var(--gap-near);
  justify-items: start;
}
</style>
