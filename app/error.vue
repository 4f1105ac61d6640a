<script setup lang="ts">
import type { NuxtError } from '#app'
import BeakerMark from '~/components/pieces/BeakerMark.vue'

/** An address that leads nowhere, or a page that broke: what happened, what is safe, and a way on. */
const { error } = defineProps<{ error: NuxtError }>()
const missing = computed(() => error.statusCode === 404)
useHead({ title: () => (missing.value ? 'No such page' : 'Something broke') })
const leaveTo = (redirect: string) => clearError({ redirect })
const loadAgain = () => location.reload()
</script>

<template>
  <VApp>
    <main class="grid gap-wide justify-items-start mx-auto my-34px max-w-600px px-block">
      <BeakerMark :size="72" :level="0.15" />
      <h1>{{ missing ? 'There is no such page' : 'This page broke' }}</h1>
      <p v-if="missing">The address may be mistyped, or what stood there was put away. Nothing is lost.</p>
      <p v-else>
        What was written down is kept. Load the page again; if it breaks once more, tell whoever looks after this computer what you
        did last.
      </p>
      <div class="row">
        <MainBtn v-if="missing" @click="leaveTo('/')">To the shelf</MainBtn>
        <template v-else>
          <MainBtn @click="loadAgain">Load it again</MainBtn>
          <VBtn @click="leaveTo('/')">To the shelf</VBtn>
        </template>
        <QuietBtn @click="leaveTo('/station')">Join as a station</QuietBtn>
      </div>
    </main>
  </VApp>
</template>
