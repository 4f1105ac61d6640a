import type { H3Event } from 'h3'
import { refusal } from './refusal'
import { isSuspicious, unstorable } from './storable'

/** Whoever has neither passphrase nor token sends a code, a name, a passphrase. */
const LIMITS = { open: 4000, plain: 2_000_000, picture: 5_000_000, table: 15_000_000, file: 100_000_000, library: 500_000_000 }
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
  const place = isSuspicious(text) ? unstorable(body) : undefined
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

/** The same as it came, for whoever reads it beside the server. */
export function readChunks(event: H3Event, kind: BodyKind): Promise<Uint8Array[]> {
  return chunksUpTo(event, LIMITS[kind])
}

async function readUpTo(event: H3Event, limit: number): Promise<Buffer> {
  return Buffer.concat(await chunksUpTo(event, limit))
}

async function chunksUpTo(event: H3Event, limit: number): Promise<Buffer[]> {
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size <= limit) chunks.push(chunk)
    else chunks.length = 0
  }
  if (size > limit) throw refusal(413, 'too-large', undefined, { megabytes: limit / 1_000_000 })
  return chunks
}
