import { defineStore } from 'pinia'
import { NO_SCHOOL, type School } from '~~/core/kit'
import { asksItsOwn, EMPTY_RECORD, samePlan, type LessonEvent, type LessonRecord, type Plan } from '~~/core/lesson'
import { homed, withEvents } from '~~/core/record'
import { withSaid } from '~~/core/wonder'
import type { OpenedLesson } from '~~/schemas/contract'
import { afterChange, noHistory, stepBack, stepForward } from '~/following/history'
import { saving, type Asked, type SaveState } from '~/following/saving'
import { addressOf, callServer, messageOf } from '~/following/callServer'
import { follow } from '~/following/follow'
import { lookAnew } from '~/following/lookAnew'
import { useDeskBoard } from '~/stores/deskBoard'
import { useMadeUp } from '~/stores/madeUp'
import { useNotices } from '~/stores/notices'

const DESK_GATHERS_FOR = 200

/** The lesson on the desk: its plan with undo, its record as it comes in, and what the computation says of both. */
export const useLesson = defineStore('lesson', () => {
  const notices = useNotices()
  const board = useDeskBoard()
  const madeUp = useMadeUp()
  const id = ref('')
  const code = ref('')
  /** The lessons that it runs together with. */
  const together = ref<string | null>(null)
  /** The lesson whose groups ask their own questions in it, of which this is one, or itself that lesson. */
  const partOf = ref<OpenedLesson['partOf']>(null)
  const plan = shallowRef<Plan>()
  const record = shallowRef<LessonRecord>(EMPTY_RECORD)
  /** The cupboard, who else has booked it, and the calendar of the class. */
  const school = shallowRef<School>(NO_SCHOOL)
  const saveState = ref<SaveState>('saved')
  const connected = ref(true)
  const history = shallowRef(noHistory<Plan>())
  const merging = shallowRef<Asked>()
  let saver: ReturnType<typeof saving> | undefined
  let endFollowing = () => {}
  let opening = 0

  const shownPlan = computed(() => madeUp.drawn?.plan ?? plan.value)
  const allRows = computed(() => madeUp.drawn?.record ?? record.value)
  /** What the plan has a home for, and what it has none for. */
  const home = computed(() =>
    shownPlan.value ? homed(shownPlan.value, allRows.value) : { record: allRows.value, strays: [], aside: [] },
  )
  const shownRecord = computed(() => home.value.record)
  /** The plan with what stations said in its lists. */
  const heard = computed(() => shownPlan.value && withSaid(shownPlan.value, shownRecord.value.remarks))
  const path = () => ({ lesson: id.value })
  /** Groups ask their own questions in this lesson. */
  const asksHere = computed(() =>
    partOf.value ? partOf.value.id === id.value : together.value === null && plan.value !== undefined && asksItsOwn(plan.value),
  )

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
        presence: () => (board.stationsChanged += 1),
        failed: (error) => {
          reject(error as Error)
          return false
        },
        gatherFor: DESK_GATHERS_FOR,
      })
    })
  }

  function take({ lesson, partOf: whole }: OpenedLesson): void {
    saver?.end()
    id.value = lesson.id
    code.value = lesson.code
    together.value = lesson.together
    partOf.value = whole
    board.take(lesson.id, lesson.board)
    plan.value = lesson.plan
    history.value = noHistory()
    merging.value = undefined
    saveState.value = 'saved'
    saver = saverOf(lesson.id, lesson)
  }

  function saverOf(lesson: string, stored: OpenedLesson['lesson']) {
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
    madeUp.putAway()
    history.value = noHistory()
  }

  function takeEvents(events: LessonEvent[]): void {
    record.value = withEvents(record.value, events)
    recordAnew.heard(events)
    // Groups may have been split off or joined, and their rows with them.
    if (events.some(({ kind }) => kind === 'together')) void recordAnew.ask()
    for (const event of events) {
      if (event.kind === 'board') board.heard(event.board)
      if (event.kind === 'station') board.stationsChanged += 1
      if (event.kind === 'plan' && saver?.shouldTake(event.revision)) void planAnew.ask()
    }
  }

  const load = () => callServer('GET /api/lessons/[lesson]', { path: path() })
  const recordAnew = lookAnew<OpenedLesson, LessonEvent>(load, (whole, later) => {
    if (whole.lesson.id !== id.value) return
    record.value = withEvents(whole.record, later)
    together.value = whole.lesson.together
    partOf.value = whole.partOf
  })
  const planAnew = lookAnew(load, (whole) => {
    if (whole.lesson.id === id.value && saver?.mayTake()) take(whole)
  })

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
    if (!plan.value || !madeUp.mayWrite()) return
    // What changed nothing, such as the same instrument taken twice, leaves no step that Undo would take back unseen.
    if (samePlan(plan.value, next)) return
    history.value = afterChange(history.value, plan.value, typing, Date.now())
    plan.value = next
    saver?.soon()
  }

  function step(to: typeof stepBack<Plan>): void {
    if (!madeUp.mayWrite()) return
    const stepped = plan.value && to(history.value, plan.value)
    if (!stepped) return
    history.value = stepped.history
    plan.value = stepped.now
    saver?.soon()
  }

  /** Looks again at the cupboard and the calendar, which other lessons and pages change. */
  async function lookAround(): Promise<void> {
    const lesson = id.value
    const around = await callServer('GET /api/lessons/[lesson]/school', { path: { lesson } }).catch(() => undefined)
    if (around && id.value === lesson) school.value = around.school
  }

  /** The plan as it is stored, once everything is; undefined where that could not be done. */
  async function settledPlan(): Promise<Plan | undefined> {
    await saver?.flush()
    return saveState.value === 'saved' ? plan.value : undefined
  }

  return {
    id,
    code,
    together,
    partOf,
    asksHere,
    /** All groups have theirs, and nobody is left in the question of the class. */
    allElsewhere: computed(() => asksHere.value && together.value !== null && plan.value?.groups.length === 0),
    plan: shownPlan,
    heard,
    record: shownRecord,
    /** With those rows that the plan has no home for. */
    allRows,
    strays: computed(() => home.value.strays),
    takeEvents,
    school,
    lookAround,
    saveState,
    connected,
    canUndo: computed(() => history.value.past.length > 0),
    canRedo: computed(() => history.value.future.length > 0),
    open,
    close,
    edit,
    editHeard,
    replace,
    undo: () => step(stepBack),
    redo: () => step(stepForward),
    settledPlan,
    flush: () => saver?.flush() ?? Promise.resolve(),
    merging,
    settleMerge: (asked: Asked, settled: Plan) => saver?.settle(asked, settled),
  }
})
