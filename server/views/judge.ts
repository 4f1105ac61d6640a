import { existsSync } from 'node:fs'
import { Worker } from 'node:worker_threads'
import { judgedOf, type Judged } from '../../core/wording/reports'
import { JUDGE } from '../database/madeBy'
import type { JudgeAnswer, JudgeQuestion } from '../workers/judge'

type Asked = Omit<JudgeQuestion, 'number'>

let worker: Worker | undefined
let last = 0
const waiting = new Map<number, { resolve(judged: Judged): void; reject(error: Error): void }>()

/** How ready a lesson is and what came of it, worked out beside the server; where nothing is built (in development), in it. */
export async function judge(asked: Asked): Promise<Judged> {
  if (!existsSync(JUDGE)) return judgedOf(asked.plan, asked.record, asked.school)
  worker ??= start()
  const number = (last += 1)
  return new Promise((resolve, reject) => {
    waiting.set(number, { resolve, reject })
    worker!.postMessage({ number, ...asked } satisfies JudgeQuestion)
  })
}

function start(): Worker {
  const started = new Worker(JUDGE)
  started.unref()
  started.on('message', (answer: JudgeAnswer) => {
    const asker = waiting.get(answer.number)
    waiting.delete(answer.number)
    if ('judged' in answer) asker?.resolve(answer.judged)
    else asker?.reject(new Error(answer.failed))
  })
  started.on('error', (error) => giveUp(started, error))
  started.on('exit', () => giveUp(started, new Error('The judge stopped.')))
  return started
}

/** Whoever waits is told, once; the next question starts another worker. */
function giveUp(stopped: Worker, error: Error): void {
  if (worker !== stopped) return
  worker = undefined
  for (const { reject } of waiting.values()) reject(error)
  waiting.clear()
}
