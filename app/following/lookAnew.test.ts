import { expect, it } from 'vitest'
import { later, madeClock } from '../../test/madeClock'
import { ServerRefusal } from './callServer'
import { lookAnew } from './lookAnew'

/** A whole that is counted up at the server, and which answers when the test says so. */
function page() {
  const clock = madeClock()
  const answers: ReturnType<typeof later<number>>[] = []
  const shown: unknown[] = []
  const load = () => {
    const answer = later<number>()
    answers.push(answer)
    return answer.promise
  }
  const anew = lookAnew<number, string>(
    load,
    (whole, meanwhile) => shown.push([whole, ...meanwhile]),
    () => shown.push('refused'),
    clock,
  )
  return { clock, answers, shown, anew }
}

it('a whole that is asked for while it is on its way is loaded once more, and has what was heard meanwhile', async () => {
  const { clock, answers, shown, anew } = page()
  const asked = [anew.ask(), anew.ask(), anew.ask()]
  anew.heard(['a reading'])
  answers[0]!.keep(1)
  await clock.pass(0)
  anew.heard(['another'])
  answers[1]!.keep(2)
  await Promise.all(asked)
  expect([answers.length, ...shown]).toEqual([2, [1, 'a reading'], [2, 'another']])
})

it('is asked for again while the server is away, not once it was refused, and not after the end', async () => {
  const { clock, answers, shown, anew } = page()
  void anew.ask()
  answers[0]!.fail(new ServerRefusal('away', 'away'))
  await clock.pass(3100)
  answers[1]!.fail(new ServerRefusal('away', 'away'))
  await clock.pass(3100)
  answers[2]!.fail(new ServerRefusal('not-found', 'gone'))
  await clock.pass(60_000)
  expect([answers.length, ...shown]).toEqual([3, 'refused'])
  void anew.ask()
  anew.end()
  answers[3]!.keep(4)
  await clock.pass(60_000)
  expect([answers.length, ...shown]).toEqual([4, 'refused'])
})
