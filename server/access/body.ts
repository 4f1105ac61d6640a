import type { H3Event } from 'h3'
import { refusal } from './refusal'
import { unstorable } from './storable'

const LIMITS = { plain: 2_000_000, picture: 5_000_000, table: 15_000_000, file: 100_000_000, library: 500_000_000 }
export type BodyKind = keyof typeof LIMITS

/**
 * Reads a JSON body of bounded size. Text that a database cannot hold (a NUL, half a surrogate pair) is refused here, so that it
 * never gets further.
 */
export async function readJsonBody(event: H3Event, kind: BodyKind): Promise<unknown> {
  const text = await readText(event, LIMITS[kind])
  let body: unknown
  try {
    body = JSON.parse(text)
  } catch {
    throw refusal(400, 'not-json')
  }
  const place = unstorable(body)
  if (place !== undefined) throw refusal(400, 'bad-text', place)
  return body
}

async function readText(event: H3Event, limit: number): Promise<string> {
  return (await readUpTo(event, limit)).toString('utf8')
}

/** A body of bytes of bounded size. */
export function readBytes(event: H3Event, kind: BodyKind): Promise<Buffer> {
  return readUpTo(event, LIMITS[kind])
}

async function readUpTo(event: H3Event, limit: number): Promise<Buffer> {
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size <= limit) chunks.push(chunk)
    else chunks.length = 0
  }
  if (size > limit) throw refusal(413, 'too-large', undefined, { megabytes: limit / 1_000_000 })
  return Buffer.concat(chunks)
}
