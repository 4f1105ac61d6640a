import { parentPort } from 'node:worker_threads'
import type { School } from '../../core/kit'
import type { LessonRecord, Plan } from '../../core/lesson'
import { judgedOf, type Judged } from '../../core/wording/reports'

export interface JudgeQuestion {
  number: number
  plan: Plan
  record: LessonRecord
  school: School
}

export type JudgeAnswer = { number: number } & ({ judged: Judged } | { failed: string })

/** Judges one lesson after the other, beside the server, so that no station waits for it. */
parentPort!.on('message', ({ number, plan, record, school }: JudgeQuestion) => {
  let answer: JudgeAnswer
  try {
    answer = { number, judged: judgedOf(plan, record, school) }
  } catch (error) {
    answer = { number, failed: String(error) }
  }
  parentPort!.postMessage(answer)
})
