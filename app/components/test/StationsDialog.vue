<script setup lang="ts">
import type { RunningClock } from '~~/core/clock'
import { timeWords } from '~~/core/wording'
import type { JoinedStation } from '~~/schemas/contract'
import AppDialog from '~/components/pieces/AppDialog.vue'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import GroupName from '~/components/pieces/GroupName.vue'
import ReadTable from '~/components/pieces/ReadTable.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import { callServer, messageOf } from '~/following/callServer'
import { clockPaused } from '~/composables/testClock'
import { useDeskBoard } from '~/stores/deskBoard'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** Who has joined: to another group, paused, or sent away. */
const props = defineProps<{ stations: JoinedStation[]; clock: RunningClock }>()
const open = defineModel<boolean>({ required: true })
const lesson = useLesson()
const notices = useNotices()
const onBoard = useDeskBoard()
const groups = computed(() => lesson.plan!.groups)
const paused = computed(() => props.stations.length > 0 && props.stations.every(({ locked }) => locked))
const inOrder = computed(() =>
  [...props.stations].sort((a, b) => placeOf(a.group) - placeOf(b.group) || a.joinedAt.localeCompare(b.joinedAt)),
)
const rows = computed(() =>
  inOrder.value.map((station) => ({
    station,
    name: `${nameOf(station)}${numberOf(station)}`,
    there: station.present ? '' : (station.lastSeenAt ?? 'never'),
  })),
)
const COLUMNS = [
  { key: 'name', title: 'Group' },
  { key: 'there', title: 'There?' },
  { key: 'do', title: 'What to do', figure: true, fixed: true },
]
const placeOf = (group: string) => groups.value.findIndex(({ id }) => id === group)
const nameOf = (station: JoinedStation) => groups.value.find(({ id }) => id === station.group)?.name ?? 'a group that is gone'
const numberOf = (station: JoinedStation) => {
  const same = inOrder.value.filter(({ group }) => group === station.group)
  return same.length > 1 ? ` ${same.indexOf(station) + 1}` : ''
}

async function change(stations: string[] | undefined, what: { group?: string; locked?: boolean }): Promise<void> {
  await attempt(() =>
    callServer('PUT /api/lessons/[lesson]/stations', {
      path: { lesson: lesson.id },
      body: { ...what, ...(stations && { stations }) },
    }),
  )
}
/** Eyes on the board: nobody tests meanwhile, so the clock stands still, too. */
async function pauseAll(): Promise<void> {
  const locked = !paused.value
  if (props.clock.running && props.clock.paused.now !== locked) void onBoard.show(clockPaused(onBoard.state))
  await change(undefined, { locked })
}
async function remove(station: JoinedStation): Promise<void> {
  await attempt(() =>
    callServer('DELETE /api/lessons/[lesson]/stations/[station]', { path: { lesson: lesson.id, station: station.id } }),
  )
}
async function attempt(work: () => Promise<unknown>): Promise<void> {
  await work().catch((error: unknown) => notices.trouble(messageOf(error)))
}
</script>

<template>
  <AppDialog v-model="open" title="Stations" :width="760">
    <EmptyNote v-if="stations.length === 0" title="Nobody has joined yet">
      A group opens the station page, types {{ lesson.code }} and taps its name. Then it stands here.
    </EmptyNote>
    <ReadTable v-else :rows="rows" :columns="COLUMNS" caption="Stations that have joined">
      <template #name="{ row: { station } }">
        <GroupName v-if="placeOf(station.group) >= 0" :group="groups[placeOf(station.group)]!" />
        <template v-else>{{ nameOf(station) }}</template>
        {{ numberOf(station) }}
      </template>
      <template #there="{ row: { station } }">
        <span v-if="station.present" class="there text-leaf">● there</span>
        <span v-else class="away text-brass">▲ away{{ station.lastSeenAt ? ` since ${timeWords(station.lastSeenAt)}` : '' }}</span>
        <span v-if="station.locked"> · paused</span>
      </template>
      <template #do="{ row: { station } }">
        <ChoiceField
          bare
          :label="`Move ${nameOf(station)}${numberOf(station)} to`"
          class="move"
          :model-value="station.group"
          @update:model-value="change([station.id], { group: $event })"
          :options="groups.map((group) => ({ value: group.id, title: group.name }))"
        />
        <VBtn size="small" @click="change([station.id], { locked: !station.locked })">
          {{ station.locked ? 'Go on' : 'Pause' }}<span class="sr-only"> {{ nameOf(station) }}{{ numberOf(station) }}</span>
        </VBtn>
        <QuietBtn size="small" @click="remove(station)">
          Send away<span class="sr-only"> {{ nameOf(station) }}{{ numberOf(station) }}</span>
        </QuietBtn>
      </template>
    </ReadTable>
    <template #actions>
      <QuietBtn @click="open = false">Close</QuietBtn>
      <VBtn v-if="stations.length > 0" @click="pauseAll">
        {{ paused ? 'Let all go on' : 'Pause all: eyes on the board' }}
      </VBtn>
    </template>
  </AppDialog>
</template>

<style scoped>
.move {
  display: inline-flex;
  width: 130px;
}
.move + * {
  margin: 0 var(--gap-close);
}
</style>
