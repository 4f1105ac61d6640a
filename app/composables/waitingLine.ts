import { openDB, type IDBPDatabase } from 'idb'

/** Something a group entered that the server does not have yet. */
export interface Waiting {
  id: string
  token: string
  path: string
  body: unknown
}

const TRY_AGAIN_AFTER = 3000
const STORE = 'waiting'
const WORTH_WAITING = ['away', 'internal', 'not-joined']

/**
 * What was entered on this station and is on its way: kept in the browser's own database until the server has it, sent in
 * order, tried again while the line is down. What the server refuses stays, and is said.
 */
export function useWaitingLine() {
  const line = shallowRef<Waiting[]>([])
  const away = ref(false)
  const refused = ref('')
  let store: Promise<IDBPDatabase | undefined> | undefined
  let sending = false
  let timer: ReturnType<typeof setTimeout> | undefined

  function openStore(): Promise<IDBPDatabase | undefined> {
    // Without a store (a private window) the line lives as long as the page.
    store ??= openDB('jolly-beaker-station', 1, {
      upgrade: (database) => void database.createObjectStore(STORE, { keyPath: 'order', autoIncrement: true }),
    }).catch(() => undefined)
    return store
  }

  /** Takes up what an earlier page left behind. */
  async function restore(): Promise<Waiting[]> {
    line.value = ((await (await openStore())?.getAll(STORE)) as Waiting[] | undefined) ?? []
    void send()
    return line.value
  }

  async function add(waiting: Waiting): Promise<void> {
    line.value = [...line.value, waiting]
    await (await openStore())?.add(STORE, waiting).catch(() => undefined)
    void send()
  }

  async function send(): Promise<void> {
    if (sending) return
    sending = true
    clearTimeout(timer)
    for (let first = line.value[0]; first; first = line.value[0]) {
      try {
        await callServer(first.path, { method: 'POST', body: first.body, token: first.token })
        away.value = false
      } catch (error) {
        // What cannot be taken now, a lesson that was put away included, waits; only what can never be taken leaves the line.
        if (error instanceof ServerRefusal && WORTH_WAITING.includes(error.code)) {
          away.value = true
          timer = setTimeout(() => void send(), TRY_AGAIN_AFTER)
          break
        }
        refused.value = messageOf(error)
      }
      await remove(first)
    }
    sending = false
  }

  async function remove(done: Waiting): Promise<void> {
    line.value = line.value.filter((one) => one.id !== done.id)
    const database = await openStore()
    const rows = ((await database?.getAll(STORE)) ?? []) as (Waiting & { order: number })[]
    const row = rows.find((one) => one.id === done.id)
    if (row) await database!.delete(STORE, row.order)
  }

  onBeforeUnmount(() => clearTimeout(timer))
  return { line, away, refused, restore, add, send }
}
