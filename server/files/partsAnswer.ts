import { Refusal } from '../access/refusal'
import { partsOf, type FilePart, type FileTask, type Wanted } from './parts'

/** What the thread that reads a file is told: its bytes, what to make of them, and which part is wanted. */
export type PartQuestion = { chunk: Uint8Array } | { task: FileTask } | { wanted: Wanted }

/** A part, that there is none left, or why the file is refused. */
export type PartAnswer = { part: FilePart } | { end: true } | { refused: Pick<Refusal, 'status' | 'body'> }

/** Answers part by part. */
export function answerOf(task: FileTask, bytes: Uint8Array): (wanted: Wanted) => PartAnswer {
  const parts = partsOf(task, bytes)
  return (wanted) => {
    try {
      const { done, value } = parts.next(wanted)
      return done ? { end: true } : { part: value }
    } catch (error) {
      if (!(error instanceof Refusal)) throw error
      return { refused: { status: error.status, body: error.body } }
    }
  }
}
