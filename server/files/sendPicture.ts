import { setResponseHeaders, type H3Event } from 'h3'
import { notFound } from '../access/refusal'
import type { Database } from '../database/open'
import { findPicture } from '../database/pictures'

/** One picture of a lesson. Its id never stands for another one, so that it may be kept by the browser. */
export async function sendPicture(event: H3Event, database: Database, lesson: string, id: string): Promise<Buffer> {
  const picture = await findPicture(database, lesson, id)
  if (!picture) throw notFound('picture')
  setResponseHeaders(event, {
    'content-type': picture.type,
    'content-security-policy': "default-src 'none'",
    'x-content-type-options': 'nosniff',
    'cache-control': 'private, max-age=86400, immutable',
  })
  return Buffer.from(picture.bytes)
}
