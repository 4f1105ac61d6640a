<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import { counted } from '~~/core/wording'
import MoreMenu from '~/components/pieces/MoreMenu.vue'
import NoticeBar from '~/components/pieces/NoticeBar.vue'
import TogetherAgree from '~/components/together/TogetherAgree.vue'
import TogetherClock from '~/components/together/TogetherClock.vue'
import TogetherFound from '~/components/together/TogetherFound.vue'
import TogetherGroups from '~/components/together/TogetherGroups.vue'
import TogetherKit from '~/components/together/TogetherKit.vue'
import TextField from '~/forms/TextField.vue'
import { useTogether } from '~/composables/togetherDesk'
import { callServer } from '~/following/callServer'

/** Several lessons that run in one time: who does what, the clock, the kit, what each found, and one sentence across all. */
const route = useRoute()
const id = String(route.params.id)
const running = useTogether(id)
const { view, missing, members, found, change, title } = running
const together = computed(() => view.value?.together)
const PARTS = { who: 'Who does what', clock: 'Clock', kit: 'Kit', found: 'What each found', agree: 'Our sentence' } as const
type Part = keyof typeof PARTS
const part = computed<Part>(() => (Object.keys(PARTS) as Part[]).find((one) => one === route.query.part) ?? 'who')
const turn = (to: unknown) => void navigateTo({ query: to === 'who' ? {} : { part: String(to) } }, { replace: true })
useHead({ title: () => `${title.value} · Jolly Beaker` })

async function end(): Promise<void> {
  const path = { together: id }
  if (await running.attempt(() => callServer('DELETE /api/together/[together]', { path }))) await navigateTo('/')
}
const more = computed(() => [
  { label: 'Save all as one file', run: () => void navigateTo(`/api/together/${id}/file`, { external: true }) },
  { label: 'Split: every lesson alone again', run: () => void end() },
])
const openBoard = () => void window.open(`/together/${id}/board`, `board-${id}`)
</script>

<template>
  <main class="together">
    <p v-if="missing">These lessons do not run together any more. <NuxtLink to="/">Back to the shelf</NuxtLink></p>
    <p v-else-if="!view || !together">Opening …</p>
    <template v-else>
      <header class="flex items-start gap-wide mb-14px">
        <QuietBtn to="/">‹ Shelf</QuietBtn>
        <div class="flex-1 min-w-0">
          <h1 class="text-green text-large">{{ title }}</h1>
          <p class="soft">
            {{ counted(view.lessons.length, 'lesson') }} in one time, with one code: <strong class="code">{{ view.code }}</strong>
          </p>
        </div>
        <div class="row flex-none">
          <VBtn @click="openBoard">Board</VBtn>
          <VBtn :href="`/together/${id}/print`" target="_blank">Print</VBtn>
          <MoreMenu label="More for all" :items="more" />
        </div>
      </header>
      <TextField
        inline
        lazy
        class="name"
        label="Name of it all"
        :placeholder="title"
        :longest="LONGEST.name"
        :model-value="together.title"
        @update:model-value="change({ title: $event.trim() })"
      />
      <VTabs :model-value="part" class="my-wide mx-0" aria-label="Parts of running together" @update:model-value="turn">
        <VTab v-for="(name, one) in PARTS" :key="one" :value="one">{{ name }}</VTab>
      </VTabs>
      <TogetherGroups v-if="part === 'who'" :running="running" :view="view" />
      <TogetherClock v-else-if="part === 'clock'" :members="members" :together="together" @change="change" />
      <TogetherKit v-else-if="part === 'kit'" :id="id" :members="members" :together="together" />
      <TogetherFound v-else-if="part === 'found'" :found="found" />
      <TogetherAgree v-else :found="found" :together="together" @change="change" />
    </template>
    <NoticeBar />
  </main>
</template>

<style scoped>
.together {
  width: min(1180px, 100%);
  margin: 0 auto;
  padding: var(--gap-block) var(--gap-block) var(--gap-far);
}
.name {
  max-width: 560px;
}
.code {
  color: var(--ink);
  letter-spacing: 1px;
}
</style>
