import { isLiquid, materialsFromPlan } from '../kit'
import { LONGEST, mainWords, newMaterial, type Factor, type Material, type Plan } from '../lesson'
import { kindOf } from '../test'
import { factorOf, type Step } from './fill'
import type { LineRead } from './readLine'
import { ANY, type UsualFactor } from './usual'
import { MADE_OF, QUALITY_OF } from './words'

/** Things that are usually kept the same; what the changed card speaks of already is none of them. */
export function withUsual({ plan, line, read, usual, newId }: Step): Plan {
  const own = `${read.change} ${read.conditions.join(' ')}`
  const known = mainWords(read.change)
  const wanted = [...new Map([...usual.factors, ...ANY.factors.slice(0, 1)].map((one) => [one.name, one])).values()]
    .filter(({ name, unless }) => !unless?.test(own) && !sharesAll(name, known))
    .slice(0, 5)
  const said = minutesSaid(line)
  const kept = ({ name, lasts }: UsualFactor): Factor => ({
    ...factorOf(name, newId()),
    how: lasts ? said : '',
  })
  const factors = kindOf(plan).compares || kindOf(plan).improves ? wanted.map(kept) : []
  const trial = Object.values(plan.clock.trial).some((seconds) => seconds > 0) ? plan.clock.trial : usual.trial
  const coming = (kindOf(plan).compares ? comingWithPlace(read, usual.factors) : []).map(({ name }): Factor => ({
    ...factorOf(name, newId()),
    comesWith: true,
  }))
  return {
    ...plan,
    factors: [...plan.factors, ...factors, ...coming],
    things: usual.fresh ? 'fresh' : plan.things,
    clock: { ...plan.clock, trial },
  }
}

/** What nobody can keep the same from one place to the next. */
function comingWithPlace({ change }: LineRead, usual: UsualFactor[]): UsualFactor[] {
  return /\b(?:places?|where|rooms?|spots?)\b/i.test(change) ? usual.filter(({ ofPlace }) => ofPlace) : []
}

/** "We hang them in water for a minute": so long each time. */
function minutesSaid(line: string): string {
  return /\bfor (?<time>(?:an?|one|two|three|five|ten|\d+) (?:seconds?|minutes?|hours?))\b/i.exec(line)?.groups?.time ?? ''
}

function sharesAll(name: string, known: string[]): boolean {
  const own = mainWords(name)
  return own.length > 0 && own.every((word) => known.includes(word))
}

/** No thing that anybody packs: places, amounts, qualities. */
const NO_THING =
  /^the (?:place|light|amount|temperature|height|length|size|angle|distance|cover|lid|number|weight|depth|speed)\b|^how\b/i

export function withKit({ plan, line, read, usual, newId }: Step): Plan {
  const own = `${line} ${read.change} ${read.conditions.join(' ')}`
  const named = plan.materials.map(({ name }) => name.toLowerCase())
  const usually = usual.things
    .filter(({ name, unless }) => !unless?.test(own) && !named.includes(name.toLowerCase()))
    .map(({ name, amount, per, use }): Material => ({ ...newMaterial(newId(), name, amount), per, perSaid: true, use }))
  const packed = { ...plan, materials: [...plan.materials, ...usually] }
  const isThing =
    !kindOf(plan).improves &&
    !kindOf(plan).readsTwice &&
    !NO_THING.test(read.change) &&
    read.as === 'kinds' &&
    read.conditions.length > 0
  const fromPlan = materialsFromPlan(isThing ? packed : { ...packed, conditions: [] }, newId)
  return {
    ...packed,
    materials: [
      ...packed.materials,
      ...fromPlan.map((material) => conditionThing(material, plan, read)).filter(({ name }) => !/^(?:nothing|none)\b/i.test(name)),
    ],
  }
}

/** Nobody packs one of it: the amount is asked for in the kit. */
const OF_NO_PIECES = /\b(?:soap|sugar|salt|sand|soil|flour|paste|gel)$/i

/** "wooden" of a spoon is a wooden spoon. */
function conditionThing(material: Material, plan: Plan, { change }: LineRead): Material {
  const noun = /^the (?:kind|size|colour|shape) of (?:the )?(.+)$/i.exec(change)?.[1]
  const words = material.name.split(' ')
  const plain = words.length === 1 && (QUALITY_OF.has(words[0]!.toLowerCase()) || MADE_OF.has(words[0]!.toLowerCase()))
  const use = plan.things === 'fresh' ? 'up' : 'again'
  const amount = isLiquid(material.name) || OF_NO_PIECES.test(material.name) ? '' : material.amount
  return material.condition === null
    ? material
    : {
        ...material,
        amount,
        name: (noun && plain ? `${material.name} ${noun}` : material.name).slice(0, LONGEST.name),
        use,
        per: use === 'up' ? 'trial' : 'group',
      }
}
