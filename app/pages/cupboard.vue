<script setup lang="ts">
import { bookedOf, readCount, readPrice, runningLow, type Booking, type School, type Thing } from '~~/core/kit'
import { unitOf, NUMBER_UNITS, type UnitCode } from '~~/core/quantity'
import { amountWords, counted, dayWords, moneyWords } from '~~/core/wording'
import type { Move } from '~~/server/database/cupboard'

/** What stands in the school's cupboard, who has booked it, what runs low, and what happened to it. */
useHead({ title: 'Cupboard · Jolly Beaker' })
const notices = useNotices()
const things = ref<Thing[]>()
const bookings = ref<Booking[]>([])
const moves = ref<Move[]>([])
const held = ref<School['held']>({ before: 3, after: 1 })
const search = ref('')
const sheet = ref<HTMLElement>()
const { follow } = useSheetKeys(sheet)
/** What was typed into a cell that wants a number, until it is one. */
const drafts = ref<Record<string, string>>({})
/** The cell that is being typed in: what the server answers meanwhile does not touch it. */
const typing = ref<{ key: string; text: string }>()

const shown = computed(() =>
  (things.value ?? []).filter(({ name, place }) => `${name} ${place}`.toLowerCase().includes(search.value.trim().toLowerCase())),
)
const runsLow = computed(() => runningLow(things.value ?? []))
const COLUMNS = ['name', 'stock', 'unit', 'place', 'minimum', 'pack', 'price'] as const
type Column = (typeof COLUMNS)[number]
/** Columns that are words, not figures. */
const WORDED: Column[] = ['name', 'unit', 'place']
const NAMES: Record<Column, string> = {
  name: 'Thing',
  stock: 'There',
  unit: 'in',
  place: 'Place',
  minimum: 'At least',
  pack: 'One pack',
  price: 'Price',
}
const MOVE_WORDS: Record<Move['why'], string> = {
  new: 'put in',
  corrected: 'counted anew',
  imported: 'from a table',
  'counted-back': 'counted back',
  'taken-out': 'taken out of the cupboard',
}

onMounted(load)

async function load(): Promise<void> {
  await attempt(async () => {
    const all = await callServer<{ things: Thing[]; bookings: Booking[]; moves: Move[]; held: School['held'] }>('/api/cupboard')
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
function save(thing: Thing): Promise<unknown> {
  const all = things.value ?? []
  const known = all.some(({ id }) => id === thing.id)
  things.value = known ? all.map((one) => (one.id === thing.id ? thing : one)) : [...all, thing]
  writing = writing.then(async () => {
    await attempt(() => callServer('/api/cupboard', { method: 'PUT', body: thing }))
    await load()
  })
  return writing
}

function written(thing: Thing, column: Column): string {
  const key = `${thing.id}-${column}`
  const draft = typing.value?.key === key ? typing.value.text : drafts.value[key]
  if (draft !== undefined) return draft
  const value = thing[column]
  return value === null ? '' : column === 'price' ? moneyWords(value as number) : String(value)
}

/** A number as people write it, with a comma or a point; empty where nothing has to be said. */
async function write({ id }: Thing, column: Column, text: string): Promise<void> {
  typing.value = undefined
  const thing = things.value?.find((one) => one.id === id)
  const key = `${id}-${column}`
  const value = text.trim()
  if (!thing || value === written(thing, column)) return
  if (column === 'name' || column === 'place' || column === 'unit') {
    if (column === 'name' && value === '') return
    await save({ ...thing, [column]: value })
    return
  }
  const number = column === 'price' ? readPrice(value) : { ok: true as const, value: readCount(value) }
  const empty = value === '' && column !== 'stock'
  if (!empty && (!number.ok || number.value === undefined || (column === 'pack' && number.value === 0))) {
    drafts.value = { ...drafts.value, [key]: text }
    return
  }
  const { [key]: _typed, ...rest } = drafts.value
  drafts.value = rest
  await save({ ...thing, [column]: empty || !number.ok ? null : number.value })
}

async function add(name: string): Promise<void> {
  await save({ id: newId(), name, unit: 'pieces', stock: 0, place: '', minimum: null, pack: null, price: null })
}

async function takeOut(thing: Thing): Promise<void> {
  const done = await attempt(async () => {
    await callServer(`/api/cupboard/${thing.id}/out`, { method: 'POST' })
    await load()
  })
  if (done) notices.done(`${thing.name} is out of the cupboard.`, { label: 'Undo', run: () => void save(thing) })
}

async function openTable(): Promise<void> {
  const text = await chooseTextFile('.csv,.txt,text/csv')
  if (text === undefined) return
  await attempt(async () => {
    const answer = await callServer<{ added: number; changed: number }>('/api/cupboard/file', { method: 'POST', body: { text } })
    await load()
    notices.done(`${counted(answer.added, 'thing')} added, ${answer.changed} changed.`)
  })
}

async function hold(change: Partial<School['held']>): Promise<void> {
  await attempt(async () => {
    await callServer('/api/cupboard/held', { method: 'PUT', body: { ...held.value, ...change } })
    await load()
  })
}

const value = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <main class="cupboard">
    <header class="row head">
      <NuxtLink to="/" class="button quiet">‹ Shelf</NuxtLink>
      <h1>Cupboard</h1>
      <p class="soft">What there is, where, and who has booked it.</p>
      <div class="row tools">
        <input v-model="search" class="box find" type="search" placeholder="Find a thing" aria-label="Find a thing" />
        <a class="button small" href="/api/cupboard/file">Save as a table (CSV)</a>
        <button type="button" class="button small" @click="openTable">Take in a table (CSV)</button>
      </div>
    </header>

    <section v-if="runsLow.low.length > 0" class="sheet low" aria-labelledby="low">
      <h2 id="low"><span aria-hidden="true">▲</span> Runs low</h2>
      <p>
        <span v-for="({ thing, packs }, place) in runsLow.low" :key="thing.id">
          {{ place > 0 ? ' · ' : '' }}<strong>{{ thing.name }}</strong> {{ amountWords(thing.stock, thing.unit) }} of
          {{ amountWords(thing.minimum!, thing.unit) }}{{ packs === undefined ? '' : `: ${counted(packs, 'pack')}` }}
        </span>
        <span v-if="runsLow.cost > 0" class="soft"> · {{ moneyWords(runsLow.cost) }} in all</span>
      </p>
    </section>

    <div class="scroll" tabindex="0" role="group" aria-label="Things in the cupboard">
      <table ref="sheet" class="ruled">
        <thead>
          <tr>
            <th v-for="column in COLUMNS" :key="column" scope="col" :class="{ figure: !WORDED.includes(column) }">
              {{ NAMES[column] }}
            </th>
            <th scope="col">Booked</th>
            <th scope="col"><span class="sr-only">Take out</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(thing, row) in shown" :key="thing.id">
            <td v-for="(column, place) in COLUMNS" :key="column" :class="column">
              <select
                v-if="column === 'unit'"
                class="box cell"
                :value="thing.unit"
                :aria-label="`${thing.name}: unit`"
                :data-row="row"
                :data-column="place"
                @change="write(thing, 'unit', value($event))"
                @keydown="follow($event, row, place)"
              >
                <option v-for="unit in NUMBER_UNITS" :key="unit" :value="unit">
                  {{ unitOf(unit as UnitCode).symbol || 'count' }}
                </option>
              </select>
              <textarea
                v-else
                rows="1"
                class="cell"
                :class="{ wrong: drafts[`${thing.id}-${column}`] !== undefined, number: !WORDED.includes(column) }"
                maxlength="200"
                autocomplete="off"
                :value="written(thing, column)"
                :aria-label="`${thing.name}: ${NAMES[column]}`"
                :aria-invalid="drafts[`${thing.id}-${column}`] !== undefined ? true : undefined"
                :title="drafts[`${thing.id}-${column}`] !== undefined ? 'Write a number, like 12 or 2.50.' : undefined"
                :data-row="row"
                :data-column="place"
                @input="typing = { key: `${thing.id}-${column}`, text: value($event) }"
                @change="write(thing, column, value($event))"
                @blur="typing = undefined"
                @keydown="follow($event, row, place)"
              />
            </td>
            <td class="booked">
              <span v-for="booking in bookedOf(thing, bookings)" :key="`${booking.lesson}${booking.amount}`">
                {{ amountWords(booking.amount, thing.unit) }} on {{ dayWords(booking.date) }}
                <span class="soft">{{ booking.title }}</span>
                <span v-if="booking.short > 0" class="trouble short">
                  <span aria-hidden="true">▲</span> {{ amountWords(booking.short, thing.unit) }} short
                </span>
              </span>
            </td>
            <td>
              <button type="button" class="button small quiet" :aria-label="`Take ${thing.name} out`" @click="takeOut(thing)">
                ✕
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-for="(text, key) in drafts" :key="key" class="trouble" role="alert">
        “{{ text }}” is not a number that fits here. Write it like 12 or 2.50; what stands in the cupboard has not changed.
      </p>
    </div>
    <div v-if="things && things.length === 0" class="empty-note">
      <strong>The cupboard is empty</strong>
      Put in what the school has, such as “30 cm ruler”, or take in a table with the columns thing and stock. Lessons then know what
      is there and what another lesson has booked.
    </div>
    <QuickAdd
      class="add"
      is-new
      label="Put a thing into the cupboard"
      placeholder="+ a thing: thermometer"
      :longest="200"
      @add="add"
    />

    <section class="row held">
      <span>Things that are used again are held for a lesson from</span>
      <NumberField
        bare
        whole
        label="Days before a lesson"
        :model-value="held.before"
        :least="0"
        :most="30"
        @update:model-value="hold({ before: $event ?? 0 })"
      />
      <span>days before until</span>
      <NumberField
        bare
        whole
        label="Days after a lesson"
        :model-value="held.after"
        :least="0"
        :most="30"
        @update:model-value="hold({ after: $event ?? 0 })"
      />
      <span>days after it.</span>
    </section>

    <details class="fold">
      <summary><strong>What happened</strong><span class="soft">the newest first</span></summary>
      <table class="ruled">
        <tbody>
          <tr v-for="move in moves" :key="move.number">
            <td class="soft">
              {{
                new Date(move.at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
              }}
            </td>
            <td>{{ things?.find(({ id }) => id === move.thing)?.name ?? 'a thing that is out' }}</td>
            <td>
              {{ MOVE_WORDS[move.why] }}{{ move.title ? ` after “${move.title}”` : ''
              }}{{ move.broken > 0 ? `, ${move.broken} broken` : '' }}
            </td>
            <td class="figure">{{ move.change > 0 ? '+' : '' }}{{ move.change }}</td>
            <td class="figure">{{ move.stock }} there</td>
          </tr>
        </tbody>
      </table>
    </details>
    <NoticeBar />
  </main>
</template>

<style scoped>
.cupboard {
  width: min(1180px, 100%);
  margin: 0 auto;
  padding: 22px 24px 80px;
}
.head {
  margin-bottom: 14px;
}
h1 {
  color: var(--green);
  font-size: 26px;
}
h2 {
  font-size: 16px;
}
.tools {
  margin-left: auto;
}
.find {
  width: 130px;
}
.low {
  margin-bottom: 12px;
  border-color: var(--brass-mark);
  background: var(--brass-light);
  padding: 8px 14px;
}
td {
  padding: 2px 4px !important;
}
.cell {
  width: 100%;
  min-height: 30px;
  padding: 2px 6px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: transparent;
  line-height: 1.35;
  resize: none;
  field-sizing: content;
}
.cell:hover {
  border-color: var(--line);
}
.cell:focus {
  border-color: var(--slate);
  background: var(--card);
}
.cell.wrong {
  border: 2px solid var(--beet);
}
.number {
  text-align: right;
}
.name {
  min-width: 270px;
}
td.stock,
td.minimum,
td.pack,
td.price {
  width: 76px;
}
td.unit {
  width: 92px;
}
.place {
  min-width: 130px;
}
.booked {
  min-width: 250px;
}
.booked span {
  display: block;
  font-size: 14px;
}
.booked .short {
  margin-left: 6px;
  white-space: nowrap;
}
.booked span span {
  display: inline;
}
.add {
  width: 320px;
  margin-top: 8px;
}
.held {
  margin-top: 18px;
  gap: 6px;
}
</style>
