<script setup lang="ts">
import { cellOf, checkPlan, oddCells, pasteTable, tableFactors, takeComparison, withCell } from '~~/core/fairness'
import { readBlock } from '~~/core/formats'
import { LONGEST, activeConditions, letterOf } from '~~/core/lesson'
import { withLevelLabel } from '~~/core/test'
import { fairWords } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import { useSheetKeys } from '~/composables/sheetKeys'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/**
 * Conditions by factors: what differs besides the changed thing is marked, each cell can be put right where it stands, and a block
 * from a spreadsheet can be pasted. The fair comparisons hidden in a muddle are one click away.
 */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const check = computed(() => checkPlan(plan.value))
const words = computed(() => check.value && fairWords(plan.value, check.value))
const factors = computed(() => tableFactors(plan.value))
const odd = computed(
  () => new Set((check.value ? oddCells(check.value) : []).map(({ factor, condition }) => `${factor}/${condition}`)),
)
const sheet = ref<HTMLElement>()
const { follow } = useSheetKeys(sheet)
const open = computed(() => !check.value || (!check.value.fair && check.value.pairs.length > 0))

function write(factor: string, condition: string, text: string): void {
  lesson.replace(withCell(plan.value, factor, condition, text))
}

function onPaste(event: ClipboardEvent, row: number, column: number): void {
  const block = readBlock(event.clipboardData?.getData('text') ?? '')
  if (block.length <= 1 && (block[0]?.length ?? 0) <= 1) return
  event.preventDefault()
  ;(event.target as HTMLInputElement).blur()
  lesson.replace(pasteTable(plan.value, block, { row, column }, newId))
}
</script>

<template>
  <details class="mt-wide py-near px-wide edge-1-line rounded bg-card" :open="open">
    <summary class="cursor-pointer list-none" tabindex="0" data-target="fair-check">
      <span
        v-if="words?.mark !== ''"
        class="mark inline-block w-20px text-beet"
        :class="{ good: words?.mark === '✓', half: words?.mark === '~' }"
        aria-hidden="true"
        >{{ words?.mark }}</span
      >
      <strong>Fair check</strong>
      {{ words?.verdict ?? 'Choose what to change, or paste a table of what you have.' }}
      <span class="link">Conditions by factors</span>
    </summary>
    <div class="scroll my-near mx-0" tabindex="0" role="group" aria-label="Conditions by factors">
      <table ref="sheet" class="ruled">
        <thead>
          <tr>
            <th scope="col">Condition</th>
            <th v-for="factor in factors" :key="factor.id" scope="col" :class="{ changed: factor.id === plan.changed }">
              {{ factor.name || 'no name' }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(condition, row) in activeConditions(plan)" :key="condition.id">
            <th scope="row" class="name">
              <ConditionBadge :size="22" :letter="letterOf(plan, condition.id)" :place="plan.conditions.indexOf(condition)" />
              <input
                :value="condition.label"
                :maxlength="LONGEST.name"
                :aria-label="`Name of condition ${letterOf(plan, condition.id)}`"
                @change="lesson.replace(withLevelLabel(plan, condition.id, ($event.target as HTMLInputElement).value))"
                :data-row="row"
                :data-column="0"
                @paste="onPaste($event, row, -1)"
                @keydown="follow($event, row, 0)"
              />
            </th>
            <td v-for="(factor, column) in factors" :key="factor.id" :class="{ odd: odd.has(`${factor.id}/${condition.id}`) }">
              <span
                v-if="odd.has(`${factor.id}/${condition.id}`)"
                class="absolute top-7px left-10px text-beet text-small"
                aria-hidden="true"
                >▲</span
              >
              <input
                :value="cellOf(plan, factor, condition)"
                placeholder="the same"
                :maxlength="LONGEST.name"
                :title="cellOf(plan, factor, condition)"
                :aria-label="`${factor.name} for ${condition.label}`"
                @change="write(factor.id, condition.id, ($event.target as HTMLInputElement).value)"
                @paste="onPaste($event, row, column)"
                :data-row="row"
                :data-column="column + 1"
                @keydown="follow($event, row, column + 1)"
              />
            </td>
          </tr>
          <tr v-if="activeConditions(plan).length === 0">
            <th scope="row" class="name">
              <input value="" aria-label="Paste a table here" placeholder="paste a table here" @paste="onPaste($event, 0, -1)" />
            </th>
            <td v-for="factor in factors" :key="factor.id" />
          </tr>
        </tbody>
      </table>
    </div>
    <template v-if="words && check">
      <p v-if="words.fair && !check.fair">
        <strong>Fair:</strong>
        {{ words.fair }}
      </p>
      <p v-if="words.notFair">
        <strong>Not fair:</strong>
        {{ words.notFair }}
      </p>
      <template v-if="words.hidden.length > 0">
        <p>
          <strong>{{ check.fair ? 'It could also answer:' : 'Fair comparisons hidden in it:' }}</strong>
        </p>
        <ul class="mixed grid gap-tight mx-0 mt-tight mb-near">
          <li v-for="one in words.hidden" :key="`${one.comparison.factor}/${one.comparison.conditions.join()}`">
            {{ one.text }}
            <VBtn size="small" @click="lesson.replace(takeComparison(plan, one.comparison))"> Compare these </VBtn>
          </li>
        </ul>
      </template>
    </template>
    <p class="hint">Write “?” where nobody knows. A table copied from a spreadsheet can be pasted, heading and all.</p>
  </details>
</template>

<style scoped>
.mark.good {
  color: var(--leaf);
  font-weight: 700;
}
.mark.half {
  color: var(--brass);
  font-weight: 700;
}
.link {
  float: right;
  color: var(--slate);
  font-size: var(--type-small);
  text-decoration: underline;
}
th[scope='row'] {
  color: var(--ink);
  white-space: nowrap;
}
.changed {
  text-decoration: underline 2px var(--green);
  text-underline-offset: 4px;
}
th :deep(.badge) {
  margin-right: 4px;
}
td {
  position: relative;
  min-width: 96px;
  padding: var(--gap-tight) var(--gap-tight) !important;
}
td input,
.name input {
  width: 100%;
  padding: var(--gap-tight) var(--gap-close);
  border: 1px solid transparent;
  border-radius: var(--corner-small);
  background: transparent;
  text-overflow: ellipsis;
}
td input:hover,
.name input:hover {
  border-color: var(--line);
}
td input::placeholder {
  color: var(--soft);
  opacity: 1;
}
td.odd input {
  padding-left: var(--gap-block);
  border-color: var(--beet);
  background: var(--beet-light);
  font-weight: 700;
}
</style>
