<script setup lang="ts">
import { letterOf } from '~~/core/lesson'
import { missingPlaces, type Stray } from '~~/core/record'
import { nameOfCondition, nameOfGroup, placedWords, strayCountWords, strayWords } from '~~/core/wording'
import ChoiceField from '~/forms/ChoiceField.vue'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'
import { useNotices } from '~/stores/notices'

/** What the plan has no place for any more, one by one: given to somebody who is here, or put aside. */
const lesson = useLesson()
const writing = useRecordWriting()
const notices = useNotices()
const plan = computed(() => lesson.plan!)
const strays = computed(() => lesson.strays.map((stray) => ({ stray, missing: missingPlaces(plan.value, stray) })))
const chosen = ref<Record<string, { group?: string; condition?: string }>>({})
const groups = computed(() => plan.value.groups.map(({ id, name }) => ({ value: id, title: name })))
const conditions = computed(() =>
  plan.value.conditions.map(({ id }) => ({ value: id, title: `${letterOf(plan.value, id)} ${nameOfCondition(plan.value, id)}` })),
)
const of = (id: string) => chosen.value[id] ?? {}
const choose = (id: string, change: { group?: string; condition?: string }) =>
  (chosen.value = { ...chosen.value, [id]: { ...of(id), ...change } })

async function say({ kind, row }: Stray, place: { to?: string; condition?: string; aside: boolean }): Promise<boolean> {
  if (kind === 'placing') return false
  const { to = null, condition = null, aside } = place
  return writing.add('placing', { id: newId(), group: null, of: kind, row: row.id, to, condition, aside })
}

/** What was said is taken back by asking again. */
async function place(some: Stray[], where: { to?: string; condition?: string; aside: boolean }): Promise<void> {
  const done: Stray[] = []
  for (const stray of some) if (await say(stray, where)) done.push(stray)
  if (done.length === 0) return
  const group = where.aside ? undefined : nameOfGroup(plan.value, where.to ?? done[0]!.row.group ?? '')
  notices.done(placedWords(done.length, group), {
    label: 'Undo',
    run: () => void Promise.all(done.map((stray) => say(stray, { aside: false }))),
  })
}
const isSaid = (id: string, missing: { group: boolean; condition: boolean }) =>
  (!missing.group || of(id).group !== undefined) && (!missing.condition || of(id).condition !== undefined)
</script>

<template>
  <section
    v-if="strays.length > 0"
    class="mb-wide py-near px-wide edge-1.5-brass-mark rounded bg-brass-light"
    data-target="strays"
    tabindex="-1"
    aria-label="Without a place"
  >
    <h3 class="text-body">
      {{ strays.length }} without a place
      <span class="hint ml-near font-normal">kept, and counted nowhere until you say whose they are</span>
      <VBtn v-if="strays.length > 3" size="small" class="ml-near" @click="place(lesson.strays, { aside: true })"
        >Put all aside</VBtn
      >
    </h3>
    <ul class="strays">
      <li v-for="{ stray, missing } in strays" :key="stray.row.id" class="row">
        <span class="grow">
          {{ strayCountWords({ ...stray, count: 1 }) }}: <b>{{ strayWords(plan, stray) }}</b>
        </span>
        <ChoiceField
          v-if="missing.group"
          label="Give it to"
          :model-value="of(stray.row.id).group ?? null"
          :options="groups"
          @update:model-value="choose(stray.row.id, { group: $event ?? undefined })"
        />
        <ChoiceField
          v-if="missing.condition"
          label="It was"
          :model-value="of(stray.row.id).condition ?? null"
          :options="conditions"
          @update:model-value="choose(stray.row.id, { condition: $event ?? undefined })"
        />
        <VBtn
          v-if="missing.group || missing.condition"
          size="small"
          :disabled="!isSaid(stray.row.id, missing)"
          @click="place([stray], { to: of(stray.row.id).group, condition: of(stray.row.id).condition, aside: false })"
        >
          Give it
        </VBtn>
        <VBtn size="small" @click="place([stray], { aside: true })">Put it aside</VBtn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.strays {
  display: grid;
  gap: var(--gap-close);
  max-height: 260px;
  margin-top: 6px;
  overflow-y: auto;
}
.strays li {
  padding: var(--gap-close) var(--gap-near);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
}
</style>
