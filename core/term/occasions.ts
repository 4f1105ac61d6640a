import { activeConditions, keptFactors, type Kind, type Plan } from '../lesson'
import { testOf } from '../test'
import { unitOf, type Dimension } from '../quantity'
import { SKILLS, type Skill } from '../reports'

/** Something that a lesson gives children the occasion to practise: a skill, a kind of test, or measuring something. */
export type Occasion = Skill | `kind:${Kind}` | `measure:${Dimension}`

/**
 * What a plan gives occasion to practise, if the lesson goes as planned. What was really practised the record shows.
 * @returns skills in the order of a lesson, then its kind, then what is measured
 * @example occasionsOf(soakUpPlan()).slice(-2) // => ['kind:fair-test', 'measure:length']
 */
export function occasionsOf(plan: Plan): Occasion[] {
  const { method, way, kind } = testOf(plan)
  const measures = way.isAmount
  const again = plan.repeats > 1
  const compares = activeConditions(plan).length > 1
  const hook = plan.wonder.hook !== ''
  const given: Record<Skill, boolean> = {
    noticing: hook,
    asking: hook,
    'fair-testing': kind.compares && compares && keptFactors(plan).length > 0,
    predicting: compares,
    measuring: measures,
    repeating: again,
    observing: kind.watches || way.fromWords,
    'judging-odd': measures && again,
    averaging: measures && again && plan.average !== 'none',
    graphing: compares || kind.watches,
    concluding: method !== undefined,
    'weighing-evidence': method !== undefined && compares,
  }
  const kinds: Occasion[] = method ? [`kind:${plan.kind}`, `measure:${unitOf(method.unit).dimension}`] : []
  return [...SKILLS.filter((skill) => given[skill]), ...kinds]
}

/**
 * What a lesson practised: of one that has begun the skills that its record shows, with its kind and what it measured; of one that is
 * still to come what its plan gives occasion to.
 * @example practisedIn({ practises: ['measuring', 'kind:order'], skills: ['noticing'], begun: true }) // => ['noticing', 'kind:order']
 */
export function practisedIn({ practises, skills, begun }: { practises: Occasion[]; skills: Skill[]; begun: boolean }): Occasion[] {
  return begun ? [...skills, ...practises.filter((one) => one.includes(':'))] : practises
}
