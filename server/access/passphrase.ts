import { randomBytes, scrypt as scryptOf, timingSafeEqual, type ScryptOptions } from 'node:crypto'
import { promisify } from 'node:util'

/** What is kept of a passphrase, in base 64; the passphrase itself is kept nowhere. */
export interface KeptPassphrase {
  salt: string
  hash: string
}

const COST: ScryptOptions = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 }
const LENGTH = 32
const scrypt = promisify(scryptOf) as (password: string, salt: Buffer, length: number, cost: ScryptOptions) => Promise<Buffer>

export async function keptOf(passphrase: string): Promise<KeptPassphrase> {
  const salt = randomBytes(16)
  const hash = await scrypt(normal(passphrase), salt, LENGTH, COST)
  return { salt: salt.toString('base64'), hash: hash.toString('base64') }
}

export async function isRight(passphrase: string, { salt, hash }: KeptPassphrase): Promise<boolean> {
  const offered = await scrypt(normal(passphrase), Buffer.from(salt, 'base64'), LENGTH, COST)
  return timingSafeEqual(offered, Buffer.from(hash, 'base64'))
}

/** The same letters however a keyboard puts them together. */
function normal(passphrase: string): string {
  return passphrase.normalize('NFKC').trim()
}
