import { closeSync, existsSync, fstatSync, openSync, readSync } from 'node:fs'
import { join } from 'node:path'
import type { PGlite } from '@electric-sql/pglite'
import { ROW_KINDS } from '../../../core/lesson'

const PAGE = 8192

interface Table {
  name: string
  file: string
  keyFile: string | null
  key: string[]
  toast: string | null
}

/**
 * Reads all tables through once and answers what is damaged: the first thing that is wrong, in the words of the database, or nothing.
 * Every page is read, so that its checksum is looked at; rows are counted by their places and by their keys; what points to other
 * rows finds them. Pages that a damaged disk gave back empty are looked for in the files, since the database takes them for new ones.
 */
export async function findDamage(client: PGlite, cluster: string): Promise<string | undefined> {
  try {
    await client.exec('set enable_bitmapscan = off; set enable_indexonlyscan = off')
    for (const table of await listTables(client)) {
      const damage = await damageOf(client, cluster, table)
      if (damage) return damage
    }
    return await lostRows(client)
  } catch (error) {
    return error instanceof Error ? error.message : String(error)
  } finally {
    await client.exec('reset enable_bitmapscan; reset enable_indexonlyscan; reset enable_seqscan').catch(() => undefined)
  }
}

async function listTables(client: PGlite): Promise<Table[]> {
  const { rows } = await client.query<Table>(`
    select c.relname as name, pg_relation_filepath(c.oid) as file, pg_relation_filepath(i.indexrelid) as "keyFile",
      nullif(c.reltoastrelid, 0)::regclass::text as toast,
      coalesce((select array_agg(a.attname::text) from pg_attribute a where a.attrelid = c.oid and a.attnum = any(i.indkey::int2[])), '{}') as key
    from pg_class c left join pg_index i on i.indrelid = c.oid and i.indisprimary
    where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace order by c.relname`)
  return rows
}

async function damageOf(client: PGlite, cluster: string, { name, file, keyFile, key, toast }: Table): Promise<string | undefined> {
  const empty = emptyPages(join(cluster, file))
  const keyed = keyFile !== null && pageIsWritten(join(cluster, keyFile), 1)
  if (empty === 'between' || (empty === 'all' && keyed)) return `the table ${name} has pages without anything in them`
  const count = async (query: string) => Number((await client.query<{ count: number }>(query)).rows[0]!.count)
  await client.exec('set enable_seqscan = on')
  const places = await count(`select count(*)::int as count from "${name}"`)
  if (toast) await count(`select count(chunk_data is null)::int as count from ${toast}`)
  if (key.length === 0) return undefined
  await client.exec('set enable_seqscan = off')
  const columns = key.map((column) => `"${column}"`).join(', ')
  const byKey = await count(
    `select count(place)::int as count from (select ctid as place from "${name}" order by ${columns} offset 0) t`,
  )
  if (toast)
    await count(
      `select count(place)::int as count from (select ctid as place from ${toast} order by chunk_id, chunk_seq offset 0) t`,
    )
  return places === byKey ? undefined : `the table ${name} has ${places} rows and ${byKey} keys`
}

/** Does the damage lie in a file of keys, and not in a table. */
export async function isOnlyAKey(client: PGlite, damage: string): Promise<boolean> {
  const [, file] = /"(base\/\d+\/\d+)"/.exec(damage) ?? []
  if (file === undefined) return false
  const { rows } = await client.query<{ count: number }>(
    `select count(*)::int as count from pg_class
    where relkind = 'i' and relnamespace = 'public'::regnamespace and pg_relation_filepath(oid) = $1`,
    [file],
  )
  return rows[0]!.count > 0
}

/** Makes all keys anew from their tables; false where a table cannot be read. */
export async function remakeKeys(client: PGlite): Promise<boolean> {
  try {
    for (const { name } of await listTables(client)) await client.exec(`reindex table "${name}"`)
    return true
  } catch {
    return false
  }
}

/** Every row belongs to a lesson, and every row that was announced is there. */
async function lostRows(client: PGlite): Promise<string | undefined> {
  await client.exec('set enable_seqscan = on')
  const { rows: there } = await client.query<{ name: string }>(
    `select tablename as name from pg_tables where schemaname = 'public'`,
  )
  const tables = new Set(there.map(({ name }) => name))
  for (const { kind, list } of Object.values(ROW_KINDS)) {
    if (!tables.has(list) || !tables.has('events')) continue
    const { rows } = await client.query<{ count: number }>(`
      select count(*)::int as count from events e
      where e.body->>'kind' = '${kind}' and not exists (select 1 from "${list}" r where r.id = (e.body->'${kind}'->>'id')::uuid)`)
    if (rows[0]!.count > 0) return `the table ${list} has lost ${rows[0]!.count} rows`
  }
  for (const name of ['events', 'summaries', ...Object.values(ROW_KINDS).map(({ list }) => list)]) {
    if (!tables.has(name)) continue
    const { rows } = await client.query<{ count: number }>(
      `select count(*)::int as count from "${name}" r where not exists (select 1 from lessons l where l.id = r.lesson)`,
    )
    if (rows[0]!.count > 0) return `the table lessons has lost what ${rows[0]!.count} rows of ${name} belong to`
  }
  return undefined
}

/** Pages of zeros: none, only at the end (as a cut-off write leaves them), all, or before others. */
function emptyPages(path: string): 'none' | 'at the end' | 'all' | 'between' {
  if (!existsSync(path)) return 'none'
  const file = openSync(path, 'r')
  try {
    const pages = Math.ceil(fstatSync(file).size / PAGE)
    const page = Buffer.alloc(PAGE)
    let [empty, written] = [0, 0]
    for (let number = 0; number < pages; number += 1) {
      readSync(file, page, 0, PAGE, number * PAGE)
      if (page.every((byte) => byte === 0)) empty += 1
      else if (empty > 0) return 'between'
      else written += 1
    }
    if (empty === 0) return 'none'
    return written === 0 ? 'all' : 'at the end'
  } finally {
    closeSync(file)
  }
}

function pageIsWritten(path: string, number: number): boolean {
  if (!existsSync(path)) return false
  const file = openSync(path, 'r')
  try {
    const page = Buffer.alloc(PAGE)
    return readSync(file, page, 0, PAGE, number * PAGE) > 0 && page.some((byte) => byte !== 0)
  } finally {
    closeSync(file)
  }
}
