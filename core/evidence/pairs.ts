import { mean, sampleVariance } from 'simple-statistics'
import { tLeaving, tTwoSided } from '../chance'
import type { CellFit } from './cells'
import { holm, type Observation, type PairContrast } from './model'

/** Against what a pair is told apart: how much groups differ in it, the pool of all cells, or whichever of the two is larger. */
type AgainstWhat = 'own' | 'pooled' | 'larger'

export interface Pair extends PairContrast {
  df: number
  how: AgainstWhat
}

/** So many groups, or readings, say enough about how much a pair differs. */
const ENOUGH = 5

type Judged = Pick<Pair, 'difference' | 'standardError' | 'df' | 'how' | 'p'>

/**
 * Every pair that can be compared, told apart against how much groups differ in it and never against a pool that hides it: where all groups did both and
 * there are five or more, t on their differences; where five or more of them did, the weaker of that and of the pooled contrast; where two to four did, the
 * contrast with the larger of both mean squares. One group goes by its readings: Welch's t from five of each on. Holm over the pairs.
 * @param observations what was fitted, in one unit
 * @param resolution   the instrument's mark: no variance is smaller than it makes one
 */
export function pairsOf(fit: CellFit, observations: Observation[], resolution: number): Pair[] {
  const contrasts = fit.model?.pairs ?? []
  const judge = fit.onCells ? ofGroups(fit, resolution) : ofOneGroup(fit, observations, resolution)
  const judged = contrasts.map((contrast) => ({ ...contrast, ...judge(contrast) }))
  const corrected = holm(judged.map(({ p }) => p))
  return judged.map((pair, place) => {
    const [reach95, reach90] = [0.05, 0.1].map((share) => tLeaving(share, pair.df) * pair.standardError)
    return {
      ...pair,
      low: pair.difference - reach95!,
      high: pair.difference + reach95!,
      low90: pair.difference - reach90!,
      high90: pair.difference + reach90!,
      pHolm: corrected[place]!,
    }
  })
}

function ofGroups(fit: CellFit, resolution: number): (contrast: PairContrast) => Judged {
  const { cells, groups, perCell } = fit
  const least = resolution ** 2 / (12 * perCell)
  const byGroup = new Map<string, Map<string, number>>()
  for (const { group, condition, value } of cells)
    byGroup.set(group, (byGroup.get(group) ?? new Map<string, number>()).set(condition, value))
  return (contrast) => {
    const differences = [...byGroup.values()].flatMap((own) => {
      const [of, less] = [own.get(contrast.b), own.get(contrast.a)]
      return of === undefined || less === undefined ? [] : [of - less]
    })
    const both = differences.length
    if (both < 2) return pooledOf(fit, contrast)
    // A difference has two cells in it.
    const variance = Math.max(sampleVariance(differences), 2 * least)
    if (both < ENOUGH) return withVariance(fit, contrast, variance / 2)
    const own = judgedBy(mean(differences), Math.sqrt(variance / both), both - 1, 'own')
    if (both === groups) return own
    const pooled = pooledOf(fit, contrast)
    return own.p > pooled.p ? own : pooled
  }
}

function ofOneGroup(fit: CellFit, observations: Observation[], resolution: number): (contrast: PairContrast) => Judged {
  const valuesOf = (id: string) => observations.flatMap(({ condition, value }) => (condition === id ? [value] : []))
  const least = resolution ** 2 / 12
  return (contrast) => {
    const [a, b] = [valuesOf(contrast.a), valuesOf(contrast.b)]
    if (Math.min(a.length, b.length) < 2) return pooledOf(fit, contrast)
    const [ofA, ofB] = [a, b].map((values) => Math.max(sampleVariance(values), least))
    if (Math.min(a.length, b.length) < ENOUGH) return withVariance(fit, contrast, (ofA! + ofB!) / 2)
    const [shareA, shareB] = [ofA! / a.length, ofB! / b.length]
    const df = (shareA + shareB) ** 2 / (shareA ** 2 / (a.length - 1) + shareB ** 2 / (b.length - 1))
    return judgedBy(mean(b) - mean(a), Math.sqrt(shareA + shareB), df, 'own')
  }
}

function pooledOf({ model }: CellFit, { difference, standardError }: PairContrast): Judged {
  return judgedBy(difference, standardError, model!.df, 'pooled')
}

/** The fit's own contrast, over the larger of its mean square and of the pair's. */
function withVariance(fit: CellFit, contrast: PairContrast, own: number): Judged {
  const { residualVariance, df } = fit.model!
  if (own <= residualVariance) return pooledOf(fit, contrast)
  const error = residualVariance === 0 ? Infinity : contrast.standardError * Math.sqrt(own / residualVariance)
  return judgedBy(contrast.difference, error, df, 'larger')
}

function judgedBy(difference: number, standardError: number, df: number, how: AgainstWhat): Judged {
  const p = standardError === 0 ? (difference === 0 ? 1 : 0) : tTwoSided(difference / standardError, df)
  return { difference, standardError, df, how, p }
}
