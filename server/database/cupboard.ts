import { and, asc, desc, eq, inArray, isNotNull, isNull } from 'drizzle-orm'
import { isDeepStrictEqual } from 'node:util'
import type { NewThing } from '../../core/formats'
import { USUAL_CUSTOMS, USUAL_HELD, type Customs, type School, type StockChange, type Thing } from '../../core/kit'
import { withoutNoise } from '../../core/quantity'
import type { Move } from '../../schemas/contract'
import type { LibraryFile } from '../../schemas/library'
import { announce } from './hearing'
import type { Database } from './open'
import { lessons, moves, things } from './schema'
import { loadSetting, saveSetting } from './settings'

const HELD = 'held-days'
const CUSTOMS = 'customs'
const MOST_MOVES = 300

export async function listThings(database: Database): Promise<Thing[]> {
  const rows = await database.select().from(things).where(isNull(things.goneAt)).orderBy(asc(things.name))
  return rows.map(toThing)
}

/** What happened in the cupboard, the newest first. */
export async function listMoves(database: Database): Promise<Move[]> {
  const rows = await database
    .select({ move: moves, plan: lessons.plan })
    .from(moves)
    .leftJoin(lessons, eq(moves.lesson, lessons.id))
    .orderBy(desc(moves.number))
    .limit(MOST_MOVES)
  return rows.map(({ move, plan }) => ({ ...move, title: plan?.title ?? null, at: move.at.toISOString() }))
}

/** One transaction, after which every lesson looks at the cupboard anew. */
async function changingSchool<T>(database: Database, work: (transaction: Database) => Promise<T>): Promise<T> {
  return database.transaction(async (transaction) => {
    const answer = await work(transaction)
    await announce(transaction, { what: 'school' })
    return answer
  })
}

/** Writes a thing, new or changed; a stock that changed with it is a correction. */
export async function saveThing(database: Database, thing: Thing): Promise<void> {
  await changingSchool(database, async (transaction) => {
    const [known] = await transaction.select().from(things).where(eq(things.id, thing.id)).for('update')
    const back = { ...thing, goneAt: null }
    if (known) await transaction.update(things).set(back).where(eq(things.id, thing.id))
    else await transaction.insert(things).values(back)
    const change = withoutNoise(thing.stock - (known?.stock ?? 0))
    if (known && change === 0) return
    await transaction.insert(moves).values({
      thing: thing.id,
      lesson: null,
      why: known ? 'corrected' : 'new',
      change,
      stock: thing.stock,
      at: new Date(),
    })
  })
}

/** How many things there are, those that were taken out among them. */
export function countThings(database: Database): Promise<number> {
  return database.$count(things)
}

/** Takes a thing out of the cupboard; it can be put back by saving it again. */
export async function takeOut(database: Database, id: string): Promise<boolean> {
  return changingSchool(database, async (transaction) => {
    const [gone] = await transaction.update(things).set({ goneAt: new Date() }).where(eq(things.id, id)).returning()
    if (!gone) return false
    await transaction
      .insert(moves)
      .values({ thing: id, lesson: null, why: 'taken-out', change: 0, stock: gone.stock, at: new Date() })
    return true
  })
}

const BARE = { unit: 'pieces', place: '', minimum: null, pack: null, price: null } as const

/**
 * Takes in a table of things: those of the same name get the new figures, the others are added; nothing is taken out.
 * @param newId makes the ids of new things
 */
export async function importThings(
  database: Database,
  table: NewThing[],
  newId: () => string,
): Promise<{ added: number; changed: number; things: string[] }> {
  return changingSchool(database, async (transaction) => {
    const known = new Map((await listThings(transaction)).map((thing) => [thing.name.toLowerCase(), thing]))
    let changed = 0
    const added: string[] = []
    for (const row of table) {
      const old = known.get(row.name.toLowerCase())
      const thing = { ...(old ?? { ...BARE, id: newId() }), ...row }
      if (old && isDeepStrictEqual(old, thing)) continue
      if (old) {
        await transaction.update(things).set(thing).where(eq(things.id, old.id))
        changed += 1
      } else {
        await transaction.insert(things).values(thing)
        added.push(thing.id)
      }
      const change = withoutNoise(row.stock - (old?.stock ?? 0))
      if (old && change === 0) continue
      const move = { thing: thing.id, lesson: null, why: 'imported' as const, change, stock: row.stock, at: new Date() }
      await transaction.insert(moves).values(move)
    }
    return { added: added.length, changed, things: added }
  })
}

/** Changes the stocks by what a lesson used up and broke, once: counting back again replaces the earlier count. */
export async function countBack(database: Database, lesson: string, rows: StockChange[]): Promise<void> {
  await changingSchool(database, async (transaction) => {
    const earlier = await transaction
      .select()
      .from(moves)
      .where(and(eq(moves.lesson, lesson), eq(moves.why, 'counted-back')))
    const before = new Map<string, number>()
    for (const move of earlier) before.set(move.thing, (before.get(move.thing) ?? 0) + move.change)
    const wanted = new Map(rows.map((row) => [row.thing, row]))
    for (const id of new Set([...wanted.keys(), ...before.keys()])) {
      const [thing] = await transaction.select().from(things).where(eq(things.id, id)).for('update')
      if (!thing) continue
      const row = wanted.get(id)
      const stock = Math.max(0, withoutNoise(thing.stock + (row?.change ?? 0) - (before.get(id) ?? 0)))
      await transaction.update(things).set({ stock }).where(eq(things.id, id))
      await transaction.insert(moves).values({
        thing: id,
        lesson,
        why: 'counted-back',
        change: withoutNoise(stock - thing.stock),
        broken: row?.broken ?? 0,
        stock,
        at: new Date(),
      })
    }
  })
}

/** Lessons that were counted back: they book nothing any more. */
export async function countedBack(database: Database): Promise<Set<string>> {
  const rows = await database
    .selectDistinct({ lesson: moves.lesson })
    .from(moves)
    .where(and(isNotNull(moves.lesson), eq(moves.why, 'counted-back')))
  return new Set(rows.map(({ lesson }) => lesson!))
}

export async function heldDaysOf(database: Database): Promise<School['held']> {
  return (await loadSetting<School['held']>(database, HELD)) ?? USUAL_HELD
}

export async function saveHeldDays(database: Database, value: School['held']): Promise<void> {
  await changingSchool(database, (transaction) => saveSetting(transaction, HELD, value))
}

/** How the school writes: its English with its spoons and cups, and its money. */
export async function customsOf(database: Database): Promise<Customs> {
  return (await loadSetting<Customs>(database, CUSTOMS)) ?? USUAL_CUSTOMS
}

export async function saveCustoms(database: Database, value: Customs): Promise<void> {
  await changingSchool(database, (transaction) => saveSetting(transaction, CUSTOMS, value))
}

function toThing({ goneAt: _gone, ...thing }: typeof things.$inferSelect): Thing {
  return thing
}

/** The whole cupboard, what was taken out of it and the latest of what happened, in order. */
export async function listCupboard(database: Database, mostMoves: number): Promise<LibraryFile['cupboard']> {
  const allThings = await database.select().from(things).orderBy(asc(things.name))
  const allMoves = (await database.select().from(moves).orderBy(desc(moves.number)).limit(mostMoves)).reverse()
  return {
    things: allThings.map((thing) => ({ ...thing, goneAt: thing.goneAt?.toISOString() ?? null })),
    moves: allMoves.map(({ number: _number, at, ...move }) => ({ ...move, at: at.toISOString() })),
  }
}

/** Adds a thing that is not here yet, with the beginning of its history; false where it is here. */
export function restoreThing(
  database: Database,
  thing: LibraryFile['cupboard']['things'][number],
  history: LibraryFile['cupboard']['moves'],
): Promise<boolean> {
  return changingSchool(database, async (transaction) => {
    const row = { ...thing, goneAt: thing.goneAt === null ? null : new Date(thing.goneAt) }
    const added = await transaction.insert(things).values(row).onConflictDoNothing().returning({ id: things.id })
    if (added.length > 0) await restoreMoves(transaction, history)
    return added.length > 0
  })
}

/** What happened to a thing; a lesson that is not here is not named. */
export async function restoreMoves(database: Database, history: LibraryFile['cupboard']['moves']): Promise<void> {
  if (history.length === 0) return
  const named = [...new Set(history.flatMap(({ lesson }) => lesson ?? []))]
  const here = new Set(
    named.length === 0
      ? []
      : (await database.select({ id: lessons.id }).from(lessons).where(inArray(lessons.id, named))).map(({ id }) => id),
  )
  await database.insert(moves).values(
    history.map((move) => ({
      ...move,
      lesson: move.lesson !== null && here.has(move.lesson) ? move.lesson : null,
      at: new Date(move.at),
    })),
  )
}
