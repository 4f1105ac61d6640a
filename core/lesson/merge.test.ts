import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyPlan, mergePlans, newMaterial, withClashAs, type Plan } from '.'

const base: Plan = {
  ...emptyPlan('Puffin', 28, () => 'g'),
  title: 'Soak-up strips',
  resetList: ['fresh strip', 'water at the line'],
  materials: [newMaterial('a', 'tissue'), newMaterial('b', 'ruler'), newMaterial('c', 'tray')],
}
const changed = (change: (draft: Plan) => void) => {
  const draft = structuredClone(base)
  change(draft)
  return draft
}

describe('two desks on one plan', () => {
  it('keeps what either of them changed, added and took away', () => {
    const mine = changed((draft) => {
      draft.title = 'Strips'
      draft.materials[0]!.amount = '2 strips'
      draft.materials.push(newMaterial('d', 'tape'))
      draft.resetList.push('ruler at zero')
    })
    const theirs = changed((draft) => {
      draft.repeats = 5
      draft.materials[0]!.cautions = ['spill']
      draft.materials.splice(1, 1)
      draft.materials.push(newMaterial('e', 'jug'))
      draft.resetList.shift()
    })
    const { plan, clashes } = mergePlans(base, mine, theirs)
    expect(clashes).toEqual([])
    expect(plan).toMatchObject({ title: 'Strips', repeats: 5, resetList: ['water at the line', 'ruler at zero'] })
    expect(plan.materials.map(({ id }) => id)).toEqual(['a', 'c', 'd', 'e'])
    expect(plan.materials[0]).toMatchObject({ amount: '2 strips', cautions: ['spill'] })
  })

  it('a card that one takes away and the other works on stays', () => {
    const mine = changed((draft) => void draft.materials.shift())
    const theirs = changed((draft) => void (draft.materials[0]!.amount = '3 strips'))
    expect(mergePlans(base, mine, theirs).plan.materials.find(({ id }) => id === 'a')).toMatchObject({ amount: '3 strips' })
    expect(mergePlans(base, theirs, mine).plan.materials).toHaveLength(3)
  })

  it('names the place that both changed differently, keeps mine, and can take theirs', () => {
    const mine = changed((draft) => void (draft.materials[1]!.amount = '3'))
    const theirs = changed((draft) => void (draft.materials[1]!.amount = '2'))
    const { plan, clashes } = mergePlans(base, mine, theirs)
    expect(clashes).toEqual([{ path: ['materials', 'b', 'amount'], mine: '3', theirs: '2' }])
    expect(plan).toEqual(mine)
    expect(withClashAs(plan, clashes[0]!, '2')).toEqual(theirs)
  })

  it('what only one of them did is taken as it is, and changes of different fields do not depend on who was first', () => {
    const edits = fc.array(
      fc.oneof(
        fc.record({ what: fc.constant('title' as const), to: fc.string({ maxLength: 8 }) }),
        fc.record({ what: fc.constant('repeats' as const), to: fc.integer({ min: 1, max: 9 }) }),
        fc.record({ what: fc.constant('add' as const), to: fc.uuid() }),
        fc.record({ what: fc.constant('take' as const), to: fc.nat({ max: 2 }) }),
        fc.record({ what: fc.constant('reset' as const), to: fc.string({ minLength: 1, maxLength: 8 }) }),
      ),
      { maxLength: 5 },
    )
    const edited = (list: { what: string; to: string | number }[]) =>
      changed((draft) => {
        for (const { what, to } of list) {
          if (what === 'title') draft.title = String(to)
          if (what === 'repeats') draft.repeats = Number(to)
          if (what === 'add') draft.materials.push(newMaterial(String(to), 'more'))
          if (what === 'take') draft.materials.splice(Number(to), 1)
          if (what === 'reset') draft.resetList.push(String(to))
        }
      })
    fc.assert(
      fc.property(edits, (list) => {
        const mine = edited(list)
        expect(mergePlans(base, mine, base)).toEqual({ plan: mine, clashes: [] })
        expect(mergePlans(base, base, mine)).toEqual({ plan: mine, clashes: [] })
        expect(mergePlans(base, mine, mine)).toEqual({ plan: mine, clashes: [] })
      }),
    )
    fc.assert(
      fc.property(edits, edits, (one, other) => {
        const [a, b] = [edited(one), edited(other)]
        const [there, back] = [mergePlans(base, a, b), mergePlans(base, b, a)]
        expect(there.clashes.map(({ path }) => path)).toEqual(back.clashes.map(({ path }) => path))
        const ids = ({ plan }: typeof there) => plan.materials.map(({ id }) => id).sort()
        expect(ids(there)).toEqual(ids(back))
        const kept = new Set(ids(there))
        for (const { id } of [...a.materials, ...b.materials])
          if (!base.materials.some((card) => card.id === id)) expect(kept.has(id)).toBe(true)
      }),
    )
  })
})
