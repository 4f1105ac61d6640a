import type { Plan } from '../../core/lesson'
import type { JoinView } from '../../schemas/contract'
import { deskAt, runningAt, sleep, type Desk } from '../races'

export interface Changed {
  /** Times that a plan was saved, groups were split off, and questions of their own were asked. */
  saved: number
  splits: number
  questions: number
}

const EVERY = 900
const LONGEST = 240_000

/**
 * A teacher who cannot leave it alone: saves the plan again and again and, where lessons run together, splits groups off and joins them again and lets them ask their own questions,
 * while everybody writes. At the end everything is joined again.
 */
export async function keepChanging(
  bases: string[],
  cookie: Record<string, string>,
  { ids, together }: { ids: string[]; together: string | undefined },
  goesOn: () => boolean,
): Promise<Changed> {
  const desks = bases.map((base) => deskAt(base, cookie))
  const changed: Changed = { saved: 0, splits: 0, questions: 0 }
  /** Lessons of groups that were split off, and where those come from. */
  const apart = new Map<string, string>()
  const began = performance.now()
  // On a machine that does other things too a round takes long: each change is made once, whatever it takes.
  const isWanted = () => goesOn() || (isMissing() && performance.now() - began < LONGEST)
  for (let round = 0; isWanted() || apart.size > 0; round += 1) {
    const desk = desks[round % desks.length]!
    // A server that was killed a moment ago does not answer: it is tried again in the next round.
    await change(desk, round, isWanted()).catch(() => undefined)
    await sleep(EVERY)
  }
  return changed

  function isMissing(): boolean {
    return changed.saved === 0 || (together !== undefined && Math.min(changed.splits, changed.questions) === 0)
  }

  async function change(desk: Desk, round: number, mayBegin: boolean): Promise<void> {
    for (const [from, into] of [...apart]) {
      const { status } = await desk.call('POST', `/api/together/${together}/join`, { from, into })
      // It was joined already where the answer of before got lost.
      if (status === 200 || status === 404) apart.delete(from)
    }
    if (!mayBegin) return
    const id = ids[round % ids.length]!
    const { lesson } = (await desk.call<{ lesson: { plan: Plan; revision: number } }>('GET', `/api/lessons/${id}`)).body
    const plan = { ...lesson.plan, notes: `saved in round ${round}` }
    if ((await desk.call('PUT', `/api/lessons/${id}/plan`, { plan, revision: lesson.revision })).status === 200) changed.saved += 1
    if (!together) return
    if (round > 0 && changed.questions < 3) await ask(desk)
    const names = lesson.plan.groups.slice(round % 3, (round % 3) + 2).map(({ name }) => name)
    const split = await desk.call<{ id: string }>('POST', `/api/together/${together}/split`, { lesson: id, groups: names })
    if (split.status !== 200) return
    apart.set(split.body.id, id)
    changed.splits += 1
  }

  async function ask(desk: Desk): Promise<void> {
    await desk.call('PUT', `/api/together/${together}`, { ownQuestions: true })
    const { code, lessons } = await runningAt(desk, together!)
    const { body: join } = await desk.call<JoinView>('GET', `/api/stations?code=${encodeURIComponent(code)}`)
    const cards = join.together!.heap!.changes.slice(0, 3)
    const names = lessons[0]!.plan.groups.map(({ name }) => name)
    const asked = await Promise.all(
      cards.map((card, place) =>
        desks[place % desks.length]!.call('POST', '/api/stations/own-question', {
          code,
          name: names[place]!,
          change: card.name,
          measure: card.beside[0]!,
          conditions: ['1 cm', '4 cm'],
        }),
      ),
    )
    changed.questions += asked.filter(({ status }) => status === 200).length
  }
}
