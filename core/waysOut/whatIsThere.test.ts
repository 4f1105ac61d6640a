import { expect, it } from 'vitest'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { counter, thermometers } from '../../test/ready'
import { needsOf, NO_SCHOOL, withThings, type School, type Thing } from '../kit'
import { takenInsteadWords } from '../wording'
import { planFrom } from '../test'
import { withWhatIsThere } from '.'

const thing = (name: string, stock: number): Thing => ({ ...thermometers, id: name, name, stock })
const begun = (id: string, ...things: Thing[]) => {
  const school: School = { ...NO_SCHOOL, things }
  const plan = withThings(planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, counter('g')), things)
  return { ...withWhatIsThere(plan, school, counter('n')), school, before: plan }
}

it('takes a substitute that the cupboard has for what it lacks', () => {
  const { taken, plan } = begun('swing-time', thing('metre stick', 9))
  expect(taken.map(takenInsteadWords)).toEqual(['Tape measure: Take metre stick'])
  expect(plan.materials.find(({ id }) => id === 'tapes')!.thing).toBe('metre stick')
})

it('lets too few instruments go round, and leaves the plan alone where everything or nothing is there', () => {
  const { taken, plan, school, short } = begun('sugar-vanish', thing('thermometer', 3))
  expect(taken.map(({ way }) => way.code)).toEqual(['rota'])
  expect(needsOf(plan, school).find(({ material }) => material === 'thermometers')!.short).toBe(0)
  expect(short).toEqual([])
  expect(begun('sugar-vanish').taken).toEqual([])
  const enough = begun('sugar-vanish', thing('thermometer', 30))
  expect(enough.plan).toEqual(enough.before)
})

it('names what is still short when nothing helps', () => {
  const { short } = begun('froth-tower', { ...thing('dried yeast', 0), unit: 'tsp' })
  expect(short).toEqual(['dried yeast'])
})
