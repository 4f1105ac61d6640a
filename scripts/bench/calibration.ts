import { drawNormal, seededRandom, type Random } from '../../core/benches'
import { weighEvidence, weighOrder, type Evidence } from '../../core/evidence'
import { roundToMark } from '../../core/quantity'
import type { Row } from './figures'

const CLASSES = 20_000
const SEED = 20_260_311
const CONDITIONS = [2, 3, 4, 5, 6]
const GROUPS = [1, 2, 4, 7, 10]
const REPEATS = [2, 3, 4, 5]
/** The instrument's mark in wobbles of one reading: fine, ordinary, coarse, very coarse. */
const MARKS = [0.1, 0.5, 1, 2]
const MISSING = [0, 0.1, 0.3]
/** How far groups' own levels lie apart, in wobbles. */
const GROUP_SPREAD = 1.5

interface Setting {
  conditions: number
  groups: number
  repeats: number
  mark: number
  missing: number
}

/** How often "clear" is claimed where there is nothing, and how often a real effect is found; beside it, comparing averages alone. */
export function benchCalibration(): Row[] {
  const random = seededRandom(SEED)
  const classes = Array.from({ length: CLASSES }, () => {
    const setting = drawSetting(random)
    const evidence = simulate(setting, 0, random)
    return { setting, clear: claimsClear(evidence), averages: averagesClaim(evidence, setting.mark) }
  })
  const rows: Row[] = [rateRow('no effect, all classes', classes, '≤ 5 %')]
  const split = <Value>(name: string, values: Value[], of: (setting: Setting) => Value) => {
    for (const value of values) {
      const some = classes.filter(({ setting }) => of(setting) === value)
      rows.push(rateRow(`no effect, ${name} ${String(value)}`, some, '≤ 5 %'))
    }
  }
  split('conditions', CONDITIONS, ({ conditions }) => conditions)
  split('groups', GROUPS, ({ groups }) => groups)
  split('repeats', REPEATS, ({ repeats }) => repeats)
  split('mark in wobbles', MARKS, ({ mark }) => mark)
  split('share missing', MISSING, ({ missing }) => missing)
  const worst = worstCell(classes)
  rows.push(rateRow(`no effect, worst of groups x mark: ${worst.name}`, worst.classes, '≤ 5 %'))

  const races = Array.from({ length: CLASSES / 4 }, () => {
    const evidence = simulateRaces(3 + Math.floor(random() * 3), 2 + Math.floor(random() * 8), random)
    return { clear: claimsClear(evidence), averages: (evidence.lead?.difference ?? 0) !== 0 }
  })
  rows.push(rateRow('no effect, finishing orders', races, '≤ 5 %'))

  const real = Array.from({ length: CLASSES / 10 }, () => {
    const setting = { conditions: CONDITIONS[Math.floor(random() * 5)]!, groups: 6, repeats: 3, mark: 0.5, missing: 0 }
    const evidence = simulate(setting, 2, random)
    return { clear: evidence.grade === 'clear', averages: averagesClaim(evidence, setting.mark) }
  })
  rows.push(rateRow('neighbours two wobbles apart, 6 groups, 3 repeats', real, '≥ 95 %'))
  return rows
}

function rateRow(what: string, classes: { clear: boolean; averages: boolean }[], wanted: string): Row {
  const clear = classes.filter((one) => one.clear).length / classes.length
  const error = Math.sqrt((0.05 * 0.95) / classes.length)
  const most = wanted.startsWith('≤') ? `${wanted}, ${percent(0.05 + 2 * error)} with sampling` : wanted
  const averages = classes.filter((one) => one.averages).length / classes.length
  return {
    what,
    figure: `clear in ${percent(clear)} of ${classes.length}`,
    wanted: most,
    reference: `averages alone: ${percent(averages)}`,
  }
}

function worstCell(classes: { setting: Setting; clear: boolean; averages: boolean }[]) {
  const cells = GROUPS.flatMap((groups) =>
    MARKS.map((mark) => ({
      name: `${groups}, ${mark}`,
      classes: classes.filter(({ setting }) => setting.groups === groups && setting.mark === mark),
    })),
  )
  const rate = (cell: (typeof cells)[number]) => cell.classes.filter(({ clear }) => clear).length / cell.classes.length
  return cells.reduce((worst, cell) => (rate(cell) > rate(worst) ? cell : worst))
}

function drawSetting(random: Random): Setting {
  const one = <Value>(values: Value[]) => values[Math.floor(random() * values.length)]!
  return { conditions: one(CONDITIONS), groups: one(GROUPS), repeats: one(REPEATS), mark: one(MARKS), missing: one(MISSING) }
}

/** @param step how far neighbouring conditions lie apart, in wobbles */
function simulate({ conditions, groups, repeats, mark, missing }: Setting, step: number, random: Random): Evidence {
  const middle = random() * mark
  const observations = Array.from({ length: groups }, (_, group) => {
    const level = 50 + middle + GROUP_SPREAD * drawNormal(random)
    return Array.from({ length: conditions }, (_, condition) =>
      Array.from({ length: repeats }, () => {
        const value = roundToMark(level + step * condition + drawNormal(random), mark)
        return random() < missing ? [] : [{ group: `g${group}`, condition: `c${condition}`, value }]
      }).flat(),
    ).flat()
  }).flat()
  return weighEvidence(observations, { resolution: mark, measuringSd: mark / Math.sqrt(12), differenceThatMatters: 0 })
}

function simulateRaces(conditions: number, groups: number, random: Random): Evidence {
  const observations = Array.from({ length: groups }, (_, group) => {
    const speeds = Array.from({ length: conditions }, (_, condition) => ({ condition, speed: random() }))
    return speeds
      .sort((a, b) => b.speed - a.speed)
      .map(({ condition }, place) => ({ group: `g${group}`, condition: `c${condition}`, repeat: 1, value: place + 1 }))
  }).flat()
  return weighOrder(observations, 'places')
}

/** Does anything on the screen say clear: the whole, the lead, or a pair. */
function claimsClear({ grade, lead, pairs }: Evidence): boolean {
  return grade === 'clear' || lead?.grade === 'clear' || pairs.some((pair) => pair.grade === 'clear')
}

/** What comparing averages alone would call a difference: the first two more than a mark apart. */
function averagesClaim({ lead }: Evidence, mark: number): boolean {
  return (lead?.difference ?? 0) > mark
}

function percent(share: number): string {
  return `${(share * 100).toFixed(1)} %`
}
