import { parentPort } from 'node:worker_threads'
import type { School } from '../../core/kit'
import { recordOf, type AnyRow, type ListName, type Plan } from '../../core/lesson'
import { judgedOf, type Judged } from '../../core/lists'

/** Some rows of the record that a question is about; they come before it. */
export interface JudgeRows {
  number: number
  list: ListName
  rows: AnyRow[]
}

export interface JudgeQuestion {
  number: number
  plan: Plan
  school: School
}

export type JudgeAnswer = { number: number } & ({ judged: Judged } | { failed: string })

const records = new Map<number, Map<string, AnyRow[]>>()

/** Judges one lesson after the other, beside the server, so that no station waits for it. */
parentPort!.on('message', (message: JudgeRows | JudgeQuestion) => {
  const { number } = message
  const rows = records.get(number) ?? new Map<string, AnyRow[]>()
  if ('rows' in message) {
    records.set(number, rows.set(message.list, [...(rows.get(message.list) ?? []), ...message.rows]))
    return
  }
  records.delete(number)
  let answer: JudgeAnswer
  try {
    answer = {
      number,
      judged: judgedOf(
        message.plan,
        recordOf(({ list }) => rows.get(list) ?? []),
        message.school,
      ),
    }
  } catch (error) {
    answer = { number, failed: String(error) }
  }
  parentPort!.postMessage(answer)
})
