const MOST = 500

const every = new Set<Known<unknown>>()
let alone = true

/** Another process may write as well: then nothing is remembered, and every question goes to the database. */
export function rememberOnlyAlone(isAlone: boolean): void {
  alone = isAlone
  for (const known of every) known.forgetAll()
}

/**
 * Rows that every entry of a station asks for, kept in memory as long as this process is the only one that writes them. What is
 * changed is forgotten after it is stored; a row that was being read meanwhile is not kept.
 */
export class Known<Row> {
  private readonly rows = new Map<string, Row>()
  private changes = 0

  constructor() {
    every.add(this)
  }

  async find(key: string, load: () => Promise<Row | undefined>): Promise<Row | undefined> {
    const known = this.rows.get(key)
    if (known) return known
    const before = this.changes
    const row = await load()
    if (row && alone && before === this.changes) {
      if (this.rows.size >= MOST) this.rows.clear()
      this.rows.set(key, row)
    }
    return row
  }

  forget(key: string): void {
    this.changes += 1
    this.rows.delete(key)
  }

  forgetAll(): void {
    this.changes += 1
    this.rows.clear()
  }
}
