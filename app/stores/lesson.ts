import { defineStore } from 'pinia'
import type { NextTest } from '~~/core/agree'
import { NO_SCHOOL, type School } from '~~/core/kit'
import { EMPTY_RECORD, USUAL_BOARD, type BoardState, type LessonEvent, type LessonRecord, type Plan } from '~~/core/lesson'
import { homed, withEvents } from '~~/core/record'
import { madeUpClass, type MadeUp } from '~~/core/rehearsal'
import { readinessOf, type Fix } from '~~/core/secondLook'
import { withSaid } from '~~/core/wonder'
import { counted } from '~~/core/wording'
import { MADE_UP_REFUSED } from '~~/core/wording'
import type { WholeLesson } from '~~/schemas/contract'
import { commandFor } from '~/following/commands'
import { afterChange, noHistory, stepBack, stepForward } from '~/following/history'
import { saving, type Asked, type SaveState } from '~/following/saving'
import { useFindings } from '~/stores/findings'
import { freshSeed } from '~/following/freshSeed'
import { beginningOf } from '~/following/madeUp'
import { useRecordWriting } from '~/stores/recordWriting'
import { addressOf, callServer, holdWrites, messageOf } from '~/following/callServer'
import { follow } from '~/following/follow'
import { newId } from '~/following/newId'
import { useNotices } from '~/stores/notices'

const DESK_GATHERS_FOR = 200

/** The lesson on the desk: its plan with undo, its record as it comes in, and what the computation says of both. */
export const useLesson = defineStore('lesson', () => {
  const notices = useNotices()
  const id = ref('')
  const code = ref('')
  /** The lessons that it runs together with. */
  const together = ref<string | null>(null)
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
  const history = shallowRef(noHistory<Plan>())
  /** What a button of the Second look leads to, until the page has put the focus there. */
  const target = ref<string>()
  const merging = shallowRef<Asked>()
  let saver: ReturnType<typeof saving> | undefined
  let endFollowing = () => {}
  let opening = 0

  /** A class that was made up for a rehearsal stands before the real one, until it is taken away; nothing of it is stored. */
  const madeUp = shallowRef<MadeUp>()
  const shownPlan = computed(() => madeUp.value?.plan ?? plan.value)
  const allRows = computed(() => madeUp.value?.record ?? record.value)
  /** What the plan has a home for, and what it has none for. */
  const home = computed(() =>
    shownPlan.value ? homed(shownPlan.value, allRows.value) : { record: allRows.value, strays: [], aside: [] },
  )
  const shownRecord = computed(() => home.value.record)
  /** The plan with what stations said in its lists. */
  const heard = computed(() => shownPlan.value && withSaid(shownPlan.value, shownRecord.value.remarks))
  const findings = useFindings(shownPlan, allRows, school)
  const readiness = computed(() => (shownPlan.value ? readinessOf(shownPlan.value, shownRecord.value, findings.value) : undefined))
  const path = () => ({ lesson: id.value })

  /** Opens a lesson and follows it; throws where there is none. */
  async function open(lesson: string): Promise<void> {
    close()
    const path = { lesson }
    const own = (opening += 1)
    const around = await callServer('GET /api/lessons/[lesson]/school', { path })
    // Another lesson was opened, or this one closed, while the school was on its way.
    if (own !== opening) return
    await new Promise<void>((resolve, reject) => {
      endFollowing = follow({
        load: () => callServer('GET /api/lessons/[lesson]', { path }),
        events: (since) => addressOf('GET /api/lessons/[lesson]/events', { path, query: { since } }),
        opened: (whole) => {
          school.value = around.school
          record.value = whole.record
          take(whole)
          resolve()
        },
        take: takeEvents,
        state: (stands) => (connected.value = stands),
        presence: () => (stationsChanged.value += 1),
        failed: (error) => {
          reject(error as Error)
          return false
        },
        gatherFor: DESK_GATHERS_FOR,
      })
    })
  }

  function take({ lesson }: WholeLesson): void {
    saver?.end()
    id.value = lesson.id
    code.value = lesson.code
    together.value = lesson.together
    board.value = lesson.board
    plan.value = lesson.plan
    history.value = noHistory()
    merging.value = undefined
    saveState.value = 'saved'
    saver = saverOf(lesson.id, lesson)
  }

  function saverOf(lesson: string, stored: WholeLesson['lesson']) {
    const path = { lesson }
    return saving(stored, {
      current: () => plan.value,
      put: async (plan, revision, leaving) =>
        (await callServer('PUT /api/lessons/[lesson]/plan', { path, body: { plan, revision }, leaving })).revision,
      load: async () => (await callServer('GET /api/lessons/[lesson]', { path })).lesson,
      state: (state) => (saveState.value = state),
      merged: (settled, theirs, silently) => {
        merging.value = undefined
        history.value = noHistory([theirs])
        plan.value = settled
        if (!silently)
          notices.done('Another desk changed this plan at the same time. Both changes are in it; Undo takes yours back.')
      },
      ask: (asked) => (merging.value = asked),
      trouble: (error) => notices.trouble(messageOf(error)),
    })
  }

  function close(): void {
    opening += 1
    void saver?.flush()
    saver?.end()
    saver = undefined
    endFollowing()
    plan.value = undefined
    madeUp.value = undefined
    history.value = noHistory()
  }

  /** What comes in while the whole record is on its way. */
  let meanwhile: LessonEvent[] | undefined

  function takeEvents(events: LessonEvent[]): void {
    record.value = withEvents(record.value, events)
    meanwhile?.push(...events)
    // Groups may have been split off or joined, and their rows with them.
    if (events.some(({ kind }) => kind === 'together')) void reloadRecord()
    for (const event of events) {
      if (event.kind === 'board') board.value = event.board
      if (event.kind === 'station') stationsChanged.value += 1
      if (event.kind === 'plan' && saver?.shouldTake(event.revision)) void reload()
    }
  }
  const writing = useRecordWriting(id, takeEvents, attempt)

  /** Nobody writes into a class that is not there; whoever tries is told. */
  function mayWrite(): boolean {
    if (madeUp.value) notices.trouble(MADE_UP_REFUSED, PUT_AWAY)
    return madeUp.value === undefined
  }
  watch(madeUp, (made) => holdWrites(made && MADE_UP_REFUSED), { flush: 'sync' })
  const PUT_AWAY = { label: 'Put it away', run: () => void (madeUp.value = undefined) }

  /** Puts a made-up class before the real one, another one each time; false where there is nothing to draw it from, or something unsaved. */
  async function walkThrough(): Promise<boolean> {
    await saver?.flush()
    if (!plan.value || saveState.value !== 'saved') return false
    madeUp.value = madeUpClass(plan.value, freshSeed(), beginningOf(plan.value))
    return madeUp.value !== undefined
  }

  async function attempt(work: () => Promise<void>): Promise<boolean> {
    try {
      await work()
      return true
    } catch (error) {
      notices.trouble(messageOf(error))
      return false
    }
  }

  async function reloadRecord(): Promise<void> {
    const later: LessonEvent[] = []
    meanwhile = later
    const whole = await callServer('GET /api/lessons/[lesson]', { path: path() }).catch(() => undefined)
    if (meanwhile !== later) return
    meanwhile = undefined
    if (!whole || whole.lesson.id !== id.value) return
    record.value = withEvents(whole.record, later)
    together.value = whole.lesson.together
  }

  async function reload(): Promise<void> {
    const whole = await callServer('GET /api/lessons/[lesson]', { path: path() }).catch(() => undefined)
    if (whole && whole.lesson.id === id.value && saver?.mayTake()) take(whole)
  }

  /** Changes the plan on a copy, with undo. Quick changes with the same key (typing in one field) are undone together. */
  function edit(change: (draft: Plan) => void, typing = ''): void {
    if (plan.value) editFrom(plan.value, change, typing)
  }

  /** Changes the three lists: what stations said is taken up into the plan with it. */
  function editHeard(change: (draft: Plan) => void, typing = ''): void {
    if (heard.value) editFrom(heard.value, change, typing)
  }

  function editFrom(from: Plan, change: (draft: Plan) => void, typing: string): void {
    const draft = structuredClone(from)
    change(draft)
    replace(draft, typing)
  }

  function replace(next: Plan, typing = ''): void {
    if (!plan.value || !mayWrite()) return
    history.value = afterChange(history.value, plan.value, typing, Date.now())
    plan.value = next
    saver?.soon()
  }

  function step(to: typeof stepBack<Plan>): void {
    if (!mayWrite()) return
    const stepped = plan.value && to(history.value, plan.value)
    if (!stepped) return
    history.value = stepped.history
    plan.value = stepped.now
    saver?.soon()
  }

  /** Changes what the board shows, here at once. */
  async function show(change: Partial<BoardState>): Promise<void> {
    if (!mayWrite()) return
    board.value = { ...board.value, ...change }
    await attempt(async () => void (await callServer('PUT /api/lessons/[lesson]/board', { path: path(), body: change })))
  }

  /** Looks again at the cupboard and the calendar, which other lessons and pages change. */
  async function lookAround(): Promise<void> {
    const lesson = id.value
    const around = await callServer('GET /api/lessons/[lesson]/school', { path: { lesson } }).catch(() => undefined)
    if (around && id.value === lesson) school.value = around.school
  }

  /** Begins another lesson from this one; what is typed but not saved yet is saved first. */
  async function begin(call: () => Promise<{ id: string }>): Promise<string | undefined> {
    let begun: string | undefined
    await saver?.flush()
    await attempt(async () => {
      begun = (await call()).id
    })
    return begun
  }

  /** Carries out a button of the Second look. */
  async function apply(fix: Fix): Promise<void> {
    if (!heard.value) return
    const command = commandFor(heard.value, record.value, fix, newId)
    if (command.do === 'replace') replace(command.plan)
    if (command.do === 'write') {
      const { readings, back } = command
      if ((await writing.addReadings(readings)) && back)
        notices.done(`${counted(readings.length, 'reading')} put right.`, {
          label: 'Undo',
          run: () => void writing.addReadings(back),
        })
    }
    if (command.do !== 'go') return
    await navigateTo(`/lesson/${id.value}/${command.stop}`)
    target.value = command.target
  }

  return {
    id,
    code,
    together,
    board,
    stationsChanged,
    merging,
    plan: shownPlan,
    heard,
    record: shownRecord,
    strays: computed(() => home.value.strays),
    madeUp,
    walkThrough,
    putAway: PUT_AWAY.run,
    mayWrite,
    school,
    saveState,
    connected,
    lookFolded,
    target,
    findings,
    readiness,
    canUndo: computed(() => history.value.past.length > 0),
    canRedo: computed(() => history.value.future.length > 0),
    open,
    close,
    edit,
    editHeard,
    replace,
    undo: () => step(stepBack),
    redo: () => step(stepForward),
    flush: () => saver?.flush() ?? Promise.resolve(),
    lookAround,
    ...writing,
    /** A lesson of its own for one group's question. */
    ownLesson: (group: string) =>
      begin(() => callServer('POST /api/lessons/[lesson]/own-question', { path: path(), body: { group } })),
    /** The next lesson, from a card that is left over. */
    nextLesson: ({ from, id: card }: NextTest) =>
      begin(() => callServer('POST /api/lessons/[lesson]/next', { path: path(), body: { from, id: card } })),
    settleMerge: (asked: Asked, settled: Plan) => saver?.settle(asked, settled),
    show,
    apply,
  }
})
