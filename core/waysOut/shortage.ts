import { unreachable } from '../unreachable'
import { arrangementOf, conditionsEach, fewestGoingRound, fewestShared, secondsOfTrial, trialsByGroup } from '../arrangement'
import { fitOf } from '../clock'
import { kitchenOf, needsOf, NO_SCHOOL, readAmount, type Need, type School } from '../kit'
import { isEachChild, withGroups, type Material, type Plan } from '../lesson'
import { withLevelLabel, testOf, withMethod, WAYS_OF_READING } from '../test'
import { INSTRUMENTS, outlookOf, withInstrument } from '../measuring'
import { withoutNoise } from '../quantity'

/** What taking a substitute does to the comparison. */
type SubstituteEffect =
  /** The same for every condition: as fair as before. */
  | 'all-alike'
  /** It is only for one condition: that condition is then something else. */
  | 'other-condition'

/** How likely it comes out clear, before and after. */
interface Chances {
  before: number
  after: number
}

/** A way out of a shortage of one material, worked out on a copy of the plan. */
export type WayOut = {
  material: string
  /** Minutes that the lesson gets longer; undefined where nobody has said how long a trial takes. */ minutes: number | undefined
} & (
  | {
      code: 'substitute'
      substitute: string
      effect: SubstituteEffect
      /** Still short of the substitute; undefined when nobody counted it. */
      stillShort: number | undefined
      /** The chance of the best one coming out best, before and after, where the substitute is the instrument. */
      chances: Chances | undefined
    }
  | { code: 'rota'; copies: number }
  | { code: 'buy'; packs: number | undefined; amount: number; cost: number | undefined; leftOver: number | undefined }
  | { code: 'share-out'; each: number; chances: Chances | undefined }
  | { code: 'together'; trials: number; chances: Chances | undefined }
  | { code: 'fewer-groups'; groups: number; largest: number }
)

/** What a class gives up, the least first; equal ones by the minutes they cost. */
const RANK: Record<WayOut['code'], number> = {
  rota: 0,
  substitute: 1,
  buy: 2,
  'share-out': 3,
  together: 4,
  'fewer-groups': 5,
}
const LARGEST_GROUP = 6
/** A rota that makes the lesson this much longer is no better than sharing out. */
const LONG = 5

/** The ways out of one shortage, those that take the least from the lesson first. */
export function waysOut(plan: Plan, need: Need, school: School, newId: () => string): WayOut[] {
  const material = plan.materials.find(({ id }) => id === need.material)
  if (!material || need.short === 0) return []
  const before = fitOf(plan).needed
  const isTimed = secondsOfTrial(plan) > 0
  const weigh = <Way extends Omit<WayOut, 'minutes'>>(way: Way): WayOut =>
    ({
      ...way,
      minutes: isTimed ? withoutNoise(fitOf(takeWayOut(plan, way as unknown as WayOut, newId)).needed - before) : undefined,
    }) as unknown as WayOut
  const ways = [
    ...substitutes(plan, material, school),
    ...rota(plan, material, need),
    ...(material.toBuy ? [] : [buy(material, need)]),
    ...shareOut(plan, material, school),
    ...together(plan, material, school),
    ...fewerGroups(plan, material, school, newId),
  ]
  const rank = ({ code, minutes }: WayOut) => RANK[code] + (code === 'rota' && (minutes ?? 0) > LONG ? 3.5 : 0)
  return ways.map(weigh).sort((a, b) => rank(a) - rank(b) || (a.minutes ?? 0) - (b.minutes ?? 0))
}

/** The plan after one way out; the given plan is left as it is. */
export function takeWayOut(plan: Plan, way: WayOut, newId: () => string): Plan {
  const change = (part: (material: Material) => Partial<Material>): Plan => ({
    ...plan,
    materials: plan.materials.map((one) => (one.id === way.material ? { ...one, ...part(one) } : one)),
  })
  switch (way.code) {
    case 'substitute':
      return withSubstitute(plan, way.material, way.substitute)
    case 'rota':
      return change(() => ({ goesRound: way.copies }))
    case 'buy':
      return change(() => ({ toBuy: true }))
    case 'share-out':
      return { ...plan, arrangement: { ...plan.arrangement, way: 'share-out', each: way.each } }
    case 'together':
      return togetherOn(plan)
    case 'fewer-groups':
      return withGroups(plan, way.groups, newId)
    default:
      return unreachable(way)
  }
}

/** The substitute takes the material's place, and the material stands among the substitutes from then on. */
function withSubstitute(plan: Plan, materialId: string, substituteId: string): Plan {
  const material = plan.materials.find(({ id }) => id === materialId)
  const substitute = material?.substitutes.find(({ id }) => id === substituteId)
  if (!material || !substitute) return plan
  const old = { id: substitute.id, name: material.name, amount: material.amount, stock: material.stock, note: '' }
  const taken: Material = {
    ...material,
    name: substitute.name,
    amount: substitute.amount.trim() === '' ? material.amount : substitute.amount,
    stock: substitute.stock,
    thing: null,
    pack: '',
    price: '',
    toBuy: false,
    substitutes: material.substitutes.map((one) => (one.id === substitute.id ? old : one)),
  }
  const materials = plan.materials.map((one) => (one.id === materialId ? taken : one))
  const isTested = material.condition !== null && plan.conditionsAs === 'kinds'
  const renamed = isTested ? withLevelLabel(plan, material.condition!, substitute.name) : plan
  return withOtherInstrument({ ...renamed, materials }, material.name, substitute.name)
}

/** Where the material was what is measured with, the method changes with it, marks and wobble and all. */
function withOtherInstrument(plan: Plan, oldName: string, newName: string): Plan {
  const tool = testOf(plan).method?.tool.toLowerCase() ?? ''
  const old = oldName.toLowerCase()
  if (tool === '' || (!old.includes(tool) && !tool.includes(old))) return plan
  const said = newName.toLowerCase()
  const instrument = [...INSTRUMENTS]
    .sort((a, b) => b.tool.length - a.tool.length)
    .find((one) => WAYS_OF_READING[one.reads].isAmount && one.tool !== '' && said.includes(one.tool.toLowerCase()))
  return withMethod(plan, (method) => (instrument ? withInstrument(method, instrument) : { ...method, tool: newName }))
}

type Open<Code extends WayOut['code']> = Omit<Extract<WayOut, { code: Code }>, 'minutes'>

function substitutes(plan: Plan, material: Material, { customs }: School): Open<'substitute'>[] {
  return material.substitutes
    .filter(({ name }) => name.trim() !== '')
    .map((substitute) => {
      const after = withSubstitute(plan, material.id, substitute.id)
      const there = substitute.stock.trim() === '' ? undefined : readAmount(substitute.stock, kitchenOf(customs))
      const short = shortOf(after, material, { ...NO_SCHOOL, customs })
      const changed = JSON.stringify(testOf(plan).measure) !== JSON.stringify(testOf(after).measure)
      return {
        code: 'substitute',
        material: material.id,
        substitute: substitute.id,
        effect: material.condition === null ? 'all-alike' : 'other-condition',
        stillShort: there?.ok ? short : undefined,
        chances: changed ? chancesOf(plan, after) : undefined,
      }
    })
}

/** What is used again can go round: as many as there are, if there is one at all. */
function rota(plan: Plan, material: Material, need: Need): Open<'rota'>[] {
  const copies = Math.floor(need.supply.stock ?? 0)
  const each = need.amount.ok && need.amount.whole ? need.amount.value : 1
  const fits = material.use === 'again' && material.per !== 'class' && material.condition === null && each === 1
  return fits && copies >= 1 && copies < plan.groups.length ? [{ code: 'rota', material: material.id, copies }] : []
}

function buy(material: Material, need: Need): Open<'buy'> {
  const { packs, short } = need
  return {
    code: 'buy',
    material: material.id,
    packs: packs?.count,
    amount: short,
    cost: packs?.cost,
    leftOver: packs?.leftOver,
  }
}

/** The most conditions a group can still do with what is there. */
function shareOut(plan: Plan, material: Material, school: School): Open<'share-out'>[] {
  for (let each = conditionsEach(plan) - 1; each >= fewestShared(plan); each -= 1) {
    const after: Plan = { ...plan, arrangement: { ...plan.arrangement, way: 'share-out', each } }
    if (conditionsEach(after) === each && shortOf(after, material, school) === 0) {
      return [{ code: 'share-out', material: material.id, each, chances: chancesOf(plan, after) }]
    }
  }
  return []
}

/** One apparatus at which all groups take turns, where there is at least one of what is scarce. */
function together(plan: Plan, material: Material, school: School): Open<'together'>[] {
  const after = togetherOn(plan)
  const possible = material.use === 'again' && arrangementOf(plan) !== 'together' && arrangementOf(after) === 'together'
  if (!possible || shortOf(after, material, school) > 0) return []
  const trials = [...trialsByGroup(after).values()].reduce((sum, own) => sum + own.length, 0)
  return [{ code: 'together', material: material.id, trials, chances: chancesOf(plan, after) }]
}

function togetherOn(plan: Plan): Plan {
  return { ...plan, arrangement: { ...plan.arrangement, way: 'together' } }
}

function chancesOf(before: Plan, after: Plan): Chances | undefined {
  const [now, then] = [outlookOf(before)?.clear, outlookOf(after)?.clear]
  return now === undefined || then === undefined ? undefined : { before: now, after: then }
}

/** The most groups for which it is enough, none larger than six. */
function fewerGroups(plan: Plan, material: Material, school: School, newId: () => string): Open<'fewer-groups'>[] {
  if (isEachChild(plan)) return []
  for (let groups = plan.groups.length - 1; groups >= 2; groups -= 1) {
    const largest = Math.ceil(plan.children / groups)
    if (largest > LARGEST_GROUP) break
    if (shortOf(withGroups(plan, groups, newId), material, school) === 0) {
      return [{ code: 'fewer-groups', material: material.id, groups, largest }]
    }
  }
  return []
}

function shortOf(plan: Plan, material: Material, school: School): number {
  const alone = { ...plan, materials: plan.materials.filter(({ id }) => id === material.id) }
  return needsOf(alone, school)[0]!.short
}

/** A scarce thing as the limit of a class: so many groups with their own, or every group in so many rounds. */
export interface ScarceLimit {
  material: string
  stock: number
  /** Groups that can have their own; undefined when these would be too few or too large. */
  groups: number | undefined
  /** Rounds in which all groups of now get it. */
  rounds: number
  /** The fewest that could go round without anybody waiting. */
  enoughGoingRound: number
}

/** What of the kit is used again, one for each group, and too scarce for the groups there are. */
export function scarceLimits(plan: Plan, school: School): ScarceLimit[] {
  return needsOf(plan, school).flatMap((need, place): ScarceLimit[] => {
    const material = plan.materials[place]!
    const stock = Math.floor(need.supply.stock ?? 0)
    if (need.short === 0 || material.use !== 'again' || material.per !== 'group' || stock < 1) return []
    const fits = !isEachChild(plan) && stock >= 2 && Math.ceil(plan.children / stock) <= LARGEST_GROUP
    const enoughGoingRound = fewestGoingRound({
      groups: plan.groups.length,
      trial: secondsOfTrial(plan),
      hold: plan.clock.trial.read,
    })
    return [
      {
        material: material.id,
        stock,
        groups: fits ? stock : undefined,
        rounds: Math.ceil(plan.groups.length / stock),
        enoughGoingRound,
      },
    ]
  })
}
