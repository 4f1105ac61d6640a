import { clearSession, getCookie, unsealSession, useSession, type H3Event, type SessionConfig } from 'h3'
import { useDatabase } from '../database/connection'
import { findDesk } from '../database/desks'
import { classModeIsOn, headPassphrase, sealOfDesk } from './classMode'
import { refusal } from './refusal'

const NAME = 'jolly-beaker-desk'
const A_DAY = 24 * 60 * 60

/** Whose desk a page sits at: a class's own, by its id, or the head desk, which sees everything. */
export interface AtDesk {
  desk: string | null
}

/** What the cookie says; `of` names the passphrase it was opened with, so that another one closes it. */
interface Opened extends AtDesk {
  of: string
}

async function session(): Promise<SessionConfig> {
  return {
    name: NAME,
    password: await sealOfDesk(),
    maxAge: A_DAY,
    // A school's network has no certificates: the cookie has to travel over plain http.
    cookie: { httpOnly: true, sameSite: 'strict', secure: false, path: '/' },
  }
}

/** Without class mode the desk is open, since only this computer reaches it. With it, a page needs the cookie of a passphrase. */
export async function deskOf(event: H3Event): Promise<AtDesk | undefined> {
  if (!(await classModeIsOn())) return { desk: null }
  const sealed = getCookie(event, NAME)
  if (!sealed) return undefined
  const { data } = await unsealSession(event, await session(), sealed).catch(() => ({ data: undefined }))
  const opened = data as Partial<Opened> | undefined
  if (opened?.desk === undefined || opened.of !== (await nameOfPassphrase(opened.desk))) return undefined
  return { desk: opened.desk }
}

export async function requireDesk(event: H3Event): Promise<AtDesk> {
  const at = await deskOf(event)
  if (!at) throw refusal(401, 'desk-closed')
  return at
}

/** What concerns everybody is done at the head desk. */
export async function requireHeadDesk(event: H3Event): Promise<void> {
  if ((await requireDesk(event)).desk !== null) throw refusal(403, 'head-desk-only')
}

/** Gives this browser the cookie. */
export async function openDesk(event: H3Event, desk: string | null): Promise<void> {
  const opened = await useSession<Opened>(event, await session())
  await opened.update({ desk, of: (await nameOfPassphrase(desk)) ?? '' })
}

/** Takes the cookie away from this browser. */
export async function leaveDesk(event: H3Event): Promise<void> {
  if (await classModeIsOn()) await clearSession(event, await session())
}

async function nameOfPassphrase(desk: string | null): Promise<string | undefined> {
  const kept = desk === null ? await headPassphrase() : await findDesk(await useDatabase(), desk)
  return kept?.salt
}
