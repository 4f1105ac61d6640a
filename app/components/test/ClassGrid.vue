<script setup lang="ts">
import { readBlock } from '~~/core/formats'
import { activeConditions, isEachChild, letterOf, type Reading } from '~~/core/lesson'
import { atMoment, forMeasure, measuredCards, testOf } from '~~/core/test'
import { unitOf } from '~~/core/quantity'
import { cellKey, gridRows, nextTrial, progressOf, type Cell } from '~~/core/record'
import { cellTarget, targetName } from '~~/core/secondLook'
import { doubtWords, momentWords, nameOfCondition, readingHeading, readingHeadings, writeReading } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import GridCell from '~/components/test/GridCell.vue'
import { useGridEntry } from '~/composables/gridEntry'
import { useSheetKeys } from '~/composables/sheetKeys'
import { useLesson } from '~/stores/lesson'
import { useSecondLook } from '~/stores/secondLook'
import { useNumberEntry } from '~/composables/numberEntry'

/** Groups by conditions by repeats, keyed in like a spreadsheet. What cannot be read stays in its place until it is mended. */
const NOTHING: Reading[] = []
const props = defineProps<{ withPractice: boolean }>()
const chosen = defineModel<Cell>('chosen')
const lesson = useLesson()
const look = useSecondLook()
const plan = computed(() => lesson.plan!)
const { workedOut } = useNumberEntry(() => lesson.record.readings)
/** The unit of all readings; of several measures each column says its own. */
const unit = computed(() => {
  return measuredCards(plan.value).length === 1 ? unitOf(testOf(plan.value).unit).symbol : ''
})
const conditions = computed(() => activeConditions(plan.value))
const progress = computed(() => progressOf(plan.value, lesson.record.readings))
/** Headings under each condition: practice, then every repeat, at every moment it is read. */
const columns = computed(() => [
  ...(props.withPractice ? readingHeading(plan.value, 'practice') : []),
  ...readingHeadings(plan.value),
])
const perCondition = computed(() => columns.value.length)
const rows = computed(() => gridRows(plan.value, lesson.record.readings, props.withPractice))
const { drafts, troubles, textOf, storedText, write, paste } = useGridEntry()
/** What is odd about which reading, in words. */
const odd = computed(
  () =>
    new Map(
      look.findings.flatMap((finding) =>
        finding.code === 'doubtful'
          ? [[finding.reading, doubtWords(forMeasure(plan.value, finding.measure), finding.value, finding.unit, finding.doubt)]]
          : [],
      ),
    ),
)
const grid = ref<HTMLElement>()

const labelOf = (cell: Cell) =>
  `${nameOfGroup(cell.group)}, ${letterOf(plan.value, cell.condition)} ${nameOfCondition(plan.value, cell.condition)}, ${cell.practice ? 'practice' : `repeat ${cell.repeat}`}${cell.moment === '' ? '' : `, ${momentWords(plan.value, cell.moment)}`}`
/** They hang on the plan alone, not on what is written. */
const labels = computed(() =>
  gridRows(plan.value, NOTHING, props.withPractice).map((row) => row.map((cell) => cell && labelOf(cell))),
)
/** What each group does next, by its own order of trials. */
const nextCells = computed(
  () =>
    new Set(
      progress.value.flatMap((one) => {
        const next = nextTrial(plan.value, one)
        return next ? [cellKey(next)] : []
      }),
    ),
)
/** What a number in several parts comes to while it is typed: "15 + 30 = 45 mm". */
const worked = computed(() => {
  const typed = chosen.value && drafts.value.get(cellKey(chosen.value))
  const own = chosen.value && atMoment(plan.value, chosen.value.moment)
  const value = typed === undefined || !own ? undefined : workedOut(own, typed)
  return value === undefined ? '' : `${typed!.trim()} makes ${writeReading(own!, value, testOf(own!).unit)}`
})
const oddIn = (cell: Cell) => cell.kept.map(({ id }) => odd.value.get(id)).find((words) => words !== undefined)
function markOf(cell: Cell): string {
  if (oddIn(cell) !== undefined) return '?'
  if (cell.kept.length > 1) return `${cell.kept.length}×`
  if (cell.kept.length === 0 && cell.setAside.length > 0) return '⊘'
  return nextCells.value.has(cellKey(cell)) ? '›' : ''
}
/** All that a row shows, in one word: a row in which nothing changed is not drawn anew. */
const signatures = computed(() =>
  rows.value.map((cells, row) =>
    [
      progress.value[row]!.done,
      ...cells.map(
        (cell) =>
          cell && `${textOf(cell)}|${markOf(cell)}|${isChosen(cell)}|${cell.setAside.length}|${troubles.value.get(cellKey(cell))}`,
      ),
    ].join(';'),
  ),
)
const nameOfGroup = (id: string) => plan.value.groups.find((group) => group.id === id)!.name
const isChosen = (cell: Cell) => chosen.value !== undefined && cellKey(chosen.value) === cellKey(cell)
// The chosen place follows what is written into it.
watch(rows, (all) => {
  if (chosen.value) chosen.value = all.flat().find((cell) => cell && cellKey(cell) === cellKey(chosen.value!)) ?? chosen.value
})

const { follow } = useSheetKeys(grid)

function onKey(event: KeyboardEvent, row: number, column: number): void {
  const field = event.target as HTMLInputElement
  const cell = rows.value[row]![column]!
  if (event.key !== 'Escape') {
    follow(event, row, column, () => void write([{ cell, text: field.value }]))
    return
  }
  // The first Escape takes back what was typed, the next one leaves the table: keys are the desk's again.
  if (!troubles.value.has(cellKey(cell)) && field.value === storedText(cell)) return grid.value?.focus()
  drafts.value.delete(cellKey(cell))
  troubles.value.delete(cellKey(cell))
  field.value = textOf(cell)
  field.select()
}

function onType(row: number, column: number, text: string): void {
  drafts.value.set(cellKey(rows.value[row]![column]!), text)
}
function onFocus(row: number, column: number): void {
  chosen.value = rows.value[row]![column]!
  fieldAt(row, column)?.select()
}
function onLeft(row: number, column: number, text: string): void {
  void write([{ cell: rows.value[row]![column]!, text }])
}
const fieldAt = (row: number, column: number) =>
  grid.value?.querySelector<HTMLInputElement>(`input[data-row="${row}"][data-column="${column}"]`)

function onPaste(event: ClipboardEvent, row: number, column: number): void {
  const block = readBlock(event.clipboardData?.getData('text') ?? '')
  if (block.length <= 1 && (block[0]?.length ?? 0) <= 1) return
  event.preventDefault()
  const entries = block.flatMap((line, down) =>
    line.flatMap((text, right) => {
      const cell = rows.value[row + down]?.[column + right]
      return cell ? [{ cell, text }] : []
    }),
  )
  void paste(entries)
}
</script>

<template>
  <div class="scroll">
    <table ref="grid" class="cells" tabindex="-1">
      <caption class="sr-only">
        {{
          ['Readings', unit && `in ${unit}`, 'of every group'].filter(Boolean).join(' ')
        }}
      </caption>
      <thead>
        <tr>
          <td id="grid-unit" class="corner">{{ unit }}</td>
          <th v-for="condition in conditions" :key="condition.id" scope="colgroup" :colspan="perCondition" class="condition">
            <span>
              <ConditionBadge :size="24" :letter="letterOf(plan, condition.id)" :place="plan.conditions.indexOf(condition)" />
              {{ nameOfCondition(plan, condition.id) }}
            </span>
          </th>
          <td class="done"><span class="sr-only">Done</span></td>
        </tr>
        <tr>
          <td class="corner" />
          <template v-for="condition in conditions" :key="condition.id">
            <th v-for="(heading, place) in columns" :key="heading" scope="col" :class="{ first: place === 0 }">{{ heading }}</th>
          </template>
          <td class="done" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="(cells, row) in rows" :key="progress[row]!.group" v-memo="[plan, withPractice, signatures[row]]">
          <th scope="row">
            <span>
              <span v-if="isEachChild(plan)" class="seat">{{ row + 1 }}</span>
              <ShapeBadge v-else :size="15" :shape="plan.groups[row]!.shape" />
              {{ plan.groups[row]!.name }}
            </span>
          </th>
          <template v-for="(cell, column) in cells" :key="column">
            <td v-if="!cell" class="none" :class="{ first: column % perCondition === 0 }">
              <span class="sr-only">not this group’s</span>
            </td>
            <GridCell
              v-else
              :text="textOf(cell)"
              :label="labels[row]?.[column] ?? labelOf(cell)"
              :row="row"
              :column="column"
              :target="cell.practice ? undefined : targetName(cellTarget(cell))"
              :trouble="troubles.get(cellKey(cell))"
              :mark="markOf(cell)"
              :first="column % perCondition === 0"
              :chosen="isChosen(cell)"
              :practice="cell.practice"
              :aside="cell.kept.length === 0 && cell.setAside.length > 0"
              :odd="oddIn(cell)"
              @type="onType"
              @chosen="onFocus"
              @left="onLeft"
              @key="onKey"
              @paste="onPaste"
            />
          </template>
          <td class="done">{{ progress[row]!.all === 0 ? 'away' : `${progress[row]!.done} of ${progress[row]!.all}` }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="worked" class="hint" role="status">{{ worked }}</p>
    <p v-for="[key, message] in troubles" :key="key" class="trouble" role="alert">“{{ drafts.get(key) }}”: {{ message }}</p>
  </div>
</template>

<style scoped>
.none {
  background: repeating-linear-gradient(45deg, transparent 0 5px, var(--line) 5px 6px);
}
.cells {
  width: 100%;
  border-collapse: separate;
  border-spacing: 0;
}
th,
td {
  padding: 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
}
thead th,
thead td {
  padding: var(--gap-tight) var(--gap-hair);
  color: var(--soft);
  font-size: var(--type-small);
  text-align: center;
  vertical-align: bottom;
}
thead tr:last-child > * {
  border-bottom: 1.5px solid var(--ink);
}
thead tr:first-child > * {
  border-bottom: 0;
}
.condition {
  color: var(--ink);
  font-family: var(--heading);
  font-size: var(--type-body);
}
.condition span {
  display: inline-flex;
  align-items: center;
  gap: var(--gap-close);
  line-height: 1.15;
}
.corner,
tbody th {
  position: sticky;
  left: 0;
  z-index: var(--layer-raised);
  background: var(--paper);
  text-align: left !important;
}
.seat {
  min-width: 2ch;
  color: var(--soft);
  text-align: right;
}
tbody th span {
  display: flex;
  align-items: center;
  gap: var(--gap-close);
  padding-right: var(--gap-near);
  font-family: var(--heading);
}
.first {
  border-left: 1.5px solid var(--ink) !important;
}
.done {
  padding-left: var(--gap-near) !important;
  border-right: 0 !important;
  background: none !important;
  color: var(--soft);
  font-size: var(--type-small);
  white-space: nowrap;
}
</style>
