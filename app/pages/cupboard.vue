<script setup lang="ts">
import { BOUNDS, LONGEST } from '~~/core/lesson'
import { isNowThere, runningLow, type Booking, type Customs, type School, type Thing } from '~~/core/kit'
import { amountWords, counted, CURRENCY_CHOICES, ENGLISH_CHOICES, reachedWords } from '~~/core/wording'
import type { Move } from '~~/schemas/contract'
import CupboardHistory from '~/components/cupboard/CupboardHistory.vue'
import CupboardTable from '~/components/cupboard/CupboardTable.vue'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import NoticeBar from '~/components/pieces/NoticeBar.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import TextField from '~/forms/TextField.vue'
import { chooseTextFile } from '~/composables/chooseFile'
import { useCustoms } from '~/composables/customs'
import { callServer, messageOf } from '~/following/callServer'
import { newId } from '~/following/newId'
import { useNotices } from '~/stores/notices'

/** What stands in the school's cupboard, who has booked it, what runs low, and what happened to it. */
useHead({ title: 'Cupboard · Jolly Beaker' })
const notices = useNotices()
const { customs, money } = useCustoms()
const things = ref<Thing[]>()
const bookings = ref<Booking[]>([])
const moves = ref<Move[]>([])
const held = ref<School['held']>({ before: 3, after: 1 })
const search = ref('')

const shown = computed(() =>
  (things.value ?? []).filter(({ name, place }) => `${name} ${place}`.toLowerCase().includes(search.value.trim().toLowerCase())),
)
const runsLow = computed(() => runningLow(things.value ?? []))

onMounted(load)

async function load(): Promise<void> {
  await attempt(async () => {
    const all = await callServer('GET /api/cupboard')
    // While something is still to be written, what the server says is older than what stands here.
    if (waiting > 0) return
    things.value = all.things
    bookings.value = all.bookings
    moves.value = all.moves
    held.value = all.held
  })
}

async function attempt(work: () => Promise<unknown>): Promise<boolean> {
  try {
    await work()
    return true
  } catch (error) {
    notices.trouble(messageOf(error))
    return false
  }
}

/** Writes wait for each other, so that two cells left quickly both count. */
let writing: Promise<unknown> = Promise.resolve()
let waiting = 0
function save(thing: Thing): Promise<unknown> {
  const all = things.value ?? []
  const before = all.find(({ id }) => id === thing.id)
  const known = before !== undefined
  things.value = known ? all.map((one) => (one.id === thing.id ? thing : one)) : [...all, thing]
  waiting += 1
  writing = writing.then(async () => {
    const saved = await attempt(() => callServer('PUT /api/cupboard', { body: thing }))
    waiting -= 1
    await load()
    if (saved && isNowThere(thing, before)) await reach([thing.id])
  })
  return writing
}

/** What lessons name is counted for them as soon as there is any of it. */
const reach = async (ids: string[]) =>
  attempt(async () => {
    const { reached } = await callServer('PUT /api/cupboard/lessons', { body: { things: ids, back: null } })
    if (reached.length === 0) return
    notices.done(reachedWords(reached), {
      label: 'Undo',
      run: () => void attempt(() => callServer('PUT /api/cupboard/lessons', { body: { things: ids, back: reached } })),
    })
    await load()
  })

async function add(name: string): Promise<void> {
  await save({ id: newId(), name, unit: 'pieces', stock: 0, place: '', minimum: null, pack: null, price: null })
}

async function takeOut(thing: Thing): Promise<void> {
  const done = await attempt(async () => {
    await callServer('POST /api/cupboard/[thing]/out', { path: { thing: thing.id } })
    await load()
  })
  if (done) notices.done(`${thing.name} is out of the cupboard.`, { label: 'Undo', run: () => void save(thing) })
}

async function openTable(): Promise<void> {
  const text = await chooseTextFile('.csv,.txt,text/csv')
  if (text === undefined) return
  await attempt(async () => {
    const answer = await callServer('POST /api/cupboard/file', { body: { text } })
    await load()
    notices.done(`${counted(answer.added, 'thing')} added, ${answer.changed} changed.`)
    await reach(answer.things)
  })
}

async function hold(change: Partial<School['held']>): Promise<void> {
  await attempt(async () => {
    await callServer('PUT /api/cupboard/held', { body: { ...held.value, ...change } })
    await load()
  })
}

async function write(change: Partial<Customs>): Promise<void> {
  const body = { ...customs.value, ...change }
  if (await attempt(() => callServer('PUT /api/cupboard/customs', { body }))) customs.value = body
}
</script>

<template>
  <main class="cupboard">
    <header class="row mb-14px">
      <QuietBtn to="/">‹ Shelf</QuietBtn>
      <h1 class="text-green text-huge">Cupboard</h1>
      <p class="soft">What there is, where, and who has booked it.</p>
      <div class="row ml-auto">
        <TextField bare label="Find a thing" class="find" v-model="search" type="search" placeholder="Find a thing" />
        <VBtn size="small" href="/api/cupboard/file">Save as a table (CSV)</VBtn>
        <VBtn size="small" @click="openTable">Take in a table (CSV)</VBtn>
      </div>
    </header>

    <section v-if="runsLow.low.length > 0" class="sheet low" aria-labelledby="low">
      <h2 class="text-body" id="low"><span aria-hidden="true">▲</span> Runs low</h2>
      <p>
        <span v-for="({ thing, packs }, place) in runsLow.low" :key="thing.id">
          {{ place > 0 ? ' · ' : '' }}<strong>{{ thing.name }}</strong> {{ amountWords(thing.stock, thing.unit) }} of
          {{ amountWords(thing.minimum!, thing.unit) }}{{ packs === undefined ? '' : `: ${counted(packs, 'pack')}` }}
        </span>
        <span v-if="runsLow.cost > 0" class="soft"> · {{ money(runsLow.cost) }} in all</span>
      </p>
    </section>

    <CupboardTable v-if="shown.length > 0" :things="shown" :bookings="bookings" @save="save" @take-out="takeOut" />
    <EmptyNote v-if="things && things.length === 0" title="The cupboard is empty">
      Put in what the school has, such as “30 cm ruler”, or take in a table with the columns thing and stock. Lessons then know what
      is there and what another lesson has booked.
    </EmptyNote>
    <QuickAdd
      class="add"
      is-new
      label="Put a thing into the cupboard"
      placeholder="+ a thing"
      example="a thermometer"
      :longest="LONGEST.name"
      @add="add"
    />

    <section class="row held mt-18px gap-close">
      <span>Things that are used again are held for a lesson from</span>
      <NumberField
        bare
        whole
        label="Days before a lesson"
        :model-value="held.before"
        v-bind="BOUNDS.heldDays"
        @update:model-value="hold({ before: $event ?? 0 })"
      />
      <span>days before until</span>
      <NumberField
        bare
        whole
        label="Days after a lesson"
        :model-value="held.after"
        v-bind="BOUNDS.heldDays"
        @update:model-value="hold({ after: $event ?? 0 })"
      />
      <span>days after it.</span>
    </section>

    <section class="row mt-wide" aria-label="How the school writes">
      <ChoiceField
        label="Words, spoons and cups"
        target="english"
        :model-value="customs.english"
        :options="ENGLISH_CHOICES"
        @update:model-value="write({ english: $event })"
      />
      <ChoiceField
        label="Prices are in"
        target="currency"
        :model-value="customs.currency"
        :options="CURRENCY_CHOICES"
        @update:model-value="write({ currency: $event })"
      />
    </section>

    <CupboardHistory :moves="moves" :things="things ?? []" />
    <NoticeBar />
  </main>
</template>

<style scoped>
.cupboard {
  width: min(1180px, 100%);
  margin: 0 auto;
  padding: var(--gap-block) var(--gap-block) var(--gap-far);
}
.find {
  width: 130px;
}
.low {
  margin-bottom: 12px;
  border-color: var(--brass-mark);
  background: var(--brass-light);
  padding: var(--gap-near) var(--gap-wide);
}
.add {
  width: min(320px, 100%);
  margin-top: 8px;
}
</style>
