import { remembered } from '../chance'
import { activeConditions, type Plan } from '../lesson'
import { arrangementOf } from './arrangement'
import { changeTogether, type StationTime, type Visit } from './circuit'
import { secondsOfTrials } from './trials'
import { bestDraw, soonestFinish, whenReady } from './whenReady'

/** A station of a plan's circuit: a condition, or a place where nothing is measured. */
export interface CircuitStation extends StationTime {
  id: string
  measures: boolean
}

export interface Circuit {
  stations: CircuitStation[]
  visits: Visit[]
  /** When all change together: how many rounds, and how long each is, the walk included. */
  rounds: { count: number; seconds: number } | undefined
  finish: number
  /** No rota can end sooner. */
  bound: number
}

/** Rotas that are tried while somebody types; more are drawn in a worker. */
const QUICK_DRAWS = 2

/** The stations of a circuit. At a condition a group does its practice and all its repeats. */
export function circuitStations(plan: Plan): CircuitStation[] {
  const { copies, extra } = plan.arrangement
  const seconds = secondsOfTrials(plan, plan.repeats + plan.practice)
  return [
    ...activeConditions(plan).map(({ id }) => ({ id, measures: true, seconds, copies: copies[id] ?? 1 })),
    ...extra.map((station) => ({
      id: station.id,
      measures: false,
      seconds: Math.round(station.minutes * 60),
      copies: station.copies,
    })),
  ]
}

/**
 * In a circuit the conditions in the order in which a group comes to them; no order, in any other arrangement.
 * @example visitedConditions(circuit, 'g2') // => ['card', 'writing-paper', 'tissue', 'kitchen-roll']
 */
export function visitedConditions(plan: Plan, group: string): string[] {
  if (arrangementOf(plan) !== 'circuit') return []
  const { stations, visits } = circuitOf(plan)
  return visits
    .filter((visit) => plan.groups[visit.group]?.id === group && stations[visit.station]!.measures)
    .sort((a, b) => a.start - b.start)
    .map(({ station }) => stations[station]!.id)
}

/** The circuit as the plan has it, with the walk to the next station in every visit. */
export function circuitOf(plan: Plan): Circuit {
  const stations = circuitStations(plan)
  const times = walkedTimes(plan)
  const groups = plan.groups.length
  const bound = soonestFinish(groups, times)
  if (plan.arrangement.change === 'when-ready') {
    const draw = takenDraw({ groups, times, draw: plan.arrangement.draw })
    return { stations, ...whenReady({ groups, stations: times, draw }), rounds: undefined, bound }
  }
  const rounds = changeTogether({ groups, copies: times.map(({ copies }) => copies) })
  const seconds = Math.max(0, ...times.map((one) => one.seconds))
  const visits = rounds.flatMap((row, round) =>
    row.flatMap((place, group): Visit[] =>
      place ? [{ group, ...place, start: round * seconds, end: (round + 1) * seconds }] : [],
    ),
  )
  return { stations, visits, rounds: { count: rounds.length, seconds }, finish: rounds.length * seconds, bound }
}

/** The stations' times with the walk in them, for drawing rotas. */
export function walkedTimes(plan: Plan): StationTime[] {
  return circuitStations(plan).map(({ seconds, copies }) => ({ seconds: seconds + plan.arrangement.walk, copies }))
}

/** The plan's own draw, or one of the quick ones where that ends sooner. */
const takenDraw = remembered(({ groups, times, draw }: { groups: number; times: StationTime[]; draw: number }): number => {
  const quick = bestDraw({ groups, stations: times }, QUICK_DRAWS)
  if (draw === 0) return quick.draw
  return whenReady({ groups, stations: times, draw }).finish <= quick.finish ? draw : quick.draw
})
