import { randomBytes } from 'node:crypto'
import { useDatabase } from '../database/connection'
import { announce, hear } from '../database/hearing'
import { Known } from '../database/known'
import { loadSetting, saveSetting } from '../database/settings'
import { network } from './network'
import { keptOf, type KeptPassphrase } from './passphrase'

interface Stored extends KeptPassphrase {
  on: boolean
  /** Seals the desks' cookies; a new one with every passphrase of the head desk, so that older cookies open nothing. */
  seal: string
}

const NAME = 'class-mode'
const OFF: Stored = { on: false, salt: '', hash: '', seal: '' }
const known = new Known<Stored>()

async function current(): Promise<Stored> {
  return (await known.find(NAME, async () => (await loadSetting<Stored>(await useDatabase(), NAME)) ?? OFF))!
}

export async function classModeIsOn(): Promise<boolean> {
  return (await current()).on
}

export async function sealOfDesk(): Promise<string> {
  return (await current()).seal
}

/** The passphrase of the head desk, as it is kept. */
export async function headPassphrase(): Promise<KeptPassphrase | undefined> {
  const { on, salt, hash } = await current()
  return on ? { salt, hash } : undefined
}

/** Opens the network when class mode is on, as it was before the server went down or as another process has it. */
export async function resumeClassMode(): Promise<boolean> {
  const { on } = await current()
  if (on) network()?.open()
  else network()?.close()
  return on
}

/** Lets stations in, with a passphrase for the head desk from now on. */
export async function turnOn(passphrase: string): Promise<void> {
  await store({ on: true, ...(await keptOf(passphrase)), seal: randomBytes(32).toString('hex') })
}

/** This computer only again; every desk elsewhere is closed. */
export async function turnOff(): Promise<void> {
  await store(OFF)
}

async function store(next: Stored): Promise<void> {
  const database = await useDatabase()
  await saveSetting(database, NAME, next)
  known.forget(NAME)
  await resumeClassMode()
  await announce(database, { what: 'access' })
}

hear(({ what }) => {
  if (what === 'access') void resumeClassMode().catch(() => undefined)
})
