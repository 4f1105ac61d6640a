<script setup lang="ts">
import { counted, dataWords, momentOfDayWords, sizeWords, snapshotWords, tookWords } from '~~/core/wording'
import type { HowItIs } from '~~/schemas/contract'
import { useIntervalFn } from '@vueuse/core'
import NoticeBar from '~/components/pieces/NoticeBar.vue'
import ReadTable from '~/components/pieces/ReadTable.vue'
import { callServer, messageOf } from '~/following/callServer'

/** How the server is, for whoever looks after it, and one button for whoever helps from afar. Nothing of a lesson stands here. */
useHead({ title: 'How it is · Jolly Beaker' })
const LOOK_EVERY = 10_000
const how = shallowRef<HowItIs>()
const trouble = ref('')
const COLUMNS = [
  { key: 'route', title: 'What was asked' },
  { key: 'count', title: 'How often', figure: true },
  { key: 'usual', title: 'Usually', figure: true },
  { key: 'slowest', title: 'Slowest', figure: true },
  { key: 'failed', title: 'Failed', figure: true },
]
const FACTS = computed(() => {
  if (!how.value) return []
  const { version, node, since, database, snapshots, memory, streams, log } = how.value
  return [
    ['Version', `Jolly Beaker ${version}, Node ${node.replace('v', '')}`],
    ['Running since', momentOfDayWords(since)],
    ['The data', dataWords(database.kind, database.bytes, database.lessons)],
    ['Snapshots', snapshotWords(snapshots)],
    ['Memory', sizeWords(memory)],
    ['Pages that follow a lesson', String(streams)],
    ['The log', log ?? 'goes to whoever started it; --log file keeps it'],
  ] as const
})
async function look(): Promise<void> {
  try {
    how.value = await callServer('GET /api/how-it-is')
    trouble.value = ''
  } catch (error) {
    trouble.value = messageOf(error)
  }
}
onMounted(look)
useIntervalFn(look, LOOK_EVERY)
</script>

<template>
  <main class="mx-auto my-34px w-full min-w-0 max-w-1000px px-block">
    <div class="row justify-between mb-10px">
      <QuietBtn to="/">‹ Shelf</QuietBtn>
      <MainBtn href="/api/how-it-is/bundle">Save this for whoever helps</MainBtn>
    </div>
    <h1>How it is</h1>
    <p class="hint">
      For whoever looks after this computer. What is saved holds this page and the last lines of the log: no lesson, no name, no
      number of a child.
    </p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template v-if="how">
      <dl class="facts my-wide">
        <template v-for="[name, text] in FACTS" :key="name">
          <dt class="font-bold">{{ name }}</dt>
          <dd class="break-anywhere">{{ text }}</dd>
        </template>
      </dl>
      <template v-if="how.mended.length > 0">
        <h2>What was mended</h2>
        <ul class="mb-wide">
          <li v-for="one in how.mended" :key="one.at">
            {{ momentOfDayWords(one.at) }}: {{ one.damage }}{{ one.takenAt ? `, from ${momentOfDayWords(one.takenAt)}` : '' }}
          </li>
        </ul>
      </template>
      <h2>What took longest since it runs</h2>
      <p v-if="how.routes.length === 0" class="soft">Nothing was asked yet.</p>
      <ReadTable
        v-else
        :rows="how.routes"
        :columns="COLUMNS"
        :caption="`The slowest of what was asked, ${counted(how.routes.length, 'line')}`"
      >
        <template #route="{ row }"
          ><code class="break-anywhere">{{ row.route }}</code></template
        >
        <template #usual="{ row }">{{ tookWords(row.usual) }}</template>
        <template #slowest="{ row }">{{ tookWords(row.slowest) }}</template>
      </ReadTable>
    </template>
    <NoticeBar />
  </main>
</template>

<style scoped>
.facts {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 3fr);
  gap: var(--gap-close) var(--gap-part);
}
</style>
