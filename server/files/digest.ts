import { createHash } from 'node:crypto'
import type { AnyKind, AnyRow, Plan } from '../../core/lesson'
import type { StoredPicture } from '../database/pictures'

/** Tells whether two lessons are the same to the last letter, taken up piece by piece: plan first, then the rows of each kind in their order, then the pictures. */
export class LessonDigest {
  private readonly hash = createHash('sha256')

  plan(plan: Plan): this {
    return this.add('plan', plan)
  }

  rows({ list }: AnyKind, rows: AnyRow[]): this {
    for (const row of rows) this.add(list, { ...row, at: new Date(row.at).toISOString() })
    return this
  }

  picture({ id, type, bytes }: StoredPicture): this {
    return this.add('picture', { id, type, bytes: createHash('sha256').update(bytes).digest('base64') })
  }

  value(): string {
    return this.hash.digest('base64')
  }

  private add(what: string, value: unknown): this {
    this.hash.update(`${what} ${JSON.stringify(inOrder(value))}\n`)
    return this
  }
}

/** The same value with the names in it in one order, whichever way it was stored. */
function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([name, inner]) => [name, inOrder(inner)]),
  )
}
