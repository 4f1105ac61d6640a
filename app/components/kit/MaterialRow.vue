<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import { COLUMNS, withWritten, type Column, type Need } from '~~/core/kit'
import type { Material } from '~~/core/lesson'
import { amountWords, measuredWords, PER_WORDS, perWords, readErrorWords, USE_WORDS } from '~~/core/wording'
import { COLUMN_NAMES } from './columns'
import MaterialMore from '~/components/kit/MaterialMore.vue'
import { useCustoms } from '~/composables/customs'
import { useLesson } from '~/stores/lesson'

/** Loaded when they are first shown. */
const AppDrawer = defineAsyncComponent(() => import('~/components/pieces/AppDrawer.vue'))

/** One thing of the kit: what is written of it, and what that makes for a tray and for the class. */
const props = defineProps<{ material: Material; need: Need; columns: Column[]; row: number; whole: boolean }>()
defineEmits<{ key: [event: KeyboardEvent, column: Column]; paste: [event: ClipboardEvent, column: Column] }>()
const lesson = useLesson()
const { kitchen, money } = useCustoms()
const more = ref(false)
/** What was typed into a cell that takes a choice or a number, until it can be one. */
const drafts = ref<Partial<Record<Column, string>>>({})
const label = computed(() => props.material.name || 'a thing without a name')
const per = computed(() => (props.material.per === 'child' ? PER_WORDS : perWords(lesson.plan!)))
const fromCupboard = computed(() => props.need.supply.thing !== undefined)
const trayDiffers = computed(() => new Set(Object.values(props.need.trays)).size > 1)

const troubles = computed(() => {
  const { amount, supply } = props.need
  const found: [Column, string][] = supply.problems.map(({ field, code }) => [field, readErrorWords(code)])
  if (!amount.ok) found.unshift(['amount', readErrorWords(amount.code)])
  for (const column of Object.keys(drafts.value) as Column[]) found.push([column, 'Write a number, like 10.'])
  return found
})
const isWrong = (column: Column) => troubles.value.some(([field]) => field === column)

function written(column: Column): string {
  const { material } = props
  const draft = drafts.value[column]
  if (draft !== undefined) return draft
  if (column === 'spare') return material.spare === 0 ? '' : `${Math.round(material.spare * 100)} %`
  if (column === 'rinse') return material.rinse === 0 ? '' : String(material.rinse)
  return material[column]
}

/** What the cupboard says instead of what could be written here. */
function cupboardSays(column: Column): string | undefined {
  const { supply, unit } = props.need
  if (!supply.thing) return undefined
  if (column === 'stock') return supply.stock === undefined ? '?' : amountWords(supply.stock, unit)
  if (column === 'pack') return supply.pack === undefined ? '–' : amountWords(supply.pack, unit)
  if (column === 'price') return supply.price === undefined ? '–' : money(supply.price)
  return column === 'place' ? supply.place || '–' : undefined
}

function write(column: Column, text: string): void {
  const changed = withWritten(props.material, column, text)
  if (!changed) return void (drafts.value = { ...drafts.value, [column]: text })
  const { [column]: _typed, ...rest } = drafts.value
  drafts.value = rest
  lesson.edit(
    (draft) => (draft.materials = draft.materials.map((one) => (one.id === props.material.id ? changed : one))),
    `${column}-${props.material.id}`,
  )
}

/** While it is being typed, text is kept as it stands, spaces and all; numbers only when the cell is left. */
function typed(column: Column, text: string): void {
  if (column === 'spare' || column === 'rinse') return void (drafts.value = { ...drafts.value, [column]: text })
  lesson.edit(
    (draft) =>
      Object.assign(
        draft.materials.find((one) => one.id === props.material.id)!,
        { [column]: text.slice(0, 200) },
      ),
    `${column}-${props.material.id}`,
  )
}
const valueOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <tr :class="{ short: need.short > 0 }">
    <td v-for="column in columns" :key="column" :class="column">
      <select
        v-if="column === 'per' || column === 'use'"
        class="entry-cell"
        :value="material[column]"
        :aria-label="`${label}: ${COLUMN_NAMES[column]}`"
        :data-row="row"
        :data-column="COLUMNS.indexOf(column)"
        @change="write(column, valueOf($event) === 'up' ? 'used up' : valueOf($event))"
        @keydown="$emit('key', $event, column)"
      >
        <option v-for="(words, value) in column === 'per' ? per : USE_WORDS" :key="value" :value="value">{{ words }}</option>
      </select>
      <span v-else-if="cupboardSays(column) !== undefined" class="said py-0 px-close" title="from the cupboard">{{
        cupboardSays(column)
      }}</span>
      <textarea
        v-grow
        v-else
        rows="1"
        class="entry-cell"
        :class="{ wrong: isWrong(column) }"
        :value="written(column)"
        :maxlength="LONGEST.name"
        autocomplete="off"
        :aria-label="
          column === 'amount' ? `Amount of ${label}` : column === 'name' ? `Name: ${label}` : `${label}: ${COLUMN_NAMES[column]}`
        "
        :aria-invalid="isWrong(column) ? true : undefined"
        :data-row="row"
        :data-column="COLUMNS.indexOf(column)"
        :data-target="`${column}-${material.id}`"
        @input="typed(column, valueOf($event))"
        @change="write(column, valueOf($event))"
        @keydown="$emit('key', $event, column)"
        @paste="$emit('paste', $event, column)"
      />
    </td>
    <td v-if="!whole" class="figure">
      <template v-if="need.perTray === undefined">–</template>
      <template v-else>{{ trayDiffers ? 'up to ' : '' }}{{ measuredWords(need.perTray, need.unit, kitchen) }}</template>
    </td>
    <td class="figure font-bold">
      {{ measuredWords(need.forClass, need.unit, kitchen)
      }}<span v-if="need.spare > 0 && !whole" class="spare">with {{ amountWords(need.spare, need.unit) }} spare</span>
      <span v-else-if="material.use === 'again' && material.goesRound !== null" class="spare">goes round</span>
    </td>
    <td v-if="!whole" class="figure there">
      <template v-if="need.supply.stock !== undefined">{{ amountWords(need.supply.stock, need.unit) }}</template>
      <template v-else>–</template>
      <span v-if="need.short > 0" class="trouble block">
        <span aria-hidden="true">▲</span>
        {{ amountWords(need.short, need.unit) }} short{{ material.toBuy ? ', to buy' : '' }}
      </span>
      <span v-else-if="fromCupboard" class="spare">in the cupboard</span>
    </td>
    <td class="last">
      <QuietBtn
        size="small"
        aria-haspopup="dialog"
        :aria-label="`More about ${label}`"
        :data-target="`more-${material.id}`"
        @click="more = true"
      >
        more
      </QuietBtn>
      <AppDrawer v-if="more" v-model="more" :title="material.name || 'A thing without a name'">
        <MaterialMore :material="material" :need="need" />
      </AppDrawer>
    </td>
  </tr>
  <tr v-if="troubles.length > 0" class="explain">
    <td :colspan="columns.length + (whole ? 2 : 4)">
      <p v-for="[column, words] in troubles" :key="column" class="trouble" role="alert">{{ COLUMN_NAMES[column] }}: {{ words }}</p>
    </td>
  </tr>
</template>

<style scoped>
td {
  padding: var(--gap-hair) var(--gap-tight) !important;
}
.name {
  min-width: 190px;
}
.amount,
.stock,
.pack,
.price {
  width: 84px;
}
.place {
  min-width: 110px;
}
.spare,
.rinse {
  width: 70px;
}
.per,
.use {
  width: 138px;
}
.amount .entry-cell,
.whole .entry-cell {
  border-color: var(--mark);
  background: var(--card);
}
span.spare {
  display: block;
  width: auto;
  color: var(--soft);
  font-size: var(--type-small);
  font-weight: 400;
}
.explain td {
  padding: 0 var(--gap-near) var(--gap-close) !important;
}
</style>
