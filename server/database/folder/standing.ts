import type { PGlite } from '@electric-sql/pglite'
import { DatabaseAway, troubleOf } from '../away'
import { log } from '../../lookedAfter/log'
import { isFull } from './room'

const LOOK_FOR_ROOM_EVERY = 1000
/** A database that has stopped answers nothing any more. */
const PATIENCE = 5000
const WRITES = /^\s*(?:insert|update|delete)/i

/**
 * The embedded database as those above see it: it stays the same while the one below is opened anew, or another takes its place.
 * Whoever asks meanwhile is told to come back.
 */
export class StandingClient {
  private client: PGlite | undefined
  private readonly listeners = new Map<string, (payload: string) => void>()
  private asked = 0
  private readonly whenIdle: (() => void)[] = []
  private room = { full: false, looked: 0 }

  constructor(
    private readonly folder: string,
    /** Something is wrong below: a table that cannot be read, or the database has stopped. */
    private readonly onTrouble: (trouble: 'damaged' | 'stopped') => void,
  ) {}

  async stand(on: PGlite): Promise<void> {
    for (const [channel, heard] of this.listeners) await on.listen(channel, heard)
    this.client = on
  }

  /**
   * Takes the database away from everybody, and hands it to whoever closes it, once it has answered what it was asked: a question
   * during its closing would ruin what it has just written.
   */
  async leave(): Promise<PGlite | undefined> {
    const { client } = this
    this.client = undefined
    if (this.asked > 0) await Promise.race([new Promise<void>((done) => this.whenIdle.push(done)), after(PATIENCE)])
    return client
  }

  async listen(channel: string, heard: (payload: string) => void): Promise<void> {
    this.listeners.set(channel, heard)
    await this.below().listen(channel, heard)
  }

  /**
   * The embedded database answers in the same breath: a page that asks it five things would hold the thread for all five. After
   * each answer, whoever knocked meanwhile is heard.
   */
  async query(...asked: Parameters<PGlite['query']>) {
    const [text] = asked
    if (WRITES.test(text)) this.needRoom()
    const answer = await this.heeding((client) => client.query(...asked))
    await new Promise((heard) => setImmediate(heard))
    return answer
  }

  transaction<T>(work: Parameters<PGlite['transaction']>[0]): Promise<T> {
    this.needRoom()
    return this.heeding((client) => client.transaction(work)) as Promise<T>
  }

  private below(): PGlite {
    if (!this.client) throw new DatabaseAway('reopening')
    return this.client
  }

  private async heeding<T>(work: (client: PGlite) => Promise<T>): Promise<T> {
    const client = this.below()
    this.asked += 1
    try {
      return await work(client)
    } catch (error) {
      const trouble = client.closed ? 'stopped' : troubleOf(error)
      if (trouble === 'stopped' && isFull(this.folder)) {
        this.onTrouble('stopped')
        throw new DatabaseAway('disk-full')
      }
      if (trouble === 'disk-full') throw new DatabaseAway('disk-full')
      if (trouble !== 'damaged' && trouble !== 'stopped') throw error
      if (this.client === client) this.onTrouble(trouble)
      throw new DatabaseAway('reopening')
    } finally {
      this.asked -= 1
      if (this.asked === 0) for (const done of this.whenIdle.splice(0)) done()
    }
  }

  /** A write that finds no room ends the embedded database: it is refused before. Said on the terminal when it begins and ends. */
  private needRoom(): void {
    const now = Date.now()
    if (Math.abs(now - this.room.looked) > LOOK_FOR_ROOM_EVERY) {
      const full = isFull(this.folder)
      if (full && !this.room.full) log.error(`The disk is full: make room for ${this.folder}. Until then nothing can be stored.`)
      if (!full && this.room.full) log.warn('There is room on the disk again.')
      this.room = { full, looked: now }
    }
    if (this.room.full) throw new DatabaseAway('disk-full')
  }
}

function after(milliseconds: number): Promise<void> {
  return new Promise((over) => setTimeout(over, milliseconds).unref())
}
