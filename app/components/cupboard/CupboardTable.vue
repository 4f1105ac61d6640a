<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import { bookedOf, bookedSoon, THING_FIELDS, withField, type Booking, type Thing, type ThingField } from '~~/core/kit'
import { unitOf, NUMBER_UNITS, type UnitCode } from '~~/core/quantity'
import { amountWords, counted, dayWords, moneyWords, priceHeading } from '~~/core/wording'
import { useCustoms } from '~/composables/customs'
import { useSheetKeys } from '~/composables/sheetKeys'
import { schoolDay } from '~/following/serverClock'

/** What stands in the cupboard, keyed in like a spreadsheet, and who has booked it. */
const props = defineProps<{ things: Thing[]; bookings: Booking[] }>()
const { customs } = useCustoms()
const emit = defineEmits<{ save: [thing: Thing]; takeOut: [thing: Thing] }>()
const sheet = ref<HTMLElement>()
const { follow } = useSheetKeys(sheet)
const wholly = ref(new Set<string>())
/** The next bookings of each thing, or all of them where somebody asked. */
const booked = computed(
  () =>
    new Map(
      props.things.map((thing) => {
        const all = bookedOf(thing, props.bookings)
        return [thing.id, wholly.value.has(thing.id) ? { soon: all, others: 0 } : bookedSoon(all, schoolDay())]
      }),
    ),
)

/** What was typed into a cell that cannot take it, until it can. */
const drafts = ref<Record<string, string>>({})
/** The cell that is being typed in: what the server answers meanwhile does not touch it. */
const typing = ref<{ key: string; text: string }>()
/** Columns that are words, not figures. */
const WORDED: ThingField[] = ['name', 'unit', 'place']
const NAMES: Record<ThingField, string> = {
  name: 'Thing',
  stock: 'There',
  unit: 'in',
  place: 'Place',
  minimum: 'At least',
  pack: 'One pack',
  price: 'Price',
}

function written(thing: Thing, column: ThingField): string {
  const key = `${thing.id}-${column}`
  const draft = typing.value?.key === key ? typing.value.text : drafts.value[key]
  if (draft !== undefined) return draft
  const value = thing[column]
  return value === null ? '' : column === 'price' ? moneyWords(value as number) : String(value)
}

function write(thing: Thing, column: ThingField, text: string): void {
  typing.value = undefined
  const key = `${thing.id}-${column}`
  const { [key]: _typed, ...rest } = drafts.value
  const changed = withField(thing, column, text)
  drafts.value = changed ? rest : { ...rest, [key]: text }
  if (changed && changed[column] !== thing[column]) emit('save', changed)
}
const value = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <div class="scroll" tabindex="0" role="group" aria-label="Things in the cupboard">
    <table ref="sheet" class="ruled">
      <thead>
        <tr>
          <th v-for="column in THING_FIELDS" :key="column" scope="col" :class="{ figure: !WORDED.includes(column) }">
            {{ column === 'price' ? priceHeading(customs.currency) : NAMES[column] }}
          </th>
          <th scope="col">Booked</th>
          <th scope="col"><span class="sr-only">Take out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(thing, row) in things" :key="thing.id">
          <td v-for="(column, place) in THING_FIELDS" :key="column" :class="column">
            <select
              v-if="column === 'unit'"
              class="entry-cell"
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
              v-grow
              v-else
              rows="1"
              class="entry-cell"
              :class="{ wrong: drafts[`${thing.id}-${column}`] !== undefined, number: !WORDED.includes(column) }"
              :maxlength="LONGEST.name"
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
          <td class="booked min-w-250px">
            <span
              class="block text-small"
              v-for="booking in booked.get(thing.id)!.soon"
              :key="`${booking.lesson}${booking.amount}`"
            >
              {{ amountWords(booking.amount, thing.unit) }} on {{ dayWords(booking.date) }}
              <span class="soft block text-small">{{ booking.title }}</span>
              <span v-if="booking.short > 0" class="trouble short block text-small ml-close nowrap">
                <span class="block text-small" aria-hidden="true">▲</span> {{ amountWords(booking.short, thing.unit) }} short
              </span>
            </span>
            <QuietBtn v-if="booked.get(thing.id)!.others > 0" size="small" @click="wholly.add(thing.id)">
              {{ counted(booked.get(thing.id)!.others, 'other booking') }}
            </QuietBtn>
          </td>
          <td>
            <QuietBtn size="small" :aria-label="`Take ${thing.name} out`" @click="emit('takeOut', thing)"> ✕ </QuietBtn>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-for="(text, key) in drafts" :key="key" class="trouble" role="alert">
      “{{ text }}” is not a number that fits here. Write it like 12 or 2.50; what stands in the cupboard has not changed.
    </p>
  </div>
</template>

<style scoped>
td {
  padding: var(--gap-hair) var(--gap-tight) !important;
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
.booked span span {
  display: inline;
}
</style>
