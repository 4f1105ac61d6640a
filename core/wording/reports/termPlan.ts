import { billOf, type Customs } from '../../kit'
import type { Kind } from '../../lesson'
import type { Dimension } from '../../quantity'
import { SKILLS, type Report, type Skill } from '../../reports'
import type { Occasion, TermNeed, TermWeek } from '../../term'
import { dayWords } from '../days'
import { amountWords } from '../kit'
import { KIND_WORDS } from '../kinds'
import { moneyWords } from '../money'
import { counted, list, lessonName } from '../names'
import { SKILL_WORDS } from './signs'

const MEASURE_WORDS: Record<Dimension, string> = {
  length: 'Measuring lengths',
  mass: 'Weighing',
  volume: 'Measuring liquids',
  time: 'Timing',
  temperature: 'Reading a thermometer',
  force: 'Measuring forces',
  sound: 'Measuring sounds',
  number: 'Counting',
  order: 'Judging who comes first',
  words: 'Describing in words',
  sorts: 'Sorting by words',
  share: 'Counting shares',
  rate: 'Counting how often',
}

/** What is practised, by name. `occasionWords('kind:over-time') // 'Watch over time'` */
export function occasionWords(occasion: Occasion): string {
  const [what, which] = occasion.split(':')
  if (what === 'kind') return KIND_WORDS[which as Kind].name
  return what === 'measure' ? MEASURE_WORDS[which as Dimension] : SKILL_WORDS[occasion as Skill]
}

/** A week on the left of its row. `weekWords({ week: { from: '2027-01-04' }, standing: [], laid: { day: '2027-01-07' } }) // 'Thu 7 Jan'` */
export function weekWords({
  week,
  standing,
  laid,
}: Pick<TermWeek, 'standing'> & { week: Pick<TermWeek['week'], 'from'>; laid?: { day: string } | undefined }): string {
  if (laid) return dayWords(laid.day)
  const [first] = standing
  return first ? dayWords(first.date) : `Week of ${dayWords(week.from)}`
}

/** Why no lesson lies in a week. `emptyWeekWords({ week: { off: 'Winter week' }, isOpen: false }) // 'No school: Winter week'` */
export function emptyWeekWords({ week, isOpen }: { week: Pick<TermWeek['week'], 'off'>; isOpen: boolean }): string {
  if (week.off !== undefined) return week.off === '' ? 'No school' : `No school: ${week.off}`
  return isOpen ? 'Free' : 'Not this week'
}

/** What a lesson is for in its week, and what stands against it. */
export function laidLines({ fresh, readings, short }: NonNullable<TermWeek['laid']>): string[] {
  const first = fresh.map((one) => occasionWords(one).toLowerCase())
  const named = (why: 'taken' | 'too-few') => short.filter((one) => one.why === why).map(({ thing }) => thing)
  const lost = readings.filter(({ off }) => off.why !== undefined)
  return [
    first.length > MOST_NAMED
      ? `For the first time: ${list(first.slice(0, MOST_NAMED - 1))} and ${counted(first.length - MOST_NAMED + 1, 'more thing')}`
      : first.length > 0 && `For the first time: ${list(first)}`,
    readings.length > 1 && `Read on ${list(readings.map(({ day }) => dayWords(day)))}`,
    lost.length > 0 && `Nobody is there on ${list(lost.map(({ day }) => dayWords(day)))}: choose what to do in its Clock`,
    named('taken').length > 0 && `Other lessons have then: ${list(named('taken'))}`,
    named('too-few').length > 0 && `Too few in the cupboard: ${list(named('too-few'))}`,
  ].filter((line) => line !== false)
}

const MOST_NAMED = 4

/** The weeks, what they practise, and what to buy: to print, to save, for a folder. */
export function termPlanReport(
  plan: {
    className: string
    from: string
    to: string
    weeks: TermWeek[]
    titles: Record<string, string>
    practised: Occasion[]
    needs: TermNeed[]
  },
  currency: Customs['currency'],
): Report {
  const { className, from, to, weeks, titles, practised, needs } = plan
  const lessons = weeks.flatMap(({ standing, laid }) => [
    ...standing.map(({ title }) => title),
    ...(laid ? [titles[laid.candidate]!] : []),
  ])
  return {
    title: 'A term of investigations',
    under: `${className === '' ? 'Class' : `Class ${className}`}, from ${dayWords(from)} to ${dayWords(to)}`,
    question: counted(lessons.length, 'investigation'),
    blocks: [
      {
        ...{ kind: 'table', caption: 'Week by week', head: ['Day', 'Investigation', 'What for'], figures: false },
        rows: weeks.flatMap((week) => weekRows(week, titles)),
      },
      { kind: 'heading', text: 'What the class practises' },
      {
        ...{ kind: 'table', caption: 'What the class practises', head: ['Skill', 'So far', 'In this term'], figures: false },
        rows: practiceRows(weeks, practised),
      },
      { kind: 'heading', text: 'What to buy' },
      ...shopping(needs, currency),
    ],
  }
}

function weekRows(week: TermWeek, titles: Record<string, string>): string[][] {
  const { standing, laid } = week
  const unbroken = (words: string) => words.replaceAll(' ', '\u00a0')
  const standingRows = standing.map(({ title, date }) => [unbroken(dayWords(date)), lessonName(title), 'on the shelf already'])
  const laidRows = laid ? [[unbroken(weekWords(week)), titles[laid.candidate]!, laidLines(laid).join('. ')]] : []
  const rows = [...standingRows, ...laidRows]
  return rows.length > 0 ? rows : [[unbroken(weekWords(week)), emptyWeekWords(week), '']]
}

/** Every skill, and the kinds and measurements that the class has met or will meet. */
function practiceRows(weeks: TermWeek[], practised: Occasion[]): string[][] {
  const coming = weeks.flatMap(({ standing, laid }) => [
    ...standing.flatMap(({ practises }) => practises),
    ...(laid?.practises ?? []),
  ])
  const met = [...new Set([...SKILLS, ...practised.filter(isNoSkill), ...coming.filter(isNoSkill)])]
  const times = (all: Occasion[], one: Occasion) => all.filter((its) => its === one).length
  return met.map((one) => [occasionWords(one), timesWords(times(practised, one)), timesWords(times(coming, one))])
}

const isNoSkill = (occasion: Occasion) => occasion.includes(':')
const timesWords = (times: number) => (times === 0 ? 'not yet' : counted(times, 'time'))

function shopping(needs: TermNeed[], currency: Customs['currency']): Report['blocks'] {
  const short = needs.filter((need) => need.short > 0)
  const unlisted = needs.filter(({ there }) => there === undefined)
  const { cost, unpriced } = billOf(needs)
  const bill = `In all ${moneyWords(cost, currency)}${unpriced > 0 ? `, ${counted(unpriced, 'thing')} without a price` : ''}.`
  const of = ({ lessons }: TermNeed) => lessons.join(', ')
  return [
    ...(short.length === 0
      ? [{ kind: 'text' as const, text: 'Of what the cupboard lists nothing is short.' }]
      : [
          {
            ...{ kind: 'table' as const, caption: 'What to buy', figures: false },
            head: ['Thing', 'Needed', 'There', 'Buy', 'Cost', 'For'],
            rows: short.map((need) => [
              need.name,
              amountWords(need.needed, need.unit),
              amountWords(need.there!, need.unit),
              need.packs ? counted(need.packs.count, 'pack') : amountWords(need.short, need.unit),
              need.packs?.cost === undefined ? '' : moneyWords(need.packs.cost, currency),
              of(need),
            ]),
          },
          { kind: 'text' as const, text: bill },
        ]),
    ...(unlisted.length === 0
      ? []
      : [
          { kind: 'text' as const, text: 'The cupboard does not list these. Look whether they are there:' },
          {
            ...{ kind: 'table' as const, caption: 'Not in the cupboard’s list', head: ['Thing', 'Needed', 'For'], figures: false },
            rows: unlisted.map((need) => [need.name, amountWords(need.needed, need.unit), of(need)]),
          },
        ]),
  ]
}
