import { defineStore } from 'pinia'
import type { NextTest } from '~~/core/agree'
import { NO_SCHOOL, type School } from '~~/core/kit'
import {
  EMPTY_RECORD,
  mergePlans,
  USUAL_BOARD,
  type BoardState,
  type LessonEvent,
  type LessonRecord,
  type Merged,
  type Plan,
} from '~~/core/lesson'
import { withEvents } from '~~/core/record'
import { isPlanFix, mend, readinessOf, type Fix } from '~~/core/secondLook'
import { withSaid } from '~~/core/wonder'
import { writeReading } from '~~/core/wording'

interface Whole {
  lesson: { id: string; plan: Plan; revision: number; code: string; board: BoardState; archived: boolean }
  record: LessonRecord
  event: number
}

export type SaveState = 'saved' | 'waiting' | 'saving' | 'away' | 'refused'

const SAVE_AFTER = 400
const DESK_GATHERS_FOR = 200
const TRY_AGAIN_AFTER = 3000
const MOST_UNDO = 200
const SAME_TYPING_WITHIN = 1200

/** The lesson on the desk: its plan with undo, its record as it comes in, and what the computation says of both. */
export const useLesson = defineStore('lesson', () => {
  const notices = useNotices()
  const id = ref('')
  const code = ref('')
  const board = ref<BoardState>(USUAL_BOARD)
  /** Goes up when a station of this lesson came, went, or was changed. */
  const stationsChanged = ref(0)
  const plan = shallowRef<Plan>()
  const record = shallowRef<LessonRecord>(EMPTY_RECORD)
  /** The cupboard, who else has booked it, and the calendar of the class. */
  const school = shallowRef<School>(NO_SCHOOL)
  /** The Second look is folded away, to leave room for a wide table. */
  const lookFolded = ref(false)
  const saveState = ref<SaveState>('saved')
  const connected = ref(true)
  const undoStack = shallowRef<Plan[]>([])
  const redoStack = shallowRef<Plan[]>([])
  /** What a button of the Second look leads to, until the page has put the focus there. */
  const target = ref<string>()
  let revision = 0
  /** The plan as the server had it when this desk last agreed with it. */
  let agreed: Plan | undefined
  /** Two desks changed the same places differently: somebody has to choose. */
  const merging = shallowRef<Merged & { revision: number; theirs: Plan }>()
  let lastTyping = { key: '', at: 0 }
  let timer: ReturnType<typeof setTimeout> | undefined
  let stopWatching = () => {}

  /** The plan with what stations said in its lists. */
  const heard = computed(() => plan.value && withSaid(plan.value, record.value.remarks))
  const findings = useFindings(plan, record, school)
  const readiness = computed(() => (plan.value ? readinessOf(plan.value, record.value, findings.value) : undefined))

  async function open(lesson: string): Promise<void> {
    close()
    const [whole, around] = await Promise.all([
      callServer<Whole>(`/api/lessons/${lesson}`),
      callServer<{ school: School }>(`/api/lessons/${lesson}/school`),
    ])
    school.value = around.school
    take(whole)
    record.value = whole.record
    stopWatching = watchEvents(
      `/api/lessons/${lesson}/events`,
      whole.event,
      gather,
      (state) => (connected.value = state),
      () => (stationsChanged.value += 1),
    )
  }

  function take({ lesson }: Whole): void {
    id.value = lesson.id
    code.value = lesson.code
    board.value = lesson.board
    plan.value = lesson.plan
    agreed = lesson.plan
    merging.value = undefined
    revision = lesson.revision
    undoStack.value = []
    redoStack.value = []
    saveState.value = 'saved'
  }

  function close(): void {
    void flush()
    stopWatching()
    stopWatching = () => {}
    plan.value = undefined
    undoStack.value = []
    redoStack.value = []
  }

  const gather = useEventBatches(takeEvents, DESK_GATHERS_FOR)

  function takeEvents(events: LessonEvent[]): void {
    record.value = withEvents(record.value, events)
    for (const event of events) {
      if (event.kind === 'board') board.value = event.board
      if (event.kind === 'station') stationsChanged.value += 1
      if (event.kind === 'plan' && event.revision > revision && saveState.value === 'saved') void reload()
    }
  }
  const { addReadings, supersede, addPrediction, addConclusion, addObservation, addPicture } = useRecordWriting(
    id,
    (...events) => takeEvents(events),
    attempt,
  )

  async function attempt(work: () => Promise<void>): Promise<boolean> {
    try {
      await work()
      return true
    } catch (error) {
      notices.trouble(messageOf(error))
      return false
    }
  }

  async function reload(): Promise<void> {
    const whole = await callServer<Whole>(`/api/lessons/${id.value}`).catch(() => undefined)
    if (whole && (saveState.value === 'saved' || saveState.value === 'refused')) take(whole)
  }

  /**
   * Changes the plan on a copy, with undo. Quick changes with the same key (typing in one field) are undone together.
   */
  function edit(change: (draft: Plan) => void, typing = ''): void {
    if (!plan.value) return
    const draft = structuredClone(plan.value)
    change(draft)
    replace(draft, typing)
  }

  /** Changes the three lists: what stations said is taken up into the plan with it. */
  function editHeard(change: (draft: Plan) => void, typing = ''): void {
    if (!heard.value) return
    const draft = structuredClone(heard.value)
    change(draft)
    replace(draft, typing)
  }

  function replace(next: Plan, typing = ''): void {
    if (!plan.value) return
    const now = Date.now()
    const goesOn = typing !== '' && typing === lastTyping.key && now - lastTyping.at < SAME_TYPING_WITHIN
    if (!goesOn) undoStack.value = [...undoStack.value.slice(-MOST_UNDO), plan.value]
    lastTyping = { key: typing, at: now }
    redoStack.value = []
    plan.value = next
    saveSoon()
  }

  function undo(): void {
    step(undoStack, redoStack)
  }
  function redo(): void {
    step(redoStack, undoStack)
  }
  function step(from: typeof undoStack, to: typeof undoStack): void {
    const next = from.value.at(-1)
    if (!next || !plan.value) return
    from.value = from.value.slice(0, -1)
    to.value = [...to.value, plan.value]
    lastTyping = { key: '', at: 0 }
    plan.value = next
    saveSoon()
  }

  function saveSoon(after = SAVE_AFTER): void {
    if (saveState.value !== 'saving') saveState.value = 'waiting'
    clearTimeout(timer)
    timer = setTimeout(() => void save(), after)
  }

  async function save(leaving = false): Promise<void> {
    clearTimeout(timer)
    const [lesson, saved] = [id.value, plan.value]
    if (!saved || saveState.value === 'saving') return
    saveState.value = 'saving'
    try {
      const answer = await callServer<{ revision: number }>(`/api/lessons/${lesson}/plan`, {
        method: 'PUT',
        body: { plan: saved, revision },
        leaving,
      })
      // Another lesson may have been opened meanwhile: its state is its own.
      if (id.value !== lesson || !plan.value) return
      revision = answer.revision
      agreed = saved
      saveState.value = 'saved'
      if (plan.value !== saved) saveSoon()
    } catch (error) {
      if (id.value !== lesson || !plan.value) return notices.trouble(messageOf(error))
      if (error instanceof ServerRefusal && error.away) {
        saveState.value = 'away'
        timer = setTimeout(() => void save(), TRY_AGAIN_AFTER)
      } else {
        saveState.value = 'refused'
        if (error instanceof ServerRefusal && error.code === 'stale') await mergeWithTheirs()
        else notices.trouble(messageOf(error))
      }
    }
  }

  /** Another desk was faster: both changes go into one plan, and what clashes is asked. */
  async function mergeWithTheirs(): Promise<void> {
    const whole = await callServer<Whole>(`/api/lessons/${id.value}`).catch(() => undefined)
    if (!whole || !plan.value || !agreed || whole.lesson.id !== id.value) return
    const theirs = whole.lesson.plan
    const merged = { ...mergePlans(agreed, plan.value, theirs), revision: whole.lesson.revision, theirs }
    if (merged.clashes.length > 0) merging.value = merged
    else {
      settleMerge(merged, merged.plan)
      notices.done('Another desk changed this plan at the same time. Both changes are in it; Undo takes yours back.')
    }
  }

  /** Goes on with a plan in which both desks' changes are. */
  function settleMerge(merged: { revision: number; theirs: Plan }, settled: Plan): void {
    merging.value = undefined
    undoStack.value = [merged.theirs]
    redoStack.value = []
    revision = merged.revision
    agreed = merged.theirs
    plan.value = settled
    saveState.value = 'waiting'
    saveSoon(0)
  }

  /** Changes what the board shows, here at once. */
  async function show(change: Partial<BoardState>): Promise<void> {
    board.value = { ...board.value, ...change }
    await attempt(async () => void (await callServer(`/api/lessons/${id.value}/board`, { method: 'PUT', body: change })))
  }

  /** Sends what is not saved yet, when the page goes away. */
  function flush(): Promise<void> {
    return saveState.value === 'waiting' || saveState.value === 'away' ? save(true) : Promise.resolve()
  }

  /** Looks again at the cupboard and the calendar, which other lessons and pages change. */
  async function lookAround(): Promise<void> {
    const lesson = id.value
    const around = await callServer<{ school: School }>(`/api/lessons/${lesson}/school`).catch(() => undefined)
    if (around && id.value === lesson) school.value = around.school
  }

  /** A lesson of its own for one group's question; what is typed but not saved yet is saved first. */
  async function ownLesson(group: string): Promise<string | undefined> {
    let own: string | undefined
    await flush()
    await attempt(async () => {
      own = (await callServer<{ id: string }>(`/api/lessons/${id.value}/own-question`, { method: 'POST', body: { group } })).id
    })
    return own
  }

  /** Begins the next lesson from a card that is left over. */
  async function nextLesson({ from, id: card }: NextTest): Promise<string | undefined> {
    let begun: string | undefined
    await flush()
    await attempt(async () => {
      begun = (await callServer<{ id: string }>(`/api/lessons/${id.value}/next`, { method: 'POST', body: { from, id: card } })).id
    })
    return begun
  }

  /** Carries out a button of the Second look. */
  async function apply(fix: Fix): Promise<void> {
    if (!plan.value) return
    if (isPlanFix(fix)) return replace(mend(heard.value!, fix, newId))
    if (fix.code === 'go') {
      await navigateTo(`/lesson/${id.value}/${fix.stop}`)
      target.value = fix.target
      return
    }
    const reading = record.value.readings.find((one) => one.id === fix.reading)
    if (!reading) return
    if (fix.code === 'keep-reading') await supersede(reading, { confirmed: true })
    else {
      const { value, unit } = fix
      const reason = `was written as ${reading.entered}`
      await supersede(reading, { value, unit, entered: writeReading(plan.value, value, unit), reason, confirmed: true })
    }
  }

  return {
    id,
    code,
    board,
    stationsChanged,
    merging,
    plan,
    heard,
    record,
    school,
    saveState,
    connected,
    lookFolded,
    target,
    findings,
    readiness,
    canUndo: computed(() => undoStack.value.length > 0),
    canRedo: computed(() => redoStack.value.length > 0),
    open,
    close,
    edit,
    editHeard,
    replace,
    undo,
    redo,
    flush,
    lookAround,
    addReadings,
    supersede,
    addPrediction,
    addConclusion,
    addObservation,
    addPicture,
    ownLesson,
    nextLesson,
    settleMerge,
    show,
    apply,
  }
})
