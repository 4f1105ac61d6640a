import {
  cautionsOf,
  chanceNothingRunsOut,
  failedShare,
  gettingReady,
  isInDoubt,
  needsOf,
  sparesNeeded,
  sparesOf,
  type Need,
  type School,
} from '../kit'
import { trialsByGroup } from '../arrangement'
import { changedFactor, type Plan } from '../lesson'
import { waysOut } from '../waysOut'
import { go, type Finding, type Fix } from './finding'

/** Ways out are worked out for so many shortages; the list of findings is long by then. */
const MOST_WEIGHED = 6

/** What the kit lacks and what to be careful with. */
export function findingsOfKit(plan: Plan, school: School): Finding[] {
  const findings: Finding[] = []
  if (plan.materials.length === 0 && changedFactor(plan)) {
    findings.push({ code: 'kit-empty', key: 'kit-empty', stop: 'kit', severity: 'attention', fixes: [go('kit', 'new-material')] })
  }
  let weighed = 0
  for (const need of needsOf(plan, school)) {
    findings.push(...findingsOfSupply(plan, need))
    const material = plan.materials.find((one) => one.id === need.material)!
    if (!need.amount.ok || need.short === 0 || material.toBuy) continue
    const ways = (weighed += 1) <= MOST_WEIGHED ? waysOut(plan, need, school, noId) : []
    findings.push({
      code: 'short',
      key: `short/${material.id}`,
      stop: 'kit',
      severity: 'attention',
      material: material.id,
      forClass: need.forClass,
      short: need.short,
      unit: need.unit,
      packs: need.packs?.count,
      takenBy: [...new Set(need.supply.taken.map(({ title }) => title))],
      fixes: [...ways.slice(0, 1).map((way): Fix => ({ code: 'take-way-out', way })), go('kit', 'ways', material.id)],
    })
  }
  return [...findings, ...findingsOfSpares(plan), ...findingsOfCautions(plan), ...findingsOfSteps(plan, school)]
}

/** Fewer classes than nine in ten get by with these spares. */
function findingsOfSpares(plan: Plan): Finding[] {
  const spares = sparesOf(plan)
  const needed = sparesNeeded(spares, failedShare(plan))
  const few = spares.filter(({ material, lasts }) => lasts < needed.get(material)!)
  if (few.length === 0) return []
  return [
    {
      code: 'spares-few',
      key: 'spares-few',
      stop: 'kit',
      severity: 'note',
      chance: chanceNothingRunsOut(spares, failedShare(plan)),
      materials: few.map(({ material }) => material),
      fixes: [{ code: 'set-spares' }],
    },
  ]
}

/** Figures of one material that cannot be read or do not go together. */
function findingsOfSupply(plan: Plan, need: Need): Finding[] {
  const material = plan.materials.find((one) => one.id === need.material)!
  const at = { stop: 'kit', severity: 'attention', material: material.id } as const
  if (!need.amount.ok) {
    const { code: problem, position } = need.amount
    const key = `amount-unreadable/${material.id}`
    return [{ ...at, code: 'amount-unreadable', key, problem, position, fixes: [go('kit', 'amount', material.id)] }]
  }
  const inDoubt: Finding[] = isInDoubt(material)
    ? [
        {
          ...at,
          code: 'whose-amount',
          key: `whose-amount/${material.id}`,
          amount: material.amount,
          trials: Math.max(0, ...[...trialsByGroup(plan).values()].map((own) => own.length)),
          fixes: [
            { code: 'say-per', material: material.id, per: 'group' },
            { code: 'say-per', material: material.id, per: 'trial' },
          ],
        },
      ]
    : []
  const gone = material.thing !== null && !need.supply.thing
  return [
    ...inDoubt,
    ...need.supply.problems.map(({ field, code }): Finding => ({
      ...at,
      code: 'supply-unreadable',
      key: `supply-unreadable/${material.id}/${field}`,
      field,
      problem: code,
      fixes: [go('kit', code === 'density-missing' ? 'density' : field, material.id)],
    })),
    ...(gone
      ? [
          {
            ...at,
            code: 'thing-gone',
            key: `thing-gone/${material.id}`,
            severity: 'note',
            fixes: [go('kit', 'more', material.id)],
          } as Finding,
        ]
      : []),
  ]
}

function findingsOfCautions(plan: Plan): Finding[] {
  const known = cautionsOf(plan)
    .filter(({ acknowledged, notHere }) => !acknowledged && notHere === undefined)
    .map(({ caution, doer, materials, from }): Finding => ({
      code: 'caution',
      key: `caution/${caution}`,
      stop: 'kit',
      severity: 'attention',
      caution,
      doer,
      materials,
      from,
      fixes: [{ code: 'acknowledge', caution }],
    }))
  const own = plan.ownCautions
    .filter(({ acknowledged }) => !acknowledged)
    .map(({ id }): Finding => ({
      code: 'own-caution',
      key: `own-caution/${id}`,
      stop: 'kit',
      severity: 'attention',
      caution: id,
      fixes: [{ code: 'acknowledge-own', caution: id }],
    }))
  return [...known, ...own]
}

/** Work that would fall into the night or on a day without school. */
function findingsOfSteps(plan: Plan, school: School): Finding[] {
  return gettingReady(plan, school).flatMap(({ kind, material, wanted, planned, moved }): Finding[] =>
    wanted && planned && moved.some((why) => why !== 'clash')
      ? [
          {
            code: 'step-moved',
            key: `step-moved/${kind}/${material}`,
            stop: 'kit',
            severity: 'note',
            step: kind,
            material,
            wanted,
            planned,
            because: moved,
            fixes: [go('kit', 'getting-ready')],
          },
        ]
      : [],
  )
}

// Only the groups that stay are looked at here; a button makes its own ids.
const noId = () => ''
