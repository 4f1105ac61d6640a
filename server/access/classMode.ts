import { randomBytes, scrypt as scryptOf, timingSafeEqual, type ScryptOptions } from 'node:crypto'
import { promisify } from 'node:util'
import { useDatabase } from '../database/connection'
import { loadSetting, saveSetting } from '../database/settings'
import { network } from './network'

interface Stored {
  on: boolean
  /** Of the passphrase, in base 64; the passphrase itself is kept nowhere. */
  salt: string
  hash: string
  /** Seals the desk's cookies; a new one with every passphrase, so that older cookies open nothing. */
  seal: string
}

const NAME = 'class-mode'
const OFF: Stored = { on: false, salt: '', hash: '', seal: '' }
const COST: ScryptOptions = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 }
const LENGTH = 32
const scrypt = promisify(scryptOf) as (password: string, salt: Buffer, length: number, cost: ScryptOptions) => Promise<Buffer>

let loading: Promise<Stored> | undefined

async function current(): Promise<Stored> {
  loading ??= useDatabase().then(async (database) => (await loadSetting<Stored>(database, NAME)) ?? OFF)
  return loading
}

export async function classModeIsOn(): Promise<boolean> {
  return (await current()).on
}

export async function sealOfDesk(): Promise<string> {
  return (await current()).seal
}

/** Opens the network when class mode was on before the server went down. */
export async function resumeClassMode(): Promise<boolean> {
  const { on } = await current()
  if (on) network()?.open()
  return on
}

/** Lets stations in, with a passphrase for the desk from now on. */
export async function turnOn(passphrase: string): Promise<void> {
  const salt = randomBytes(16)
  const hash = await scrypt(normal(passphrase), salt, LENGTH, COST)
  await store({ on: true, salt: salt.toString('base64'), hash: hash.toString('base64'), seal: randomBytes(32).toString('hex') })
  network()?.open()
}

/** This computer only again; every desk elsewhere is closed. */
export async function turnOff(): Promise<void> {
  await store(OFF)
  network()?.close()
}

export async function isPassphrase(passphrase: string): Promise<boolean> {
  const { on, salt, hash } = await current()
  if (!on) return false
  const offered = await scrypt(normal(passphrase), Buffer.from(salt, 'base64'), LENGTH, COST)
  return timingSafeEqual(offered, Buffer.from(hash, 'base64'))
}

async function store(next: Stored): Promise<void> {
  await saveSetting(await useDatabase(), NAME, next)
  loading = Promise.resolve(next)
}

/** The same letters however a keyboard puts them together. */
function normal(passphrase: string): string {
  return passphrase.normalize('NFKC').trim()
}
