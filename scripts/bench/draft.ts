import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { draftOf, fitDraft, readLine } from '../../core/draft'
import { emptyPlan } from '../../core/lesson'
import { milliseconds, timeOf, type Row, type Size } from './figures'

const LINE_MOST = 30
const DRAFT_MOST = 1000
const LONGEST = 'which, or and does how many a longer than 1, 2 and 3 cm: '.repeat(70).slice(0, 4000)

/** From one line to a draft: reading it, the draft of it, and whether it fits; the reference is finding its words alone. */
export async function benchDraft(size: Size): Promise<Row[]> {
  const lines = ['oneLine', 'wonderings'].flatMap(
    (name) => JSON.parse(readFileSync(`test/golden/${name}.json`, 'utf8')) as { text: string }[],
  )
  const rounds = size === 'full' ? lines.length : 5
  const line = (round: number) => `${lines[round % lines.length]!.text} ${round}`
  const begun = emptyPlan('Puffin', 26, randomUUID)
  const words = await timeOf((round) => line(round).match(/\p{L}+/gu), rounds)
  const read = await timeOf((round) => readLine(line(round)), rounds)
  const pasted = await timeOf((round) => readLine(`${round} ${LONGEST}`), 5)
  const whole = await timeOf((round) => {
    const draft = draftOf(line(round), {}, begun, randomUUID)
    return draft && fitDraft(draft)
  }, rounds)
  const reference = `${milliseconds(words)} to find its words`
  return [
    { what: 'one line read', figure: milliseconds(read), wanted: `under ${LINE_MOST} ms`, reference, missed: read > LINE_MOST },
    {
      what: 'a page of 4,000 letters',
      figure: milliseconds(pasted),
      wanted: `under ${LINE_MOST} ms`,
      reference,
      missed: pasted > LINE_MOST,
    },
    {
      what: 'a draft that fits its time',
      figure: milliseconds(whole),
      wanted: `under ${DRAFT_MOST} ms`,
      reference,
      missed: whole > DRAFT_MOST,
    },
  ]
}
