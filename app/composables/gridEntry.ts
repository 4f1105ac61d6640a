import { type NewReading, type Reading } from '~~/core/lesson'
import { atMoment } from '~~/core/test'
import { cellKey, currentReadings, type Cell } from '~~/core/record'
import { cellText, pastedWords } from '~~/core/wording'
import { readingRow, superseding } from '~/following/readingRow'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'
import { useNotices } from '~/stores/notices'
import { useNumberEntry } from '~/composables/numberEntry'

interface Entry {
  cell: Cell
  text: string
}

/**
 * What is typed into the class grid: read, written down as readings, and kept as it was typed wherever that did not work.
 * Writing over a number is a correction that supersedes it; an emptied cell gets its number back, since nothing is deleted.
 */
export function useGridEntry() {
  const lesson = useLesson()
  const writing = useRecordWriting()
  const { read } = useNumberEntry(() => lesson.record.readings)
  const planOf = ({ moment }: Cell) => atMoment(lesson.plan!, moment)
  const notices = useNotices()
  const drafts = ref(new Map<string, string>())
  const troubles = ref(new Map<string, string>())
  // Enter writes, and so does leaving the cell right after: the same text is on its way only once.
  const onItsWay = new Map<string, string>()
  let earlier: Promise<unknown> = Promise.resolve()

  function storedText(cell: Cell): string {
    const last = cell.kept.at(-1)
    if (!last) return ''
    return cellText(planOf(cell), last)
  }

  function textOf(cell: Cell): string {
    return drafts.value.get(cellKey(cell)) ?? storedText(cell)
  }

  /** @returns what was written of it; undefined where it could not be stored, which the cells say */
  async function write(typed: Entry[]): Promise<NewReading[] | undefined> {
    const over = typed.filter(({ cell, text }) => ![undefined, text.trim()].includes(onItsWay.get(cellKey(cell))))
    const entries = over.length === 0 ? typed : await afterEarlier(typed, over)
    const rows = entries.flatMap(({ cell, text }) => {
      const row = rowFor(cell, text.trim())
      return row ? [{ cell, row, text }] : []
    })
    if (rows.length === 0) return []
    for (const { cell, text } of rows) {
      drafts.value.set(cellKey(cell), text)
      onItsWay.set(cellKey(cell), text.trim())
    }
    const sending = writing.addReadings(rows.map(({ row }) => row))
    earlier = Promise.all([earlier, sending])
    const written = await sending
    for (const { cell, text } of rows) {
      onItsWay.delete(cellKey(cell))
      if (drafts.value.get(cellKey(cell)) !== text) continue
      if (written) drafts.value.delete(cellKey(cell))
      else troubles.value.set(cellKey(cell), 'This is not stored yet. Press Enter in it to try again.')
    }
    return written ? rows.map(({ row }) => row) : undefined
  }

  /** Writes a block from elsewhere, says what became of it, and takes it back whole when that is wanted. */
  async function paste(entries: Entry[]): Promise<void> {
    const before = new Map(entries.map(({ cell }) => [cellKey(cell), cell.kept.at(-1)]))
    const rows = await write(entries)
    if (!rows) return
    const unread = entries.filter(({ cell }) => troubles.value.has(cellKey(cell))).length
    const takeBack = () => writing.addReadings(rows.map((row) => takenBack(row, before.get(cellKey(row)))))
    notices.done(pastedWords(rows.length, unread), rows.length > 0 ? { label: 'Undo', run: () => void takeBack() } : undefined)
  }

  /** What is typed over a number that is still on its way corrects that number once it is there. */
  async function afterEarlier(entries: Entry[], over: Entry[]): Promise<Entry[]> {
    for (const { cell, text } of over) drafts.value.set(cellKey(cell), text)
    await earlier
    const current = currentReadings(lesson.record.readings).filter(({ status }) => status === 'kept')
    return entries.map(({ cell, text }) => ({
      cell: { ...cell, kept: current.filter((one) => cellKey(one) === cellKey(cell)) },
      text,
    }))
  }

  function rowFor(cell: Cell, text: string): NewReading | undefined {
    const key = cellKey(cell)
    const last = cell.kept.at(-1)
    if (onItsWay.get(key) === text) return undefined
    troubles.value.delete(key)
    if (text === storedText(cell)) return void drafts.value.delete(key)
    if (text === '') {
      // Enter and leaving the cell right after say it once.
      const emptied = drafts.value.delete(key)
      if (last && emptied) notices.done('Readings are not deleted. Set it aside below and say why.')
      return undefined
    }
    const typed = read(planOf(cell), text)
    if (typed.value === undefined) {
      drafts.value.set(key, text)
      troubles.value.set(key, typed.trouble)
      return undefined
    }
    if (!last) return readingRow(cell, typed.value, typed.unit, text)
    return superseding(last, {
      value: typed.value,
      unit: typed.unit,
      entered: text,
      reason: 'corrected at the desk',
      confirmed: false,
      status: 'kept',
    })
  }

  return { drafts, troubles, textOf, storedText, write, paste }
}

/** A pasted number gives way to what stood there, or is set aside where nothing did: nothing is deleted. */
function takenBack(pasted: NewReading, before: Reading | undefined): NewReading {
  const reason = 'taken back after pasting'
  if (!before) return superseding(pasted, { status: 'set-aside', reason })
  const { value, unit, entered, confirmed } = before
  return superseding(pasted, { value, unit, entered, confirmed, reason })
}
