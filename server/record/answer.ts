import type { AnyKind } from '../../core/lesson'
import type { Written } from './write'

/** The rows in a body: several readings at once, everything else one by one. */
export function rowsIn(kind: AnyKind, body: object): object[] {
  return kind.list in body ? (body as Record<string, object[]>)[kind.list]! : [body]
}

/** What became of them: how many readings were new, or the row as it is stored. */
export function answerFor(kind: AnyKind, body: object, { rows, added }: Written): object {
  return kind.list in body ? { added } : { [kind.kind]: rows[0]! }
}
