import { randomUUID } from 'node:crypto'
import { writeLessonFile } from '../../core/formats'
import { EMPTY_RECORD, type Plan, type Reading } from '../../core/lesson'
import { progressOf } from '../../core/record'
import { atMoment, testOf, withMeasuredToo, withSeries } from '../../core/test'
import { measuredSo } from '../measuredSo'

/** Ten names of about thirty letters, as a teacher writes them who wants to be exact. */
const TEN_PAPERS = [
  'kitchen roll with three layers',
  'tissues out of a cardboard box',
  'recycled brown packing paper',
  'thick watercolour painting pad',
  'shiny pages of an old magazine',
  'paper serviette with a pattern',
  'greaseproof paper for the oven',
  'squared paper from the copybook',
  'crepe paper left from carnival',
  'the outside of a cereal packet',
]
const TEN_GROUPS = ['Marsh Marigold', 'Golden Plover', 'Silver Birch', 'Hedgehog', 'Kestrel', 'Ladybird', 'Wood Anemone']

const kept = (name: string, how: string, exceptions: Record<string, string> = {}) => {
  return { id: name.replaceAll(' ', '-'), name, how, exceptions, comesWith: false }
}

/** Ten papers, and what a tree does: ninety times as much. */
function tenPapers(plan: Plan): Plan {
  const conditions = TEN_PAPERS.map((label, place) => ({ id: `p${place}`, label, baseline: place === 0, leftOut: false }))
  const named = { ...plan, title: 'Which of ten papers from home and school drinks the most?', conditions }
  const groups = named.groups.map((group, place) => ({ ...group, name: TEN_GROUPS[place] ?? group.name }))
  return measuredSo({ ...named, groups }, { known: 5400, knownName: 'the trunk of a birch tree in spring', best: 'most' })
}

/** Five heights with two balls, two things measured. */
function twoBalls(plan: Plan): Plan {
  const two = withSeries(plan, 'ball', ['a tennis ball without its felt', 'a rubber ball out of the PE shed'], randomUUID)
  return { ...withMeasuredToo(two, 'time'), title: 'Bounce back with two balls and two clocks' }
}

/** Eight papers, in which everything else differs, too. */
function muddle(plan: Plan): Plan {
  const conditions = TEN_PAPERS.slice(0, 8).map((label, place) => ({ id: `p${place}`, label, baseline: false, leftOut: false }))
  const [paper, ...others] = plan.factors
  const differing = Object.fromEntries(conditions.map(({ id }, place) => [id, `${place + 1} cm`]))
  const factors = [
    paper!,
    ...others.map((one, place) => (place === 0 ? { ...one, exceptions: differing } : one)),
    kept('how warm the water is', 'hand-warm', { p1: 'out of the fridge', p3: 'out of the kettle, cooled' }),
  ]
  return { ...plan, title: 'Everything differs', conditions, factors }
}

/** Everybody its own record, twice read. */
function everyChild(plan: Plan): Plan {
  return { ...plan, title: 'Step pulse for thirty-four' }
}

/** Ten days of eight places with long names. */
function tenDays(plan: Plan): Plan {
  const places = [
    'on the windowsill to the south',
    'in the cupboard under the sink',
    'in the door of the big fridge',
    'on the shelf beside the door',
    'outside behind the bicycle shed',
    'on the radiator in the corridor',
    'under the table of the teacher',
    'in the staff room by the kettle',
  ]
  const conditions = places.map((label, place) => ({ id: `p${place}`, label, baseline: false, leftOut: false }))
  return { ...plan, title: 'Sprout watch in eight places of the school', conditions }
}

/** Words without an order for ten things. */
function tenWords(plan: Plan): Plan {
  const conditions = TEN_PAPERS.map((label, place) => ({ id: `p${place}`, label, baseline: false, leftOut: false }))
  const words = ['bright as before', 'only just glows', 'stays dark', 'flickers now and then']
  return measuredSo({ ...plan, title: 'What closes a gap?', conditions }, { words })
}

/** The hardest lessons that a board, a station and a sheet of paper have to hold: the investigation each begins with, and what makes it hard. */
export const HARD_LESSONS = {
  tenPapers: { from: 'soak-up-strips', harder: tenPapers },
  twoBalls: { from: 'bounce-back', harder: twoBalls },
  muddle: { from: 'soak-up-strips', harder: muddle },
  everyChild: { from: 'step-pulse', harder: everyChild },
  tenDays: { from: 'sprout-watch', harder: tenDays },
  tenWords: { from: 'gap-finder', harder: tenWords },
}
export type HardLesson = keyof typeof HARD_LESSONS

/** What each group read: the further down the list, the more, each place a little off; nothing at two places where there are many. */
export function hardReadings(plan: Plan): Reading[] {
  const cells = progressOf(plan, [])
    .flatMap((one) => one.cells)
    .filter(({ practice }) => !practice)
  return cells.flatMap((cell, place): Reading[] => {
    if (cells.length > 40 && place % 57 === 20) return []
    const { method } = testOf(atMoment(plan, cell.moment))
    const at = plan.conditions.findIndex(({ id }) => id === cell.condition)
    const [low, high] = [method?.expectedLow ?? 1, method?.expectedHigh ?? 10]
    const share = at / Math.max(1, plan.conditions.length - 1)
    const wobble = (((place * 7) % 11) - 5) / 60
    const spread = low + (high - low) * Math.min(1, Math.max(0, share + wobble))
    const words = method?.words.length ?? 0
    const value = words > 0 ? 1 + ((at + (place % 9 === 0 ? 1 : 0)) % words) : Math.round(spread * 10) / 10
    const { group, condition, repeat, moment } = cell
    return [
      {
        ...{ id: randomUUID(), group, condition, repeat, moment, practice: false, value, unit: method?.unit ?? 'count' },
        ...{ entered: String(value), status: 'kept', reason: '', confirmed: false, supersedes: null, by: 'station' },
        at: new Date(Date.UTC(2026, 2, 12, 10, 20) + place * 9000).toISOString(),
      } as Reading,
    ]
  })
}

/** A hard lesson as a file that `/api/lessons/open` takes, with its readings or before them. */
export function hardLesson(name: HardLesson, begun: Plan, read = true): string {
  const plan = HARD_LESSONS[name].harder({ ...begun, className: 'Marsh Marigold and Golden Plover' })
  const record = { ...EMPTY_RECORD, readings: read ? hardReadings(plan) : [] }
  return JSON.stringify(writeLessonFile(plan, record, [], new Date().toISOString()))
}
