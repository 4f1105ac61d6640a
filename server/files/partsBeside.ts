import { existsSync } from 'node:fs'
import { Worker } from 'node:worker_threads'
import { refusal, Refusal } from '../access/refusal'
import { builtScript } from '../database/built'
import { answerOf, type PartAnswer, type PartQuestion } from './partsAnswer'
import type { FilePart, FileTask, Wanted } from './parts'

const READER = builtScript('parts')
/** For the next part to come. */
const LONGEST = 60_000
const MOST_MEMORY = 1536
const CHUNKS_AT_ONCE = 20

/** One file after the other: a second one waits until the first is in its place. */
let last: Promise<unknown> = Promise.resolve()

/**
 * Reads a file in a thread of its own and has each of its parts stored before the next one is read, so that what waits to be stored is small whatever the file holds.
 * @param store answers what it wants next
 * @throws Refusal where the file is none of ours, or not whole
 */
export function storeParts(task: FileTask, bytes: Uint8Array[], store: (part: FilePart) => Promise<Wanted>): Promise<void> {
  const own = last.catch(() => undefined).then(() => storeAll(task, bytes, store))
  last = own
  return own
}

async function storeAll(task: FileTask, bytes: Uint8Array[], store: (part: FilePart) => Promise<Wanted>): Promise<void> {
  const reader = await openReader(task, bytes)
  try {
    let wanted: Wanted = 'next'
    for (;;) {
      const answer = await reader.ask(wanted)
      if ('refused' in answer) throw new Refusal(answer.refused.status, answer.refused.body)
      if ('end' in answer) return
      wanted = await store(answer.part)
      await new Promise((heard) => setImmediate(heard))
    }
  } finally {
    reader.end()
  }
}

interface Reader {
  ask(wanted: Wanted): Promise<PartAnswer>
  end(): void
}

/** Where nothing is built (in development) it is read here. */
async function openReader(task: FileTask, bytes: Uint8Array[]): Promise<Reader> {
  if (!existsSync(READER)) {
    const answer = answerOf(task, Buffer.concat(bytes))
    return { ask: (wanted) => Promise.resolve(answer(wanted)), end: () => undefined }
  }
  const worker = new Worker(READER, { resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY } })
  for (const [place, chunk] of bytes.entries()) {
    // What arrived is handed over; a chunk that shares its memory with others is copied.
    const whole =
      chunk.byteLength === chunk.buffer.byteLength ? new Uint8Array(chunk.buffer as ArrayBuffer) : Uint8Array.from(chunk)
    worker.postMessage({ chunk: whole } satisfies PartQuestion, [whole.buffer])
    if (place % CHUNKS_AT_ONCE === 0) await new Promise((heard) => setImmediate(heard))
  }
  bytes.length = 0
  let begun = false
  return {
    ask: (wanted) =>
      new Promise((resolve, reject) => {
        const tooLarge = () => reject(refusal(400, 'file-too-much'))
        const timer = setTimeout(tooLarge, LONGEST)
        const failed = (error: NodeJS.ErrnoException) => {
          clearTimeout(timer)
          if (error.code === 'ERR_WORKER_OUT_OF_MEMORY') tooLarge()
          else reject(error)
        }
        worker.once('error', failed)
        worker.once('message', (answer: PartAnswer) => {
          clearTimeout(timer)
          worker.off('error', failed)
          resolve(answer)
        })
        worker.postMessage((begun ? { wanted } : { task }) satisfies PartQuestion)
        begun = true
      }),
    end: () => void worker.terminate(),
  }
}
