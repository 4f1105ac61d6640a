import { randomUUID } from 'node:crypto'
import type { Plan } from '../../core/lesson'
import type { NewReading } from '../../core/lesson'
import { reading } from '../api/client'

export interface Entry {
  id: string
  /** When the child wrote it down, by the clock of this process. */
  at: number
  acknowledged: number | undefined
}

const AGAIN_AFTER = 400

/** A station as app/composables/waitingLine.ts has it: a line of entries, sent one by one, in order, until each is acknowledged. */
export class SoakStation {
  readonly entries: Entry[] = []
  /** From when to when its network was away. */
  readonly outages: [number, number][] = []
  refused = 0
  private readonly line: { entry: Entry; body: NewReading }[] = []
  private sending = false
  private cut = false
  private last: string | undefined

  constructor(
    private readonly base: string,
    private readonly headers: Record<string, string>,
    private readonly plan: Plan,
    readonly group: string,
    private readonly value: () => number,
  ) {}

  /** Fills the group's places one after the other; when all are filled, the last number is put right again and again. */
  enter(): void {
    const entry: Entry = { id: randomUUID(), at: performance.now(), acknowledged: undefined }
    const { conditions, repeats } = this.plan
    const place = this.entries.length % (conditions.length * repeats)
    const value = Math.round(this.value())
    const body = reading(this.plan, {
      id: entry.id,
      group: this.group,
      condition: conditions[place % conditions.length]!.id,
      repeat: Math.floor(place / conditions.length) + 1,
      value,
      entered: String(value),
      supersedes: this.entries.length < conditions.length * repeats ? null : (this.last ?? null),
    })
    this.last = entry.id
    this.entries.push(entry)
    this.line.push({ entry, body })
    void this.send()
  }

  /** The network is away: what is entered meanwhile waits. */
  setCut(cut: boolean): void {
    this.cut = cut
    void this.send()
  }
  get waiting(): number {
    return this.line.length
  }

  private async send(): Promise<void> {
    if (this.sending) return
    this.sending = true
    while (this.line.length > 0 && !this.cut) {
      const [first] = this.line
      const status = await this.post(first!.body)
      if (status === 200) {
        first!.entry.acknowledged = performance.now()
        this.line.shift()
      } else if (status >= 400 && status < 500) {
        this.refused += 1
        this.line.shift()
      } else await new Promise((next) => setTimeout(next, AGAIN_AFTER))
    }
    this.sending = false
  }

  private async post(body: NewReading): Promise<number> {
    try {
      const response = await fetch(`${this.base}/api/station/readings`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', ...this.headers },
        body: JSON.stringify({ readings: [body] }),
      })
      await response.text()
      return response.status
    } catch {
      return 0
    }
  }
}
