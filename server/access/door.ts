import { getCookie, unsealSession, useSession, type H3Event, type SessionConfig } from 'h3'
import { classModeIsOn, sealOfDesk } from './classMode'
import { refusal } from './refusal'

const NAME = 'jolly-beaker-desk'
const A_DAY = 24 * 60 * 60

async function session(): Promise<SessionConfig> {
  return {
    name: NAME,
    password: await sealOfDesk(),
    maxAge: A_DAY,
    // A school's network has no certificates: the cookie has to travel over plain http.
    cookie: { httpOnly: true, sameSite: 'strict', secure: false, path: '/' },
  }
}

/** Without class mode the desk is open, since only this computer reaches it. With it, a page needs the cookie of the passphrase. */
export async function mayUseDesk(event: H3Event): Promise<boolean> {
  if (!(await classModeIsOn())) return true
  const sealed = getCookie(event, NAME)
  if (!sealed) return false
  const { data } = await unsealSession(event, await session(), sealed).catch(() => ({ data: undefined }))
  return (data as { desk?: boolean } | undefined)?.desk === true
}

export async function requireDesk(event: H3Event): Promise<void> {
  if (await mayUseDesk(event)) return
  throw refusal(401, 'desk-closed')
}

/** Gives this browser the cookie. */
export async function openDesk(event: H3Event): Promise<void> {
  const opened = await useSession<{ desk: boolean }>(event, await session())
  await opened.update({ desk: true })
}
