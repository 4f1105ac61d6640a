import { existsSync } from 'node:fs'
import { Worker } from 'node:worker_threads'
import { EVERY_KIND, rowsOf, type LessonRecord } from '../../core/lesson'
import { judgedOf, type Judged } from '../../core/lists'
import { JUDGE } from '../database/madeBy'
import type { JudgeAnswer, JudgeQuestion, JudgeRows } from '../workers/judge'

type Asked = Omit<JudgeQuestion, 'number'> & { record: LessonRecord }

const AT_ONCE = 500

let worker: Worker | undefined
let last = 0
const waiting = new Map<number, { resolve(judged: Judged): void; reject(error: Error): void }>()

/** How ready a lesson is and what came of it, worked out beside the server; where nothing is built (in development), in it. */
export async function judge(asked: Asked): Promise<Judged> {
  if (!existsSync(JUDGE)) return judgedOf(asked.plan, asked.record, asked.school)
  worker ??= start()
  const number = (last += 1)
  const own = worker
  const judged = new Promise<Judged>((resolve, reject) => waiting.set(number, { resolve, reject }))
  const { record, ...rest } = asked
  // A long record goes over piece by piece: others are heard between.
  for (const kind of EVERY_KIND)
    for (let from = 0, rows = rowsOf(record, kind); from < rows.length; from += AT_ONCE) {
      own.postMessage({ number, list: kind.list, rows: rows.slice(from, from + AT_ONCE) } satisfies JudgeRows)
      if (rows.length > AT_ONCE) await new Promise((heard) => setImmediate(heard))
    }
  own.postMessage({ number, ...rest } satisfies JudgeQuestion)
  return judged
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
