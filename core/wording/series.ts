import { sentenceCase } from './sentenceCase'
import type { SeriesGraph } from '../charts'
import type { AcrossSeries, NotAcross } from '../evidence'
import { activeConditions, changedFactor, levelName, seriesFactor, type Plan } from '../lesson'
import { atLevel, resultUnit, seriesIn, testOf } from '../test'
import { unitOf, withUnit, writeShort } from '../quantity'
import { list, nameOfCondition } from './names'
import { writeFigure } from './tables'

/** What the series are called, in a row. */
export function seriesNames(plan: Plan): string {
  return list(seriesIn(plan).map(({ name }) => name.trim() || 'one without a name'))
}

const nameOf = (plan: Plan, id: string) =>
  seriesIn(plan)
    .find((one) => one.id === id)
    ?.name.trim() || 'one without a name'

const NOT_ACROSS: Record<NotAcross['code'], string> = {
  'no-numbers': 'They are compared by eye: only numbers are reckoned against each other.',
  'not-fair': 'They are no fair comparison: something else differs between them, too. The fair check names it.',
  'no-shared-level': 'They have no condition in common, so they cannot be laid beside each other.',
  'too-few': 'Too few of them have numbers yet to tell whether they differ.',
}

/** Do the series differ: throughout, or in what the change does; the sentences that matter, the first one first. */
export function acrossSentences(plan: Plan, across: AcrossSeries | NotAcross): string[] {
  if ('code' in across) return [NOT_ACROSS[across.code]]
  const { apart, differently } = across
  const second = seriesFactor(plan)?.name.trim() ?? 'the second thing'
  const change = changedFactor(plan)?.name.trim() ?? 'what we changed'
  const measure = testOf(plan).measure?.name.trim() ?? 'the result'
  const slopes = slopeWords(plan, across)
  const unfinished = across.limits.includes('unfinished') ? ' So far: places are still empty.' : ''
  if (differently?.grade === 'clear')
    return [`${sentenceCase(change)} does not do the same to each: how much it changes ${measure} depends on ${second}.${slopes}`]
  const alike = differently ? ` Whether ${change} does more to one than to the other we cannot tell.` : ''
  const more = across.differences.map((one) => differenceWords(plan, one, across)).join(' ')
  if (apart.grade === 'clear')
    return [`${sentenceCase(second)} makes a clear difference. ${more}`, `${alike.trim()}${slopes}`.trim()].filter(Boolean)
  if (apart.grade === 'leaning' || differently?.grade === 'leaning')
    return [`It leans towards a difference between ${seriesNames(plan)}, and we are not sure.${unfinished} ${more}`]
  return [`We cannot tell ${seriesNames(plan)} apart.${unfinished} ${more}`]
}

/** How much more one series has than the first. `'With the rubber ball it is 6.2 cm more than with the tennis ball (4.1 to 8.3).'` */
function differenceWords(
  plan: Plan,
  { series, difference, low, high }: AcrossSeries['differences'][number],
  { apart }: AcrossSeries,
): string {
  const unit = resultUnit(plan)
  const [own, first] = [nameOf(plan, series), nameOf(plan, seriesIn(plan)[0]!.id)]
  const size = writeFigure(plan, Math.abs(difference), unit)
  if (size === writeFigure(plan, 0, unit)) return `${sentenceCase(own)} and ${first} are level on average.`
  const more = difference >= 0 ? 'more' : 'less'
  const [from, to] = difference >= 0 ? [low, high] : [-high, -low]
  const between =
    apart.grade !== 'clear' ? '' : ` (${writeFigure(plan, from, unit)} to ${writeFigure(plan, to, unit)}, 95 times in 100)`
  return `${sentenceCase(own)}: ${size} ${more} than ${first} on average${between}.`
}

/** What one step of the number brings in each series; empty where levels are no numbers. */
function slopeWords(plan: Plan, { slopes }: AcrossSeries): string {
  if (!slopes) return ''
  const step = withUnit('1', plan.conditionUnit)
  const each = slopes.map(
    ({ series, slope }) =>
      `${nameOf(plan, series)} ${slope < 0 ? '−' : '+'}${withUnit(writeShort(Math.abs(Number(slope.toPrecision(2)))), unitOf(resultUnit(plan)).code)}`,
  )
  return ` For each ${step} more: ${list(each)}.`
}

/** The figures behind it, for the teacher. */
export function acrossFigures({ apart, differently }: AcrossSeries): string[] {
  const line = (what: string, { F, p, df1, df2 }: AcrossSeries['apart']) =>
    `${what}: F = ${writeShort(Number(F.toPrecision(3)))} on ${df1} and ${df2}, p ${p < 0.001 ? '< 0.001' : `= ${p.toPrecision(2)}`}`
  return [line('One above the other', apart), ...(differently ? [line('The change does something else in each', differently)] : [])]
}

/** The graph of all series in words, for those who do not see it. */
export function seriesChartWords(plan: Plan, { lines, unit, across }: SeriesGraph): string {
  const each = lines.map(({ name, points }) => {
    const averages = points.flatMap(({ level, average }) =>
      average === undefined ? [] : [`${level} ${writeFigure(plan, average, unit)}`],
    )
    return `${name}: ${list(averages) || 'no readings'}`
  })
  return `${across ? 'A line' : 'A bar'} for each of ${list(lines.map(({ name }) => name))}. Averages: ${each.join('; ')}; every reading as a dot.`
}

/**
 * What is compared, as a list has it: each condition by its name; of several series each level once, with its conditions in all of them.
 * @example conditionRows(soakUpPlan())[3] // => { name: 'card', ids: ['card'] }
 */
export function conditionRows(plan: Plan): { name: string; ids: string[] }[] {
  const active = activeConditions(plan)
  if (seriesIn(plan).length === 0) return active.map(({ id }) => ({ name: nameOfCondition(plan, id), ids: [id] }))
  const levels = active.map((one) => ({
    name: levelName(plan, one),
    ids: active.filter(({ id }) => atLevel(plan, one.id).includes(id)).map(({ id }) => id),
  }))
  return levels.filter(({ ids }, place) => ids[0] === active[place]!.id)
}
