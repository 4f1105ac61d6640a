import { describe, expect, it } from 'vitest'
import { INVESTIGATIONS } from '../../schemas/investigations'
import type { Thing } from '../../core/kit'
import type { Investigations, ShelfPage } from '../../schemas/contract'
import { ownLibrary } from './ownLibrary'

const { client } = ownLibrary()

const walk = async () => (await client().call<{ lesson: string | null }>('GET', '/api/demo/walk')).body.lesson
const cupboard = async () => (await client().call<{ things: Thing[] }>('GET', '/api/cupboard')).body.things
const library = async () => (await client().call<Investigations>('GET', '/api/investigations')).body

describe('the library before anything is there', () => {
  it('offers no walk, and every investigation with its kit, of which an empty cupboard says nothing', async () => {
    expect(await walk()).toBeNull()
    const { investigations, className, children, classes } = await library()
    expect(investigations.map(({ id }) => id)).toEqual(Object.keys(INVESTIGATIONS))
    for (const { question, needs, ages, minutes } of investigations) {
      expect([question.endsWith('?'), needs.length > 0, ages.length > 0, minutes > 0]).toEqual([true, true, true, true])
      expect(needs.every(({ stocked }) => stocked === 'not-listed')).toBe(true)
    }
    expect([className, children, classes]).toEqual(['My class', 28, []])
  })
})

describe('the demo class', () => {
  it('comes onto the shelf when it is wanted, offers its walk once, and a second time doubles nothing in the cupboard', async () => {
    const { id } = (await client().call<{ id: string }>('POST', '/api/demo')).body
    expect(await walk()).toBe(id)
    const things = await cupboard()
    expect(things.length).toBeGreaterThan(5)
    expect((await client().open(id)).record.readings.length).toBeGreaterThan(80)
    expect((await client().call('DELETE', '/api/demo/walk')).status).toBe(200)
    expect(await walk()).toBeNull()

    await client().call('POST', '/api/demo')
    expect((await cupboard()).map(({ name }) => name)).toEqual(things.map(({ name }) => name))
    expect((await client().call<ShelfPage>('GET', '/api/lessons')).body.lessons).toHaveLength(6)
  })

  it('fills the cupboard, and a card says what is there, too few or not listed for this class', async () => {
    const { investigations } = await library()
    const soakUp = investigations.find(({ id }) => id === 'soak-up-strips')!
    expect(new Set(soakUp.needs.map(({ stocked }) => stocked))).toEqual(new Set(['there', 'too-few', 'not-listed']))
  })
})

describe('a new lesson', () => {
  it('is for the class that is said, and for the last one where none is', async () => {
    const begin = (body: object) => client().call<{ id: string }>('POST', '/api/lessons', body)
    const { id } = (await begin({ investigation: 'bounce-back', className: 'Wren', children: 9 })).body
    const { plan } = (await client().open(id)).lesson
    expect([plan.className, plan.children, plan.groups.reduce((sum, { seats }) => sum + seats, 0)]).toEqual(['Wren', 9, 9])
    const next = (await client().open((await begin({ investigation: null })).body.id)).lesson.plan
    expect([next.className, next.children]).toEqual(['Wren', 9])
    for (const wrong of [{ children: 0.5 }, { children: -1 }, { className: 'x'.repeat(300) }, { children: 'many' }]) {
      const refused = await begin({ investigation: null, ...wrong })
      expect([refused.status, refused.body]).toMatchObject([400, { code: 'invalid' }])
    }
  })
})
