import { mergePlans, type Merged, type Plan } from '~~/core/lesson'
import { ServerRefusal } from './callServer'
import { deviceClock, type Clock } from './clock'

export type SaveState = 'saved' | 'waiting' | 'saving' | 'away' | 'refused'

/** Two desks changed the same places differently: somebody has to choose. */
export type Asked = Merged & { revision: number; theirs: Plan }

interface Stored {
  plan: Plan
  revision: number
}

interface Parts {
  /** The plan as it is on this desk now. */
  current(): Plan | undefined
  /** Stores a plan that was edited from a revision, and answers the new one. */
  put(plan: Plan, revision: number, leaving: boolean): Promise<number>
  load(): Promise<Stored>
  state(state: SaveState): void
  /** Both desks' changes are in this plan; one step back is what the other desk had. */
  merged(plan: Plan, theirs: Plan, silently: boolean): void
  ask(asked: Asked): void
  trouble(error: unknown): void
}

const SAVE_AFTER = 400
const TRY_AGAIN_AFTER = 3000

/**
 * Saves the plan of one lesson a moment after each change, tries again while the server is away, and brings both desks' changes
 * together where another one was faster.
 */
export function saving(stored: Stored, parts: Parts, clock: Clock = deviceClock) {
  let { plan: agreed, revision } = stored
  let state: SaveState = 'saved'
  let ended = false
  let cancel = () => {}
  /** The save that is on its way. */
  let underWay: Promise<void> | undefined

  function become(next: SaveState): void {
    state = next
    if (!ended) parts.state(next)
  }

  function soon(after = SAVE_AFTER): void {
    if (state !== 'saving') become('waiting')
    later(after)
  }

  function later(after: number): void {
    cancel()
    cancel = clock.after(after, () => void save(false))
  }

  function save(leaving: boolean): Promise<void> {
    const plan = parts.current()
    return underWay ?? (plan ? start(plan, leaving) : Promise.resolve())
  }

  function start(plan: Plan, leaving: boolean): Promise<void> {
    cancel()
    underWay = send(plan, leaving).finally(() => (underWay = undefined))
    return underWay
  }

  async function send(plan: Plan, leaving: boolean): Promise<void> {
    become('saving')
    try {
      revision = await parts.put(plan, revision, leaving)
      agreed = plan
      become('saved')
      // What was changed while this was on its way goes next.
      if (!ended && parts.current() !== plan) soon()
    } catch (error) {
      if (error instanceof ServerRefusal && error.away && !ended) {
        become('away')
        return later(TRY_AGAIN_AFTER)
      }
      become('refused')
      if (error instanceof ServerRefusal && error.code === 'stale' && !ended) await mergeWithTheirs()
      else parts.trouble(error)
    }
  }

  /** Another desk was faster: both changes go into one plan, and what clashes is asked. */
  async function mergeWithTheirs(): Promise<void> {
    const loaded = await parts.load().catch(() => undefined)
    const mine = parts.current()
    if (!loaded || !mine || ended) return
    const asked = { ...mergePlans(agreed, mine, loaded.plan), revision: loaded.revision, theirs: loaded.plan }
    if (asked.clashes.length > 0) parts.ask(asked)
    else settle(asked, asked.plan, false)
  }

  /** Goes on with a plan in which both desks' changes are. */
  function settle(asked: Pick<Asked, 'revision' | 'theirs'>, plan: Plan, silently = true): void {
    revision = asked.revision
    agreed = asked.theirs
    parts.merged(plan, asked.theirs, silently)
    soon(0)
  }

  /** Sends what is not saved yet, when the page goes away or something else needs it stored: after what is on its way, too. */
  async function flush(): Promise<void> {
    const plan = parts.current()
    if (state === 'waiting' || state === 'away') return save(true)
    if (!underWay || !plan) return
    await underWay
    if (plan !== agreed && state !== 'refused') await start(plan, true)
  }

  /** Another desk saved: true where this one has nothing of its own, and should take theirs. */
  function shouldTake(theirRevision: number): boolean {
    return theirRevision > revision && state === 'saved'
  }

  /** May what was just loaded take the place of what is here. */
  function mayTake(): boolean {
    return state === 'saved' || state === 'refused'
  }

  /** The lesson is closed: what is on its way still goes, and nothing of it is shown any more. */
  function end(): void {
    ended = true
    cancel()
  }

  return { soon, flush, settle, shouldTake, mayTake, end }
}
