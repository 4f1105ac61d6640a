import {
  EMPTY_RECORD,
  USUAL_BOARD,
  type BoardState,
  type LessonEvent,
  type LessonRecord,
  type Plan,
  type Reading,
} from '~~/core/lesson'
import { withEvents } from '~~/core/record'
import type { NewObservation, NewPrediction, NewProposal, NewReading, NewRemark } from '~~/schemas/record'
import type { BoardView } from '~~/server/lesson/board'

const TOKEN = 'jolly-beaker-station'
/** The token of a station that was sent away: what waits under it goes along when the same group joins again. */
const FORMER = 'jolly-beaker-former-station'
const LOOK_AGAIN_AFTER = 3000

interface StationView extends BoardView {
  station: string
  group: string
  locked: boolean
}

/** One group's station: what it knows of the lesson, and what it writes down. */
export function useStation() {
  const waiting = useWaitingLine()
  const state = ref<'opening' | 'joining' | 'open'>('opening')
  const plan = shallowRef<Plan>()
  const record = shallowRef<LessonRecord>(EMPTY_RECORD)
  const board = ref<BoardState>(USUAL_BOARD)
  const group = ref('')
  const locked = ref(false)
  const connected = ref(true)
  const take = useEventBatches(takeEvents)
  let token = ''
  let own = ''
  let stopWatching = () => {}
  let timer: ReturnType<typeof setTimeout> | undefined

  async function open(): Promise<void> {
    token = localStorage.getItem(TOKEN) ?? ''
    if (token === '') return void (state.value = 'joining')
    try {
      const view = await callServer<StationView>('/api/station', { token })
      takeView(view)
      record.value = view.record
      own = view.station
      state.value = 'open'
      await takeUpFormer(view)
      for (const one of await waiting.restore()) if (one.token === token) foresee(one.path, one.body)
      stopWatching()
      stopWatching = watchEvents(`/api/station/events?token=${token}`, view.event, take, onLine)
    } catch (error) {
      if (error instanceof ServerRefusal && error.code === 'not-joined') return leave()
      connected.value = false
      timer = setTimeout(() => void open(), LOOK_AGAIN_AFTER)
    }
  }

  function takeView(view: StationView): void {
    group.value = view.group
    locked.value = view.locked
    plan.value = view.plan
    board.value = view.board
  }

  /** What waited for the token of before, of the same lesson and group, goes under this one. */
  async function takeUpFormer({ code, group: now }: StationView): Promise<void> {
    const former = JSON.parse(localStorage.getItem(FORMER) ?? 'null') as { token: string; code: string; group: string } | null
    if (former && former.token !== token && former.code === code && former.group === now)
      await waiting.underToken(former.token, token)
    localStorage.setItem(FORMER, JSON.stringify({ token, code, group: now }))
  }

  function onLine(stands: boolean): void {
    if (stands && !connected.value) void waiting.send()
    connected.value = stands
    // The line may be down because this station was sent away meanwhile.
    if (!stands) void refresh()
  }

  function takeEvents(events: LessonEvent[]): void {
    record.value = withEvents(record.value, events)
    for (const event of events) if (event.kind === 'board') board.value = event.board
    if (events.some((event) => event.kind === 'plan' || (event.kind === 'station' && event.station === own))) void refresh()
  }

  async function refresh(): Promise<void> {
    try {
      takeView(await callServer<StationView>('/api/station?record=false', { token }))
      void waiting.send()
    } catch (error) {
      if (error instanceof ServerRefusal && error.code === 'not-joined') leave()
    }
  }

  async function join(code: string, chosen: string): Promise<void> {
    const answer = await callServer<{ token: string }>('/api/stations', { method: 'POST', body: { code, group: chosen } })
    localStorage.setItem(TOKEN, answer.token)
    await open()
  }

  function leave(): void {
    localStorage.removeItem(TOKEN)
    stopWatching()
    state.value = 'joining'
  }

  /** Shows what was entered at once; the server's own copy takes its place when it comes. */
  function foresee(path: string, body: unknown): void {
    const stamp = { by: 'station', at: new Date(serverNow()).toISOString() } as const
    if (path.endsWith('readings')) {
      takeEvents(
        (body as { readings: NewReading[] }).readings.map((reading) => ({ kind: 'reading', reading: { ...reading, ...stamp } })),
      )
    } else if (path.endsWith('remarks')) {
      takeEvents([{ kind: 'remark', remark: { ...(body as NewRemark), group: group.value, at: stamp.at } }])
    } else if (path.endsWith('observations')) {
      takeEvents([{ kind: 'observation', observation: { ...(body as NewObservation), ...stamp } }])
    } else if (path.endsWith('conclusions')) {
      const conclusion = { ...(body as NewProposal), ...stamp, group: group.value, hands: null, agreed: false }
      takeEvents([{ kind: 'conclusion', conclusion }])
    } else if (path.endsWith('predictions')) {
      takeEvents([{ kind: 'prediction', prediction: { ...(body as NewPrediction), ...stamp, late: false } }])
    }
  }

  async function write(path: string, id: string, body: unknown): Promise<void> {
    foresee(path, body)
    await waiting.add({ id, token, path, body })
  }

  const writeReadings = (readings: NewReading[]) => write('/api/station/readings', readings[0]!.id, { readings })
  const say = (remark: NewRemark) => write('/api/station/remarks', remark.id, remark)
  const propose = (sentence: NewProposal) => write('/api/station/conclusions', sentence.id, sentence)
  const pictureOf = (id: string) => `/api/station/pictures/${id}?token=${token}`
  const writePrediction = (prediction: NewPrediction) => write('/api/station/predictions', prediction.id, prediction)
  /** A picture goes first, so that the observation that names it finds it there. */
  async function observe(observation: NewObservation, picture: string | undefined): Promise<void> {
    if (picture !== undefined && observation.picture !== null)
      await write('/api/station/pictures', observation.picture, { id: observation.picture, data: picture })
    await write('/api/station/observations', observation.id, observation)
  }
  const ownReadings = computed<Reading[]>(() => record.value.readings.filter((reading) => reading.group === group.value))

  onMounted(open)
  onBeforeUnmount(() => {
    stopWatching()
    clearTimeout(timer)
  })
  return {
    state,
    plan,
    record,
    board,
    group,
    locked,
    connected,
    waiting,
    ownReadings,
    join,
    leave,
    writeReadings,
    writePrediction,
    say,
    propose,
    observe,
    pictureOf,
  }
}
