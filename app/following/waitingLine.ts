import type { RowKindName } from '~~/core/lesson'
import { deviceClock, type Clock } from './clock'

/** Something a group entered that the server does not have yet. */
export interface Waiting {
  id: string
  token: string
  kind: RowKindName | 'picture'
  /** As it goes to the server. */
  body: object
  /** When it was entered, by this device's clock. */
  since: number
}

/** What the server refused for good, and why. */
export interface Refused extends Waiting {
  why: string
}

/** What the server has acknowledged, and when by this device's clock. */
export interface Kept extends Waiting {
  sent: number
}

/** Where what waits is kept over a restart: see waitingStore.ts. */
export interface WaitingStore {
  load(): Promise<{ line: Waiting[]; refused: Refused[] }>
  add(waiting: Waiting): Promise<void>
  remove(id: string): Promise<void>
  refuse(refused: Refused): Promise<void>
  /** Goes for what waits and for what was sent. */
  rename(old: string, token: string): Promise<void>
  keep(sent: Kept): Promise<void>
  /** What was sent under a token, in its order. */
  kept(token: string): Promise<Kept[]>
  /** Lets go of what was sent before a time. */
  letGo(before: number): Promise<void>
  clearRefused(): Promise<void>
}

/** What came of sending one. */
export type Sent = 'taken' | { waits: boolean; away: boolean; message: string }

export interface WaitingState {
  /** Entered and not yet kept on this device: neither waiting nor sent. */
  beingKept: number
  line: Waiting[]
  refused: Refused[]
  /** The server could not be reached. */
  away: boolean
}

const TRY_AGAIN_AFTER = 3000
/** The server may come back from a snapshot that is an hour old: what was sent since is kept as long, and longer. */
const KEPT_FOR = 2 * 60 * 60 * 1000

/**
 * What was entered on this station and is on its way: kept until the server has it, sent in order, tried again while the line is
 * down. What the server refuses for good is kept beside it and said.
 */
export function waitingLine(
  store: WaitingStore,
  sendOne: (waiting: Waiting) => Promise<Sent>,
  changed: (state: WaitingState) => void,
  clock: Clock = deviceClock,
) {
  let state: WaitingState = { beingKept: 0, line: [], refused: [], away: false }
  let sending = false
  let cancel = () => {}

  function become(change: Partial<WaitingState>): void {
    state = { ...state, ...change }
    changed(state)
  }

  /** Takes up what an earlier page left behind. */
  async function restore(): Promise<Waiting[]> {
    become(await store.load())
    void send()
    return state.line
  }

  async function add(entry: Omit<Waiting, 'since'>): Promise<void> {
    const whole = { ...entry, since: clock.now() }
    // Nothing is said to wait, or to be sent, before it would outlive the page.
    become({ beingKept: state.beingKept + 1 })
    await store.add(whole)
    const line = state.line.some(({ id }) => id === whole.id) ? state.line : [...state.line, whole]
    become({ beingKept: state.beingKept - 1, line })
    void send()
  }

  /** Under a new token for the same lesson and group, what waits for the old one goes on its way. */
  async function underToken(old: string, token: string): Promise<void> {
    become({ line: state.line.map((one) => (one.token === old ? { ...one, token } : one)) })
    await store.rename(old, token)
  }

  /** The server's data are older than what was sent: it goes once more, in its order. What is there already is not doubled. */
  async function offerAgain(token: string): Promise<void> {
    const kept = await store.kept(token)
    const waiting = new Set(state.line.map(({ id }) => id))
    const again = kept.filter(({ id, sent }) => !waiting.has(id) && clock.now() - sent < KEPT_FOR)
    if (again.length === 0) return
    become({ line: [...again.map(({ sent: _sent, ...one }) => one), ...state.line] })
    void send()
  }

  async function send(): Promise<void> {
    if (sending) return
    sending = true
    cancel()
    become({ away: false })
    // What one station cannot send now holds up its own later entries, to keep their order, and nobody else's.
    const held = new Set<string>()
    for (let next = firstOf(held); next; next = firstOf(held)) {
      const sent = await sendOne(next)
      if (sent !== 'taken' && sent.waits) {
        held.add(next.token)
        if (sent.away) become({ away: true })
      } else await takeOut(next, sent === 'taken' ? undefined : sent.message)
    }
    sending = false
    if (held.size > 0) cancel = clock.after(TRY_AGAIN_AFTER, () => void send())
  }

  function firstOf(held: Set<string>): Waiting | undefined {
    return state.line.find(({ token }) => !held.has(token))
  }

  async function takeOut(done: Waiting, why: string | undefined): Promise<void> {
    if (why === undefined) {
      await store.keep({ ...done, sent: clock.now() })
      await store.letGo(clock.now() - KEPT_FOR)
    } else {
      become({ refused: [...state.refused, { ...done, why }] })
      await store.refuse({ ...done, why })
    }
    become({ line: state.line.filter(({ id }) => id !== done.id) })
    await store.remove(done.id)
  }

  /** The teacher has seen what was refused. */
  async function clearRefused(): Promise<void> {
    become({ refused: [] })
    await store.clearRefused()
  }

  return { restore, add, send, underToken, offerAgain, clearRefused, end: () => cancel() }
}
