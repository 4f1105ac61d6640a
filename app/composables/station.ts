import {
  EMPTY_RECORD,
  ROW_KINDS,
  USUAL_BOARD,
  type BoardState,
  type LessonEvent,
  type LessonRecord,
  type NewFailure,
  type NewFeedback,
  type NewImprovement,
  type NewObservation,
  type NewPrediction,
  type NewProposal,
  type NewReading,
  type NewRemark,
  type Plan,
  type Reading,
} from '~~/core/lesson'
import { foreseen } from '~~/core/station'
import { checkReading, withEvents, type AskedEntry, type Doubt } from '~~/core/record'
import type { JoinBody, StationView } from '~~/schemas/contract'
import type { StationTogether } from '~~/schemas/togetherContract'
import type { Sent, Waiting, WaitingState } from '~/following/waitingLine'
import { ServerRefusal, addressOf, callServer, messageOf } from '~/following/callServer'
import { follow } from '~/following/follow'
import { lookAnew } from '~/following/lookAnew'
import { serverNow } from '~/following/serverClock'
import { waitingLine } from '~/following/waitingLine'
import { waitingStore } from '~/following/waitingStore'

const TOKEN = 'jolly-beaker-station'
/** The token of a station that was sent away: what waits under it goes along when the same group joins again. */
const FORMER = 'jolly-beaker-former-station'
const WORTH_WAITING = ['away', 'internal', 'disk-full', 'not-joined', 'locked', 'slow-down']
/** A child waits no longer for a question about its number. */
const PATIENCE = 1500
/** What the server's data were called when this station last saw them. */
const EPOCH = 'jolly-beaker-epoch'

/** One group's station: what it knows of the lesson, and what it writes down. */
export function useStation() {
  const state = ref<'opening' | 'joining' | 'open'>('opening')
  const plan = shallowRef<Plan>()
  const record = shallowRef<LessonRecord>(EMPTY_RECORD)
  const board = ref<BoardState>(USUAL_BOARD)
  const group = ref('')
  /** The code of the lesson, for whoever takes the tablet next. */
  const code = ref('')
  const locked = ref(false)
  const together = shallowRef<StationTogether | null>(null)
  /** The record is the whole class's. */
  const all = ref(false)
  const connected = ref(true)
  const waiting = shallowRef<WaitingState>({ beingKept: 0, line: [], refused: [], away: false })
  const line = waitingLine(waitingStore(), sendOne, (now) => (waiting.value = now))
  let token = ''
  let own = ''
  let end = () => {}

  function open(): void {
    end()
    token = localStorage.getItem(TOKEN) ?? ''
    if (token === '') return void (state.value = 'joining')
    end = follow({
      load: () => callServer('GET /api/station', { token }),
      events: (since) => addressOf('GET /api/station/events', { query: { token, since } }),
      opened: async (view) => {
        takeView(view)
        record.value = view.record
        own = view.station
        state.value = 'open'
        await takeUpFormer(view)
        for (const one of await line.restore()) if (one.token === token) foresee(one)
        await offerAgainTo(view)
      },
      take,
      state: (stands) => {
        if (stands && !connected.value) void line.send()
        connected.value = stands
        // The line may be down because this station was sent away meanwhile.
        if (!stands) void anew.ask()
      },
      // One that is off the network cannot, and is away for the desk a few seconds later.
      stillHere: () => void callServer('GET /api/station/here', { token }).catch(() => undefined),
      failed: (error) => {
        const sentAway = isSentAway(error)
        if (sentAway) leave()
        else connected.value = false
        return !sentAway
      },
    })
  }

  function takeView(view: StationView): void {
    group.value = view.group
    code.value = view.code
    together.value = view.together
    locked.value = view.locked
    plan.value = view.plan
    board.value = view.board
    all.value = view.all
  }

  /** What waited for the token of before, of the same lesson and group, goes under this one. */
  async function takeUpFormer({ code: at, group: now }: StationView): Promise<void> {
    const former = JSON.parse(localStorage.getItem(FORMER) ?? 'null') as { token: string; code: string; group: string } | null
    if (former && former.token !== token && former.code === at && former.group === now) await line.underToken(former.token, token)
    localStorage.setItem(FORMER, JSON.stringify({ token, code: at, group: now }))
  }

  /** Other data than before are those of a snapshot: they lack what was sent since. */
  async function offerAgainTo({ epoch }: StationView): Promise<void> {
    const before = localStorage.getItem(EPOCH)
    localStorage.setItem(EPOCH, epoch)
    if (before !== null && before !== epoch) await line.offerAgain(token)
  }

  function take(events: LessonEvent[]): void {
    record.value = withEvents(record.value, events)
    for (const event of events) {
      if (event.kind !== 'board') continue
      const turned = event.board.results !== board.value.results
      board.value = event.board
      // Others' numbers come, or go.
      if (turned) open()
    }
    if (
      events.some(
        (event) => event.kind === 'plan' || event.kind === 'together' || (event.kind === 'station' && event.station === own),
      )
    )
      void anew.ask()
  }

  const anew = lookAnew(
    () => callServer('GET /api/station', { token, query: { record: false } }),
    (view) => {
      if (state.value !== 'open') return
      // Its group went into another lesson: that one is followed from now on.
      if (code.value !== '' && view.code !== code.value) return open()
      takeView(view)
      void line.send()
    },
    (error) => {
      if (isSentAway(error) && token !== '') leave()
    },
  )

  async function join(body: JoinBody): Promise<void> {
    const answer = await callServer('POST /api/stations', { body })
    localStorage.setItem(TOKEN, answer.token)
    open()
  }

  function leave(): void {
    localStorage.removeItem(TOKEN)
    end()
    state.value = 'joining'
  }

  async function sendOne({ kind, body, token: under, since }: Waiting): Promise<Sent> {
    const how = { token: under, waited: Date.now() - since }
    try {
      const list = kind === 'picture' ? 'pictures' : ROW_KINDS[kind].list
      // The body was made for this kind when it was entered.
      await callServer(`POST /api/station/${list}`, { body: body as never, ...how })
      return 'taken'
    } catch (error) {
      const code = error instanceof ServerRefusal ? error.code : 'internal'
      return { waits: WORTH_WAITING.includes(code), away: code === 'away', message: messageOf(error) }
    }
  }

  /** Shows what was entered at once; the server's own copy takes its place when it comes. */
  function foresee({ kind, body }: Pick<Waiting, 'kind' | 'body'>): void {
    if (kind !== 'picture') take(foreseen(kind, body, group.value, new Date(serverNow()).toISOString()))
  }

  async function write(kind: Waiting['kind'], id: string, body: object): Promise<void> {
    foresee({ kind, body })
    await line.add({ id, token, kind, body })
  }

  /** What to ask about numbers: among those of all groups, which the server has; while it is away among one's own. */
  async function check(readings: AskedEntry[]): Promise<Doubt[][]> {
    const here = () => readings.map((entry) => checkReading(plan.value!, record.value.readings, entry))
    if (all.value || !connected.value) return here()
    const late = new Promise<undefined>((over) => setTimeout(() => over(undefined), PATIENCE))
    const asked = callServer('POST /api/station/check', { body: { readings }, token }).catch(() => undefined)
    return (await Promise.race([asked, late]))?.doubts ?? here()
  }

  /** A picture goes first, so that the observation that names it finds it there. */
  async function observe(observation: NewObservation, picture: string | undefined): Promise<void> {
    if (picture !== undefined && observation.picture !== null)
      await write('picture', observation.picture, { id: observation.picture, data: picture })
    await write('observation', observation.id, observation)
  }

  onMounted(open)
  onBeforeUnmount(() => {
    end()
    anew.end()
    line.end()
  })
  return {
    state,
    plan,
    record,
    board,
    group,
    code,
    together,
    locked,
    all,
    lookAgain: open,
    /** A try at a warm-up is told and forgotten; whether it arrives matters to nobody. */
    warmUp: (error: number) => void callServer('POST /api/station/warm-ups', { body: { error }, token }).catch(() => undefined),
    connected,
    waiting,
    ownReadings: computed<Reading[]>(() => record.value.readings.filter((reading) => reading.group === group.value)),
    clearRefused: line.clearRefused,
    join,
    leave,
    writeReadings: (readings: NewReading[]) => write('reading', readings[0]!.id, { readings }),
    writePrediction: (prediction: NewPrediction) => write('prediction', prediction.id, prediction),
    fail: (failure: NewFailure) => write('failure', failure.id, failure),
    improve: (change: NewImprovement) => write('improvement', change.id, change),
    tell: (feedback: NewFeedback) => write('feedback', feedback.id, feedback),
    say: (remark: NewRemark) => write('remark', remark.id, remark),
    check,
    propose: (sentence: NewProposal) => write('conclusion', sentence.id, sentence),
    observe,
    pictureOf: (picture: string) => `${addressOf('GET /api/station/pictures/[picture]', { path: { picture } })}?token=${token}`,
  }
}

function isSentAway(error: unknown): boolean {
  return error instanceof ServerRefusal && error.code === 'not-joined'
}
