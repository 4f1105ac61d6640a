import { existsSync } from 'node:fs'
import { Worker } from 'node:worker_threads'
import { refusal } from '../access/refusal'
import { builtScript } from '../database/built'
import { readFile, type ReadingAnswers, type ReadingTask } from './reading'

const READER = builtScript('reading')
const LONGEST = 10_000
const MOST_MEMORY = 768
const MOST_AT_ONCE = 2

let atWork = 0
const waiting: (() => void)[] = []

/** Reads a file in a thread of its own, with bounds on time and memory; where nothing is built (in development), here. */
export async function readBeside<Task extends ReadingTask['task']>(
  task: Extract<ReadingTask, { task: Task }>,
): Promise<ReadingAnswers[Task]> {
  if (!existsSync(READER)) return readFile(task) as Promise<ReadingAnswers[Task]>
  while (atWork >= MOST_AT_ONCE) await new Promise<void>((free) => waiting.push(free))
  atWork += 1
  try {
    return (await answerOf(task)) as ReadingAnswers[Task]
  } finally {
    atWork -= 1
    waiting.shift()?.()
  }
}

function answerOf(task: ReadingTask): Promise<unknown> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(READER, { workerData: task, resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY } })
    const end = (become: () => void) => {
      clearTimeout(timer)
      become()
      void worker.terminate()
    }
    const tooLarge = () => reject(refusal(400, 'table-too-large'))
    const timer = setTimeout(() => end(tooLarge), LONGEST)
    worker.once('message', (answer) => end(() => resolve(answer)))
    worker.once('error', (error: NodeJS.ErrnoException) =>
      end(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooLarge : () => reject(error)),
    )
  })
}
