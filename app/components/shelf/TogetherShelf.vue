<script setup lang="ts">
import { lessonName } from '~~/core/wording'
import type { TogetherEntry } from '~~/schemas/togetherContract'
import { callServer } from '~/following/callServer'

/** What runs together, above the lessons; nothing where nothing does. */
const together = shallowRef<TogetherEntry[]>([])
onMounted(async () => {
  together.value = (await callServer('GET /api/together', {}).catch(() => undefined))?.together ?? []
})
</script>

<template>
  <section v-if="together.length > 0" class="mt-18px" aria-labelledby="together">
    <h3 id="together" class="text-soft text-lead">Running together</h3>
    <ul>
      <li v-for="one in together" :key="one.id" class="row py-near edge-bottom-1-line">
        <NuxtLink :to="`/together/${one.id}`" class="font-heading font-bold">{{ one.title || 'Running together' }}</NuxtLink>
        <span class="soft">{{ one.lessons.map(({ title }) => lessonName(title)).join(' · ') }}</span>
      </li>
    </ul>
  </section>
</template>
