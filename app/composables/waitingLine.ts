import { openDB, type IDBPDatabase } from 'idb'

/** Something a group entered that the server does not have yet. */
export interface Waiting {
  id: string
  token: string
  path: string
  body: unknown
  /** When it was entered, by this device's clock. */
  since: number
}

const TRY_AGAIN_AFTER = 3000
const WAITING = 'waiting'
const REFUSED = 'refused'
const WORTH_WAITING = ['away', 'internal', 'not-joined', 'locked', 'slow-down']

/**
 * What was entered on this station and is on its way: kept in the browser's own database until the server has it, sent in
 * order, tried again while the line is down. What the server refuses for good is kept beside it and said.
 */
export function useWaitingLine() {
  const line = shallowRef<Waiting[]>([])
  const refused = shallowRef<(Waiting & { why: string })[]>([])
  const away = ref(false)
  let store: Promise<IDBPDatabase | undefined> | undefined
  let sending = false
  let timer: ReturnType<typeof setTimeout> | undefined

  function openStore(): Promise<IDBPDatabase | undefined> {
    // Without a store (a private window) the line lives as long as the page.
    store ??= openDB('jolly-beaker-station', 2, {
      upgrade: (database) => {
        for (const name of [WAITING, REFUSED])
          if (!database.objectStoreNames.contains(name)) database.createObjectStore(name, { keyPath: 'order', autoIncrement: true })
      },
    }).catch(() => undefined)
    return store
  }

  /** Takes up what an earlier page left behind. */
  async function restore(): Promise<Waiting[]> {
    const database = await openStore()
    const [kept, turnedDown] = await Promise.all([database?.getAll(WAITING), database?.getAll(REFUSED)])
    line.value = (kept as Waiting[] | undefined) ?? []
    refused.value = (turnedDown as typeof refused.value | undefined) ?? []
    void send()
    return line.value
  }

  async function add(waiting: Omit<Waiting, 'since'>): Promise<void> {
    const whole = { ...waiting, since: Date.now() }
    line.value = [...line.value, whole]
    await (await openStore())?.add(WAITING, whole).catch(() => undefined)
    void send()
  }

  /** Under a new token for the same lesson and group, what waits for the old one goes on its way. */
  async function underToken(old: string, token: string): Promise<void> {
    const database = await openStore()
    line.value = line.value.map((one) => (one.token === old ? { ...one, token } : one))
    for (const row of ((await database?.getAll(WAITING)) ?? []) as Waiting[])
      if (row.token === old) await database!.put(WAITING, { ...row, token })
  }

  async function send(): Promise<void> {
    if (sending) return
    sending = true
    clearTimeout(timer)
    away.value = false
    // What one station cannot send now holds up its own later entries, to keep their order, and nobody else's.
    const held = new Set<string>()
    for (;;) {
      const next = line.value.find(({ token }) => !held.has(token))
      if (!next) break
      const why = await sendOne(next)
      if (why === undefined) await remove(next)
      else if (why.waits) {
        held.add(next.token)
        away.value ||= why.away
      } else await keepRefused(next, why.message)
    }
    sending = false
    if (held.size > 0) timer = setTimeout(() => void send(), TRY_AGAIN_AFTER)
  }

  async function sendOne(one: Waiting): Promise<{ waits: boolean; away: boolean; message: string } | undefined> {
    try {
      await callServer(one.path, { method: 'POST', body: one.body, token: one.token, waited: Date.now() - one.since })
      return undefined
    } catch (error) {
      const code = error instanceof ServerRefusal ? error.code : 'internal'
      return { waits: WORTH_WAITING.includes(code), away: code === 'away', message: messageOf(error) }
    }
  }

  async function keepRefused(one: Waiting, why: string): Promise<void> {
    refused.value = [...refused.value, { ...one, why }]
    await (await openStore())?.add(REFUSED, { id: one.id, token: one.token, path: one.path, body: one.body, since: one.since, why })
    await remove(one)
  }

  /** The teacher has seen what was refused. */
  async function clearRefused(): Promise<void> {
    refused.value = []
    await (await openStore())?.clear(REFUSED)
  }

  async function remove(done: Waiting): Promise<void> {
    line.value = line.value.filter((one) => one.id !== done.id)
    const database = await openStore()
    const rows = ((await database?.getAll(WAITING)) ?? []) as (Waiting & { order: number })[]
    const row = rows.find((one) => one.id === done.id)
    if (row) await database!.delete(WAITING, row.order)
  }

  onBeforeUnmount(() => clearTimeout(timer))
  return { line, away, refused, restore, add, send, underToken, clearRefused }
}
