import { openDB, type IDBPDatabase } from 'idb'
import { EVERY_KIND } from '~~/core/lesson'
import type { Kept, Refused, Waiting, WaitingStore } from './waitingLine'

const WAITING = 'waiting'
const REFUSED = 'refused'
const SENT = 'sent'
type Stored<T> = T & { order: number }

/** The browser's own database. Without one (a private window) the line lives as long as the page. */
export function waitingStore(): WaitingStore {
  let opening: Promise<IDBPDatabase | undefined> | undefined
  const open = () => {
    opening ??= openDB('jolly-beaker-station', 3, {
      upgrade: (database) => {
        for (const name of [WAITING, REFUSED, SENT])
          if (!database.objectStoreNames.contains(name)) database.createObjectStore(name, { keyPath: 'order', autoIncrement: true })
      },
    }).catch(() => undefined)
    return opening
  }
  const all = async <T>(name: string) => ((await (await open())?.getAll(name)) ?? []) as Stored<T>[]

  return {
    load: async () => ({
      line: (await all<Waiting>(WAITING)).map(withKind),
      refused: (await all<Refused>(REFUSED)).map(withKind),
    }),
    add: async (waiting) => void (await (await open())?.add(WAITING, waiting).catch(() => undefined)),
    remove: async (id) => {
      const row = (await all<Waiting>(WAITING)).find((one) => one.id === id)
      if (row) await (await open())!.delete(WAITING, row.order)
    },
    refuse: async (refused) => {
      const { order: _order, ...row } = refused as Stored<Refused>
      await (await open())?.add(REFUSED, row).catch(() => undefined)
    },
    rename: async (old, token) => {
      for (const name of [WAITING, SENT])
        for (const row of await all<Waiting>(name)) if (row.token === old) await (await open())!.put(name, { ...row, token })
    },
    keep: async (sent) => {
      const same = (await all<Kept>(SENT)).find(({ id }) => id === sent.id)
      const { order: _order, ...row } = sent as Stored<Kept>
      if (!same) await (await open())?.add(SENT, row).catch(() => undefined)
    },
    kept: async (token) =>
      (await all<Kept>(SENT)).filter((row) => row.token === token).map(({ order: _order, ...row }) => row as Kept),
    letGo: async (before) => {
      for (const row of await all<Kept>(SENT)) if (row.sent < before) await (await open())!.delete(SENT, row.order)
    },
    clearRefused: async () => void (await (await open())?.clear(REFUSED)),
  }
}

/** An entry of an earlier version was kept with the address it was to go to instead of its kind. */
export function withKind<T extends Waiting>(entry: T & { path?: string }): T {
  if (entry.path === undefined) return entry
  const list = entry.path.split('/').at(-1)
  return { ...entry, kind: EVERY_KIND.find((kind) => kind.list === list)?.kind ?? 'picture', path: undefined }
}
