<script setup lang="ts">
import { COLUMN_ROLES, culpritColumn, hasHeading, matchColumns, readImport, type ColumnMatch } from '~~/core/formats'
import { activeConditions } from '~~/core/lesson'
import { measuredCards, momentsOf, testOf } from '~~/core/test'
import { NUMBER_UNITS, unitOf, type UnitCode } from '~~/core/quantity'
import { conditionWithLetter, counted, importedWords, momentWords, ROLE_WORDS, skipWords } from '~~/core/wording'
import AppDialog from '~/components/pieces/AppDialog.vue'
import ReadTable from '~/components/pieces/ReadTable.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import TextField from '~/forms/TextField.vue'
import { asBase64, chooseFile } from '~/composables/chooseFile'
import { callServer, messageOf } from '~/following/callServer'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** A foreign table of readings: what each column holds, and what would be taken in and what not and why, before anything is written. */
const open = defineModel<boolean>({ required: true })
const lesson = useLesson()
const notices = useNotices()
const plan = computed(() => lesson.plan!)
const name = ref('')
const rows = shallowRef<string[][]>([])
const matches = ref<ColumnMatch[]>([])
const group = ref<string | null>(null)
const unit = ref<UnitCode>('count')
const busy = ref(false)
const COLUMNS = [
  { key: 'line', title: 'Line' },
  { key: 'words', title: 'What' },
]
const MENDED = [...COLUMNS, { key: 'mend', title: 'Put right', fixed: true }]
const OUR_OWN = ['id', 'supersedes', 'entered']

const heading = computed(() => (hasHeading(plan.value, rows.value) ? (rows.value[0] ?? []) : []))
const cells = computed(() =>
  rows.value.length === 0
    ? []
    : readImport(plan.value, rows.value, { matches: matches.value, unit: unit.value, group: group.value }, lesson.record.readings),
)
const taken = computed(() => cells.value.filter(({ reading }) => reading !== undefined))
const skipped = computed(() => cells.value.filter(({ skip }) => skip !== undefined))
const preview = computed(() => ({
  taken: taken.value.map((cell) => ({ line: cell.line, words: importedWords(plan.value, cell) })),
  skipped: skipped.value.map((cell) => {
    const column = culpritColumn(cell, matches.value)
    const text = column === undefined ? undefined : (rows.value[cell.line - 1]?.[column] ?? '')
    return { line: cell.line, words: skipWords(cell), column, text }
  }),
}))
/** What stands wrong in the table is put right here, before anything is written; the file stays as it is. */
function putRight(line: number, column: number, text: string): void {
  rows.value = rows.value.map((row, place) =>
    place === line - 1
      ? Array.from({ length: Math.max(row.length, column + 1) }, (_, at) => (at === column ? text : (row[at] ?? '')))
      : row,
  )
}
const groupMissing = computed(() => !matches.value.some(({ role }) => role === 'group'))
const units = computed(() => {
  const own = testOf(plan.value).amount
  return own ? NUMBER_UNITS.filter((code) => unitOf(code).dimension === unitOf(own.unit).dimension) : []
})
const roles = computed(() => COLUMN_ROLES.filter((role) => role !== 'moment' || momentsOf(plan.value).length > 1))

async function choose(): Promise<void> {
  const file = await chooseFile('.csv,.tsv,.txt,.xlsx,text/csv')
  if (!file) return
  try {
    if (await takeOwn(file)) return
    const { rows: found } = await callServer('POST /api/tables', {
      body: { data: await asBase64(file) },
    })
    if (found.length === 0) return notices.trouble('There is nothing in this table. Choose another.')
    name.value = file.name
    rows.value = found
    matches.value = matchColumns(plan.value, found)
    unit.value = testOf(plan.value).unit
    group.value = null
  } catch (error) {
    notices.trouble(messageOf(error))
  }
}

/** A table that was saved here has every row's own id: it is taken in as it is, set-aside and practice rows too. */
async function takeOwn(file: File): Promise<boolean> {
  if (!/\.(csv|tsv|txt)$/i.test(file.name)) return false
  const text = await file.text()
  const first = text.slice(0, 400).split('\n')[0]!.toLowerCase()
  if (!OUR_OWN.every((column) => first.includes(column))) return false
  const answer = await callServer('POST /api/lessons/[lesson]/readings.csv', {
    path: { lesson: lesson.id },
    body: { text },
  })
  done(answer.added, answer.alreadyThere, 'were there already')
  return true
}

async function takeIn(): Promise<void> {
  busy.value = true
  try {
    const choices = { matches: matches.value, unit: unit.value, group: group.value }
    const answer = await callServer('POST /api/lessons/[lesson]/import', {
      path: { lesson: lesson.id },
      body: { rows: rows.value, choices },
    })
    done(answer.added, answer.skipped, 'were passed over')
  } catch (error) {
    notices.trouble(messageOf(error))
  } finally {
    busy.value = false
  }
}
function done(added: number, others: number, why: string): void {
  notices.done(`${counted(added, 'reading')} taken in${others > 0 ? `, ${others} ${why}` : ''}.`)
  open.value = false
  rows.value = []
}

function setRole(column: number, value: string): void {
  const [role, condition, repeat, measure, moment] = value.split('/') as [ColumnMatch['role'], string?, string?, string?, string?]
  const own = {
    role,
    condition: condition || null,
    repeat: repeat ? Number(repeat) : null,
    moment: moment || null,
    measure: measure || null,
  }
  matches.value = matches.value.map((match, at) => (at === column ? own : match))
}
const valueOf = ({ role, condition, repeat, measure, moment }: ColumnMatch) =>
  [role, condition ?? '', repeat ?? '', measure ?? '', moment ?? ''].join('/').replace(/\/+$/, '')
/** Results of another measure than the first. */
const others = computed(() => measuredCards(plan.value).slice(1))
const ofMeasure = computed(() =>
  others.value.map(({ id, name }) => ({
    value: valueOf({ role: 'value', condition: null, repeat: null, moment: null, measure: id }),
    title: `result: ${name}`,
  })),
)
/** A column of results that were all read at one moment, of whatever condition this or another column says. */
const atMoments = ({ condition }: ColumnMatch) => {
  const moments = momentsOf(plan.value)
  if (moments.length < 2) return []
  const of = condition === null ? '' : ` of ${conditionWithLetter(plan.value, condition)}`
  return moments.map(({ id }) => ({
    value: valueOf({ role: 'value', condition, repeat: null, moment: id, measure: null }),
    title: `result${of}, ${momentWords(plan.value, id)}`,
  }))
}
/** A wide column keeps its repeat when it is offered again. */
const wideOptions = (match: ColumnMatch) =>
  [undefined, ...others.value].flatMap((card) =>
    activeConditions(plan.value).map(({ id }) => ({
      value: valueOf({ role: 'value', condition: id, repeat: match.repeat, moment: null, measure: card?.id ?? null }),
      words: `result of ${conditionWithLetter(plan.value, id)}${match.repeat === null ? '' : `, repeat ${match.repeat}`}${card ? `: ${card.name}` : ''}`,
    })),
  )
</script>

<template>
  <AppDialog v-model="open" title="Take readings in from a table" :width="1000">
    <div v-if="rows.length === 0" class="start grid gap-wide justify-items-start">
      <p>
        A CSV file or a spreadsheet (XLSX), however its columns are called: one row a reading, or a column for each condition or
        each time of reading (start and left, weekdays, dates). Decimal commas, units and “250 to 200” are understood. You see what
        is taken in, and can put the rest right, before anything is written.
      </p>
      <MainBtn @click="choose">Choose a table</MainBtn>
    </div>
    <template v-else>
      <p>
        <strong>{{ name }}</strong>: say what each column holds.
      </p>
      <div class="scroll" tabindex="0" role="group" aria-label="Columns of the table">
        <table class="ruled columns">
          <thead>
            <tr>
              <th v-for="(match, column) in matches" :key="column" scope="col">
                <span class="block mb-tight text-ink">{{ heading[column] || `column ${column + 1}` }}</span>
                <ChoiceField
                  bare
                  :label="`Column ${heading[column] || column + 1} holds`"
                  :model-value="valueOf(match)"
                  @update:model-value="setRole(column, $event)"
                  :options="[
                    ...roles.map((role) => ({ value: role, title: ROLE_WORDS[role] })),
                    ...ofMeasure,
                    ...atMoments(match),
                    ...wideOptions(match).map((wide) => ({ value: wide.value, title: wide.words })),
                  ]"
                />
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, place) in rows.slice(heading.length > 0 ? 1 : 0, 4)" :key="place">
              <td v-for="(_, column) in matches" :key="column">{{ row[column] }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="row gap-y-close gap-x-block my-10px mx-0">
        <ChoiceField
          inline
          v-if="groupMissing"
          label="All rows belong to"
          v-model="group"
          :options="[{ value: null, title: 'choose a group' }, ...plan.groups.map((one) => ({ value: one.id, title: one.name }))]"
        />
        <ChoiceField
          inline
          v-if="units.length > 1"
          label="Bare numbers are in"
          v-model="unit"
          :options="units.map((code) => ({ value: code, title: unitOf(code).symbol }))"
        />
      </div>
      <p role="status">
        <strong>{{ counted(taken.length, 'reading') }}</strong> would be taken in, <strong>{{ skipped.length }}</strong> passed
        over.
      </p>
      <div class="two">
        <section>
          <h3 class="text-body">Taken in</h3>
          <ReadTable v-if="taken.length > 0" class="list" :rows="preview.taken" :columns="COLUMNS" caption="Taken in" />
          <p v-else class="soft">nothing yet</p>
        </section>
        <section>
          <h3 class="text-body">Passed over, and why</h3>
          <ReadTable v-if="skipped.length > 0" class="list" :rows="preview.skipped" :columns="MENDED" caption="Passed over">
            <template #mend="{ row }">
              <TextField
                v-if="row.column !== undefined && row.text !== undefined"
                bare
                lazy
                class="w-130px"
                :label="`Line ${row.line}: put right`"
                :model-value="row.text"
                @update:model-value="putRight(row.line, row.column, $event)"
              />
            </template>
          </ReadTable>
          <p v-else class="soft">nothing</p>
        </section>
      </div>
      <div class="row">
        <MainBtn :disabled="taken.length === 0 || busy" @click="takeIn"> Take {{ counted(taken.length, 'reading') }} in </MainBtn>
        <VBtn @click="choose">Another table</VBtn>
      </div>
    </template>
  </AppDialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 4fr) minmax(0, 5fr);
  gap: var(--gap-block);
  margin: 8px 0 14px;
}
.list {
  max-height: 220px;
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: var(--corner);
}
</style>
