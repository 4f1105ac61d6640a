import { ROW_KINDS, type AnyKind, type LessonEvent, type RowKindName } from '../lesson'

/**
 * What an entry of a station becomes, shown before the server has it: whole rows of its own group.
 * @param body what is sent: one row, or several readings
 * @param at ISO time by the server's clock
 * @example foreseen('remark', { id: 'r', list: 'noticed', text: 'it drips' }, 'g1', '2026-03-12T10:00:00.000Z').map(({ kind }) => kind) // => ['remark']
 */
export function foreseen(name: RowKindName, body: object, group: string, at: string): LessonEvent[] {
  const kind: AnyKind = ROW_KINDS[name]
  const rows = kind.list in body ? (body as Record<string, object[]>)[kind.list]! : [body]
  const stamps = { at, ...('by' in kind.columns && { by: 'station' }), ...(kind.stamped.includes('late') && { late: false }) }
  return rows.map((row) => ({ kind: name, [name]: { ...kind.unsaid, group, ...row, ...stamps } }) as unknown as LessonEvent)
}
