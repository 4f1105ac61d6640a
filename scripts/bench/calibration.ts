import { orderOfRepeat, shareOut } from '../../core/arrangement'
import { drawNormal, seededRandom, type Random } from '../../core/chance'
import { pooledGrade, weighEvidence, weighOrder, type Evidence, type Observation } from '../../core/evidence'
import { roundToMark } from '../../core/quantity'
import { withPercent, type Row, type Size } from './figures'
import { benchLessPlain } from './lessPlain'
import { benchSlips } from './slips'

const SEED = 20_261_126
const MARK = 0.1
const MOST_CLEAR = 0.06
/** So many groups, and how often they find a real effect. */
const FOUND_BY = new Map([
  [3, 0.9],
  [4, 0.97],
  [6, 0.97],
])
/** How far groups' own levels lie apart, in wobbles of a reading. */
const LEVELS = 1.5
const DRIFT = 0.1

interface Design {
  groups: number
  conditions: number
  repeats: number
  /** How far one group's own thing differs from another's, in wobbles of a reading. */
  own: number
  missing: number
  /** Conditions that each group does; all of them without it. */
  each?: number
  drift: number
  order: 'mixed' | 'one-after-the-other'
  /** From one condition to the next, in wobbles. */
  step: number
  levels: number
}

const PLAIN: Design = {
  groups: 6,
  conditions: 3,
  repeats: 3,
  own: 0,
  missing: 0,
  drift: 0,
  order: 'mixed',
  step: 0,
  levels: LEVELS,
}

interface Claims {
  /** Something on the screen says clear: the whole, the lead, or a pair. */
  clear: boolean
  /** What was claimed while every reading counted by itself. */
  pooled: boolean
  /** What comparing averages alone would call a difference. */
  averages: boolean
}

/** How often "clear" is claimed where there is nothing, and how often a real effect is found; beside it what averages alone and the old pooled model would have claimed. */
export function benchCalibration(size: Size): Row[] {
  const random = seededRandom(SEED)
  const classes = size === 'full' ? 2000 : 40
  return [
    ...grids(random, size === 'full' ? classes / 4 : 2),
    ...named(random, classes * 2),
    ...orders(random, classes),
    ...found(random, classes),
    ...wrongWinners(random, classes),
    ...benchSlips(random, size),
    ...benchLessPlain(size),
  ]
}

const GROUPS = [2, 3, 4, 5, 6, 7, 8, 9, 10]
const CONDITIONS = [2, 3, 4, 5, 6]
const REPEATS = [2, 3, 5]
const OWN = [0, 0.5, 1, 2]

/** Every design of the grid by itself: a bar that holds on average only holds for nobody. */
function grids(random: Random, classes: number): Row[] {
  const every = (change: Partial<Design>): Design[] =>
    GROUPS.flatMap((groups) =>
      CONDITIONS.flatMap((conditions) =>
        REPEATS.flatMap((repeats) => OWN.map((own) => ({ ...PLAIN, groups, conditions, repeats, own, ...change }))),
      ),
    )
  const shared = every({}).flatMap((design) =>
    design.conditions < 3 || design.groups < 4 ? [] : [{ ...design, each: Math.max(2, design.conditions - 2) }],
  )
  return [
    ...worstOf('no effect, every group everything', every({}), random, classes),
    ...worstOf('no effect, 30 % missing', every({ missing: 0.3 }), random, classes / 2),
    ...worstOf('no effect, shared out', shared, random, classes / 2),
    ...worstOf('no effect, drift of 0.1 wobbles a trial, the app’s orders', every({ drift: DRIFT }), random, classes / 2),
    ...worstOf(
      'no effect, drift, shared out',
      shared.map((one) => ({ ...one, drift: DRIFT })),
      random,
      classes / 2,
    ),
  ]
}

function worstOf(what: string, designs: Design[], random: Random, classes: number): Row[] {
  const count = Math.max(2, Math.round(classes))
  const rates = designs.map((design) => ({ design, claims: simulate(design, count, random) }))
  const all = rates.flatMap(({ claims }) => claims)
  const worst = rates.reduce((most, one) => (share(one.claims, 'clear') > share(most.claims, 'clear') ? one : most))
  return [
    claimRow(`${what}: all ${designs.length} designs`, all),
    // The worst of so many is bound to look a little worse than it is.
    claimRow(`${what}: worst, ${designWords(worst.design)}`, simulate(worst.design, count * 8, random)),
  ]
}

/** The false claims that this bench was made for. */
function named(random: Random, classes: number): Row[] {
  const own: Design = { ...PLAIN, groups: 7, conditions: 4, own: 1 }
  const creeping: Design = { ...PLAIN, groups: 7, conditions: 4, drift: DRIFT }
  return [
    claimRow('no effect, each group its own thing, 7 groups x 4 x 3', simulate(own, classes, random)),
    claimRow('the same, things twice as different', simulate({ ...own, own: 2 }, classes, random)),
    claimRow('no effect, drift, 7 x 4 x 3, the app’s orders', simulate(creeping, classes, random)),
    {
      ...claimRow('the same, everybody A A A B B B', simulate({ ...creeping, order: 'one-after-the-other' }, classes, random)),
      wanted: 'not asked: no test can tell it',
      missed: false,
    },
    claimRow('no effect, looked at while readings come in, at any moment', atAnyMoment(own, Math.max(2, classes / 10), random)),
    claimRow('the same, things alike', atAnyMoment({ ...own, own: 0 }, Math.max(2, classes / 10), random)),
  ]
}

function orders(random: Random, classes: number): Row[] {
  const races = Array.from({ length: classes }, (): Claims => {
    const evidence = raceClass(3 + Math.floor(random() * 3), 2 + Math.floor(random() * 8), random)
    return { clear: claimsClear(evidence), pooled: false, averages: (evidence.lead?.difference ?? 0) !== 0 }
  })
  return [claimRow('no effect, finishing orders of 2 to 9 groups', races)]
}

function found(random: Random, classes: number): Row[] {
  return [...FOUND_BY].map(([groups, fewest]) => {
    const claims = CONDITIONS.slice(1).flatMap((conditions) =>
      simulate({ ...PLAIN, groups, conditions, step: 2 }, classes / 5, random),
    )
    const rate = share(claims, 'clear')
    const error = Math.sqrt((fewest * (1 - fewest)) / claims.length)
    return {
      what: `neighbours two wobbles apart, ${groups} groups, 3 repeats`,
      figure: `clear in ${withPercent(rate)} of ${claims.length}`,
      wanted: `≥ ${withPercent(fewest)}`,
      reference: referenceWords(claims),
      missed: rate < fewest - 2 * error,
    }
  })
}

/** A real effect, shared out among groups that lie far apart: who is named first beside "clear". */
function wrongWinners(random: Random, classes: number): Row[] {
  const design: Design = { ...PLAIN, groups: 6, conditions: 4, each: 2, step: 1, levels: 2 }
  const truth = `c${design.conditions - 1}`
  const named = Array.from({ length: Math.max(2, classes) }, () => {
    const observations = drawClass(design, random)
    const evidence = weigh(observations)
    const plain = [...evidence.summaries].sort((a, b) => b.mean - a.mean)[0]?.condition
    const clear = pooledGrade(observations, MARK) === 'clear'
    return {
      now: evidence.lead?.grade === 'clear' && evidence.lead.more !== truth,
      before: clear && plain !== truth,
    }
  })
  const rate = (of: 'now' | 'before') => named.filter((one) => one[of]).length / named.length
  return [
    {
      what: 'shared out, groups two wobbles apart: a wrong winner beside “clear”',
      figure: `${withPercent(rate('now'))} of ${named.length}`,
      wanted: '≤ 5 %',
      reference: `plain averages beside the pooled model: ${withPercent(rate('before'))}`,
      missed: rate('now') > 0.05 + 2 * Math.sqrt((0.05 * 0.95) / named.length),
    },
  ]
}

function simulate(design: Design, classes: number, random: Random): Claims[] {
  return Array.from({ length: Math.max(2, Math.round(classes)) }, () => claimsOf(drawClass(design, random)))
}

function claimsOf(observations: Observation[]): Claims {
  const evidence = weigh(observations)
  const means = [...evidence.summaries].sort((a, b) => b.mean - a.mean)
  return {
    clear: claimsClear(evidence),
    pooled: pooledGrade(observations, MARK) === 'clear',
    averages: means.length > 1 && means[0]!.mean - means[1]!.mean > MARK,
  }
}

/** Looked at after each round of readings: what was claimed at any of these moments. */
function atAnyMoment(design: Design, classes: number, random: Random): Claims[] {
  return Array.from({ length: Math.max(2, Math.round(classes)) }, () => {
    const all = drawClass(design, random)
    const claims: Claims = { clear: false, pooled: false, averages: false }
    for (let count = design.groups * 2; count <= all.length; count += design.groups) {
      const some = all.slice(0, count)
      claims.clear ||= claimsClear(weigh(some, count < all.length))
      claims.pooled ||= pooledGrade(some, MARK) === 'clear'
      claims.averages ||= claimsOf(some).averages
    }
    return claims
  })
}

/** One class's readings in the order in which they come: every group its first trial, then its second. */
function drawClass(design: Design, random: Random): Observation[] {
  const { groups, conditions, repeats, own, missing, each, drift, order, step, levels } = design
  const shares = each
    ? shareOut({ groups, conditions, each })
    : Array.from({ length: groups }, () => Array.from({ length: conditions }, (_, place) => place))
  const byGroup = shares.map((share, group) => {
    const level = 50 + levels * drawNormal(random)
    const things = share.map(() => own * drawNormal(random))
    const turns =
      order === 'mixed'
        ? Array.from({ length: repeats }, (_, repeat) => orderOfRepeat(share.length, group, repeat)).flat()
        : share.flatMap((_, place) => Array.from({ length: repeats }, () => place))
    return turns.map((place, trial): Observation => {
      const value = level + things[place]! + step * share[place]! + drift * trial + drawNormal(random)
      return { group: `g${group}`, condition: `c${share[place]!}`, value: roundToMark(value, MARK) }
    })
  })
  const longest = Math.max(...byGroup.map((turns) => turns.length))
  const inTime = Array.from({ length: longest }, (_, trial) => byGroup.flatMap((turns) => turns[trial] ?? [])).flat()
  const there = missing === 0 ? inTime : inTime.filter(() => random() >= missing)
  return there.length > 0 ? there : inTime
}

function weigh(observations: Observation[], unfinished = false): Evidence {
  return weighEvidence(observations, { resolution: MARK, totalSd: 1, differenceThatMatters: 0, unfinished })
}

function raceClass(conditions: number, groups: number, random: Random): Evidence {
  const observations = Array.from({ length: groups }, (_, group) => {
    const speeds = Array.from({ length: conditions }, (_, condition) => ({ condition, speed: random() }))
    return speeds
      .sort((a, b) => b.speed - a.speed)
      .map(({ condition }, place) => ({ group: `g${group}`, condition: `c${condition}`, repeat: 1, value: place + 1 }))
  }).flat()
  return weighOrder(observations, 'places')
}

function claimsClear({ grade, lead, pairs, neighbours }: Evidence): boolean {
  return grade === 'clear' || lead?.grade === 'clear' || [...pairs, ...neighbours].some((pair) => pair.grade === 'clear')
}

function claimRow(what: string, claims: Claims[]): Row {
  const rate = share(claims, 'clear')
  const error = Math.sqrt((MOST_CLEAR * (1 - MOST_CLEAR)) / claims.length)
  return {
    what,
    figure: `clear in ${withPercent(rate)} of ${claims.length}`,
    wanted: `≤ 6 %, ${withPercent(MOST_CLEAR + 2 * error)} with sampling`,
    reference: referenceWords(claims),
    missed: rate > MOST_CLEAR + 2 * error,
  }
}

function referenceWords(claims: Claims[]): string {
  return `averages alone ${withPercent(share(claims, 'averages'))}, pooled before ${withPercent(share(claims, 'pooled'))}`
}

function share(claims: Claims[], of: keyof Claims): number {
  return claims.filter((one) => one[of]).length / claims.length
}

function designWords({ groups, conditions, repeats, own, each }: Design): string {
  return `${groups} groups x ${each ? `${each} of ` : ''}${conditions} x ${repeats}, things ${own}`
}
