<script setup lang="ts">
import { checkPlan, settingOf } from '~~/core/fairness'
import { activeConditions, keptFactors, letterOf } from '~~/core/lesson'
import { fairWords } from '~~/core/wording'

/** Conditions by factors: what differs besides the changed thing is marked, and each cell can be put right where it stands. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const check = computed(() => checkPlan(plan.value))
const words = computed(() => check.value && fairWords(plan.value, check.value))
const kept = computed(() => keptFactors(plan.value))
const odd = computed(
  () =>
    new Set(
      check.value?.differing.flatMap(({ factor, shares }) =>
        shares.slice(1).flatMap(({ conditions }) => conditions.map((id) => `${factor}/${id}`)),
      ),
    ),
)

function write(factor: string, condition: string, text: string): void {
  lesson.edit((draft) => {
    const found = draft.factors.find((one) => one.id === factor)!
    if (text.trim() === '' || text.trim() === found.how.trim())
      found.exceptions = Object.fromEntries(Object.entries(found.exceptions).filter(([id]) => id !== condition))
    else found.exceptions[condition] = text.trim().slice(0, 200)
  })
}

function toCell(event: KeyboardEvent, step: number): void {
  const cells = [...(event.currentTarget as HTMLElement).closest('table')!.querySelectorAll('input')]
  cells[cells.indexOf(event.currentTarget as HTMLInputElement) + step]?.focus()
}
</script>

<template>
  <details v-if="words" class="fair" :open="!check!.fair && check!.pairs.length > 0">
    <summary>
      <span class="mark" :class="{ good: check!.fair }" aria-hidden="true">{{ check!.fair ? '✓' : '▲' }}</span>
      <strong>Fair check</strong>
      {{ words.verdict }}
      <span class="link">Conditions by factors</span>
    </summary>
    <div
      v-if="kept.length > 0 && check!.pairs.length > 0"
      class="scroll"
      tabindex="0"
      role="group"
      aria-label="Conditions by factors"
    >
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Condition</th>
            <th v-for="factor in kept" :key="factor.id" scope="col">{{ factor.name || 'no name' }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="condition in activeConditions(plan)" :key="condition.id">
            <th scope="row">
              <ConditionBadge :size="22" :letter="letterOf(plan, condition.id)" :place="plan.conditions.indexOf(condition)" />
              {{ condition.label || '…' }}
            </th>
            <td v-for="factor in kept" :key="factor.id" :class="{ odd: odd.has(`${factor.id}/${condition.id}`) }">
              <span v-if="odd.has(`${factor.id}/${condition.id}`)" class="triangle" aria-hidden="true">▲</span>
              <input
                :value="settingOf(factor, condition.id)"
                :placeholder="'the same'"
                maxlength="200"
                :title="settingOf(factor, condition.id)"
                :aria-label="`${factor.name} for ${condition.label}`"
                @change="write(factor.id, condition.id, ($event.target as HTMLInputElement).value)"
                @keydown.enter="toCell($event, kept.length)"
                @keydown.down.prevent="toCell($event, kept.length)"
                @keydown.up.prevent="toCell($event, -kept.length)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="words.fair.length > 0 && !check!.fair">
      <strong>Fair:</strong>
      {{ words.fair.join('; ') }}.
    </p>
    <p v-if="words.notFair.length > 0">
      <strong>Not fair:</strong>
      {{ words.notFair.join('; ') }}.
    </p>
    <p v-if="words.others.length > 0" class="soft">This set-up could also answer: {{ words.others.join(' ') }}</p>
    <p class="hint">Write “?” where nobody knows.</p>
  </details>
</template>

<style scoped>
.fair {
  margin-top: 12px;
  padding: 8px 12px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
}
summary {
  cursor: pointer;
  list-style: none;
}
.mark {
  display: inline-block;
  width: 20px;
  color: var(--beet);
}
.mark.good {
  color: var(--leaf);
  font-weight: 700;
}
.link {
  float: right;
  color: var(--slate);
  font-size: 14.5px;
  text-decoration: underline;
}
.scroll {
  margin: 8px 0;
}
th[scope='row'] {
  color: var(--ink);
  white-space: nowrap;
}
th :deep(.badge) {
  margin-right: 4px;
}
td {
  position: relative;
  min-width: 96px;
  padding: 3px 4px !important;
}
td input {
  width: 100%;
  padding: 3px 6px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: transparent;
  text-overflow: ellipsis;
}
td input:hover {
  border-color: var(--line);
}
td input::placeholder {
  color: var(--soft);
  opacity: 1;
}
td.odd input {
  padding-left: 22px;
  border-color: var(--beet);
  background: var(--beet-light);
  font-weight: 700;
}
.triangle {
  position: absolute;
  top: 7px;
  left: 10px;
  color: var(--beet);
  font-size: 13px;
}
</style>
