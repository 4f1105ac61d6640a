<script setup lang="ts">
import { readBlock } from '~~/core/formats'
import { activeConditions, letterOf, measuredCard } from '~~/core/lesson'
import { unitOf } from '~~/core/quantity'
import { cellKey, gridRows, progressOf, type Cell } from '~~/core/record'
import { cellTarget } from '~~/core/secondLook'
import { momentWords, nameOfCondition, readingHeading, readingHeadings } from '~~/core/wording'

/** Groups by conditions by repeats, keyed in like a spreadsheet. What cannot be read stays in its place until it is mended. */
const props = defineProps<{ withPractice: boolean }>()
const chosen = defineModel<Cell>('chosen')
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const unit = computed(() => measuredCard(plan.value)!.method.unit)
const conditions = computed(() => activeConditions(plan.value))
const progress = computed(() => progressOf(plan.value, lesson.record.readings))
/** Headings under each condition: practice, then every repeat, at every moment it is read. */
const columns = computed(() => [
  ...(props.withPractice ? readingHeading(plan.value, 'practice') : []),
  ...readingHeadings(plan.value),
])
const perCondition = computed(() => columns.value.length)
const rows = computed(() => gridRows(plan.value, lesson.record.readings, props.withPractice))
const { drafts, troubles, textOf, write } = useGridEntry()
const doubtful = computed(
  () => new Set(lesson.findings.flatMap((finding) => (finding.code === 'doubtful' ? [finding.reading] : []))),
)
const grid = ref<HTMLElement>()

const labelOf = (cell: Cell) =>
  `${nameOfGroup(cell.group)}, ${letterOf(plan.value, cell.condition)} ${nameOfCondition(plan.value, cell.condition)}, ${cell.practice ? 'practice' : `repeat ${cell.repeat}`}${cell.moment === '' ? '' : `, ${momentWords(plan.value, cell.moment)}`}`
const nameOfGroup = (id: string) => plan.value.groups.find((group) => group.id === id)!.name
const isChosen = (cell: Cell) => chosen.value && cellKey(chosen.value) === cellKey(cell)
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
  drafts.value.delete(cellKey(cell))
  troubles.value.delete(cellKey(cell))
  field.value = textOf(cell)
  field.select()
}

function onFocus(event: FocusEvent, cell: Cell): void {
  chosen.value = cell
  ;(event.target as HTMLInputElement).select()
}

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
  void write(entries)
}
</script>

<template>
  <div class="scroll">
    <table ref="grid" class="grid">
      <caption class="sr-only">
        Readings in
        {{
          unitOf(unit).symbol
        }}
        of every group
      </caption>
      <thead>
        <tr>
          <td class="corner">{{ unitOf(unit).symbol }}</td>
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
        <tr v-for="(cells, row) in rows" :key="progress[row]!.group">
          <th scope="row">
            <span>
              <ShapeBadge :size="15" :shape="plan.groups[row]!.shape" />
              {{ plan.groups[row]!.name }}
            </span>
          </th>
          <template v-for="(cell, column) in cells" :key="column">
            <td v-if="!cell" class="none" :class="{ first: column % perCondition === 0 }">
              <span class="sr-only">not this group’s</span>
            </td>
            <td
              v-else
              :class="{
                first: column % perCondition === 0,
                chosen: isChosen(cell),
                practice: cell.practice,
                aside: cell.kept.length === 0 && cell.setAside.length > 0,
                doubtful: cell.kept.some((reading) => doubtful.has(reading.id)),
                wrong: troubles.has(cellKey(cell)),
              }"
            >
              <input
                :value="textOf(cell)"
                autocomplete="off"
                maxlength="60"
                :aria-label="labelOf(cell)"
                :data-row="row"
                :data-column="column"
                :data-target="cell.practice ? undefined : cellTarget(cell)"
                :title="troubles.get(cellKey(cell))"
                :aria-invalid="troubles.has(cellKey(cell)) ? true : undefined"
                @input="drafts.set(cellKey(cell), ($event.target as HTMLInputElement).value)"
                @focus="onFocus($event, cell)"
                @blur="write([{ cell, text: ($event.target as HTMLInputElement).value }])"
                @keydown="onKey($event, row, column)"
                @paste="onPaste($event, row, column)"
              />
              <span v-if="cell.kept.some((reading) => doubtful.has(reading.id))" class="mark" aria-hidden="true">?</span>
              <span v-else-if="cell.kept.length > 1" class="mark" aria-hidden="true">{{ cell.kept.length }}×</span>
              <span v-else-if="cell.setAside.length > 0" class="mark soft" aria-hidden="true">⊘</span>
            </td>
          </template>
          <td class="done">{{ progress[row]!.done }} of {{ progress[row]!.all }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="[key, message] in troubles" :key="key" class="trouble" role="alert">“{{ drafts.get(key) }}”: {{ message }}</p>
  </div>
</template>

<style scoped>
.none {
  background: repeating-linear-gradient(45deg, transparent 0 5px, var(--line) 5px 6px);
}
.grid {
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
  padding: 3px 2px;
  color: var(--soft);
  font-size: 14px;
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
  font-size: 15px;
}
.condition span {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  line-height: 1.15;
}
.corner,
tbody th {
  position: sticky;
  left: 0;
  z-index: 1;
  background: var(--paper);
  text-align: left !important;
}
tbody th span {
  display: flex;
  align-items: center;
  gap: 6px;
  padding-right: 8px;
  font-family: var(--heading);
}
tbody td {
  position: relative;
  min-width: 46px;
  border-right: 1px solid var(--line);
  background: var(--card);
}
.first {
  border-left: 1.5px solid var(--ink) !important;
}
tbody td input {
  width: 100%;
  height: 40px;
  padding: 0 6px;
  border: 0;
  background: none;
  text-align: right;
}
td.chosen {
  background: var(--green-light);
}
td.practice input {
  color: var(--soft);
  font-style: italic;
}
td.aside {
  background: repeating-linear-gradient(45deg, transparent 0 5px, var(--line) 5px 6px);
}
td.doubtful {
  box-shadow: inset 0 0 0 2px var(--brass-mark);
}
td.wrong {
  box-shadow: inset 0 0 0 2px var(--beet);
}
.mark {
  position: absolute;
  top: 0;
  left: 4px;
  color: var(--brass);
  font-size: 13px;
  font-weight: 700;
  pointer-events: none;
}
.done {
  padding-left: 8px !important;
  border-right: 0 !important;
  background: none !important;
  color: var(--soft);
  font-size: 14px;
  white-space: nowrap;
}
</style>
