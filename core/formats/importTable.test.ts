import { describe, expect, it } from 'vitest'
import { reading, soakUpPlan } from '../../test/soakUp'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { importedWords, skipWords } from '../wording'
import { planFrom } from '../test'
import { hasHeading, matchColumns, readCsv, readImport, type ColumnMatch } from '.'

const plan = soakUpPlan()
const roles = (text: string) =>
  matchColumns(plan, readCsv(text)).map(({ role, condition, repeat }) =>
    [role, condition, repeat].filter((part) => part !== null).join(' '),
  )
const taken = (text: string, change: { matches?: ColumnMatch[]; group?: string } = {}, readings = [reading({ id: 'there' })]) => {
  const rows = readCsv(text)
  const choices = { matches: change.matches ?? matchColumns(plan, rows), unit: 'mm' as const, group: change.group ?? null }
  return readImport(plan, rows, choices, readings)
}

it('a class that writes a start and a finish may bring them in a table, too; any other is asked', () => {
  const table = 'Team,tissue\nAlder,12 to 68\n'
  expect(taken(table)[0]!.skip).toMatchObject({ code: 'bad-value' })
  const written = [reading({ group: 'g2', entered: '10 to 60', value: 50 })]
  expect(taken(table, {}, written)[0]!.reading).toMatchObject({ value: 56, unit: 'mm', entered: '12 to 68' })
})

describe('columns of a foreign table', () => {
  it('are matched by heading and by what stands in them', () => {
    expect(roles('Team;Paper;Try;Height (cm);Note\nAlder;tissue;1;5,1;\nBirch;card;1;1,4;leaked\n')).toEqual([
      'group',
      'condition',
      'repeat',
      'value',
      'reason',
    ])
    expect(roles('who,A1,A2,tissue 1,card\nAlder,61,58,50,14\n')).toEqual([
      'group',
      'value kitchen-roll 1',
      'value kitchen-roll 2',
      'value tissue 1',
      'value card',
    ])
    expect(roles('Alder\ttissue\t50\nBirch\ttissue\t52\n')).toEqual(['group', 'condition', 'value'])
  })

  it('have a heading only where the first row is not a row of its own', () => {
    expect(
      hasHeading(plan, [
        ['Team', 'Height'],
        ['Alder', '50'],
      ]),
    ).toBe(true)
    expect(
      hasHeading(plan, [
        ['Alder', '50'],
        ['Birch', '52'],
      ]),
    ).toBe(false)
  })
})

describe('a preview', () => {
  it('takes decimal commas, units in cells and headings, and counts repeats as they come', () => {
    const cells = taken('Team;Paper;Height (cm)\nAlder;tissue;5,1\nAlder;tissue;49 mm\nBirch;B;0.05 m\n')
    expect(cells.map(({ reading: one }) => one && [one.group, one.repeat, one.value, one.unit, one.entered])).toEqual([
      ['g1', 1, 5.1, 'cm', '5,1'],
      ['g1', 2, 4.9, 'cm', '49 mm'],
      ['g2', 1, 5, 'cm', '0.05 m'],
    ])
  })

  it('says of every cell that it passes over why', () => {
    const table = [
      'group,condition,repeat,value,unit',
      'Zebra,A,1,5,mm',
      'Alder,Z,1,5,mm',
      'Alder,B,21,5,mm',
      'Alder,B,1,tall,mm',
      'Alder,B,1,5,kg',
      'Alder,B,1,5,furlong',
      'Alder,B,1,,mm',
      'Alder,A,1,61,mm',
      'Alder,A,1,62,mm',
    ].join('\n')
    const cells = taken(table)
    expect(cells.map(({ skip }) => skip?.code)).toEqual([
      'unknown-group',
      'unknown-condition',
      'bad-repeat',
      'bad-value',
      'wrong-kind-of-unit',
      'unknown-unit',
      'no-value',
      'there-already',
      'place-taken',
    ])
    for (const cell of cells) expect(skipWords(cell)).not.toBe('')
  })

  it('takes a table without groups for the one that is named, and passes over the gaps of a wide one', () => {
    expect(taken('A1,tissue 1\n61,\n', {}, []).map(({ skip }) => skip?.code)).toEqual(['no-group'])
    const [cell, ...none] = taken('A1,tissue 1\n61,\n', { group: 'g3' }, [])
    expect(none).toEqual([])
    expect(importedWords(plan, cell!)).toBe('Cedar, A kitchen roll, repeat 1: 61\u202fmm')
  })

  it('sets aside what the table sets aside, with its reason', () => {
    const [cell] = taken('group,condition,value,note\nAlder,B,99,set aside: it leaked\n')
    expect(cell!.reading).toMatchObject({ status: 'set-aside', reason: 'set aside: it leaked' })
  })

  it('needs the time of reading where there are several', () => {
    const sprouts = planFrom(
      INVESTIGATIONS['sprout-watch']!,
      'Puffin',
      26,
      (() => {
        let last = 0
        return () => `g${(last += 1)}`
      })(),
    )
    const rows = readCsv('group,condition,day,value\nAlder,A,day 4,12\nAlder,A,day 5,13\n')
    const matches = matchColumns(sprouts, rows).map((match, column) =>
      column === 2 ? { ...match, role: 'moment' as const } : match,
    )
    const cells = readImport(sprouts, rows, { matches, unit: 'mm', group: null }, [])
    expect(cells[0]!.reading).toMatchObject({ moment: 't4', value: 12 })
    expect(cells[1]!.skip).toEqual({ code: 'unknown-moment', detail: 'day 5' })
  })
})

describe('tables as people keep them at home and in class', () => {
  const method = plan.measures[0]!.method!
  const kitchen = plan.conditions.slice(0, 1)
  const beforeAfter = soakUpPlan({ kind: 'before-after' })
  const overDays = soakUpPlan({
    kind: 'over-time',
    date: '2026-03-12',
    watch: { ...plan.watch, unit: 'day', times: [0, 1, 4] },
    measures: [{ ...plan.measures[0]!, method: { ...method, counts: 'last' } }],
  })
  const said = (of: typeof plan, text: string) => {
    const rows = readCsv(text)
    const cells = readImport(of, rows, { matches: matchColumns(of, rows), unit: 'mm', group: null }, [])
    return cells.map((cell) =>
      cell.reading
        ? [cell.reading.group, cell.reading.condition, cell.reading.moment, cell.reading.value].join(' ')
        : cell.skip!.code,
    )
  }

  it('start and left stand in two columns, with or without the thing they are of', () => {
    const both = ['g1 tissue before 250', 'g1 tissue after 200', 'g2 card before 260', 'g2 card after 240']
    expect(said(beforeAfter, 'Team,Paper,Start,What is left\nAlder,tissue,250,200\nBirch,card,260,240\n')).toEqual(both)
    expect(said(beforeAfter, 'Team,Tissue start,Tissue left\nAlder,250,200\n')).toEqual(both.slice(0, 2))
    expect(said(beforeAfter, 'Team,before: B,after: B\nAlder,250,200\n')).toEqual(both.slice(0, 2))
  })

  it('“250 to 200” is two readings where a plan reads before and after', () => {
    const both = ['g1 tissue before 250', 'g1 tissue after 200']
    expect(said(beforeAfter, 'Team,Paper,Water\nAlder,tissue,250 to 200\n')).toEqual(both)
    expect(said(beforeAfter, 'Alder,tissue,25 cm → 20 cm\nAlder,tissue,250 to some\n')).toEqual([...both, 'no-moment'])
    expect(said(beforeAfter, 'Team,Paper,Water\nAlder,tissue,250\n')).toEqual(['no-moment'])
  })

  it('weekdays and dates are the moments of a plan over days, in a column or over the columns', () => {
    const three = ['g1 tissue t0 5', 'g1 tissue t1 8', 'g1 tissue t4 14']
    for (const heading of [
      ['Thursday', 'Fri', 'Monday'],
      ['12 March', '13 March', '16 March'],
      ['12/3', '13/3', '16/03'],
      ['12.3.', '13.3.', '16.3.2026'],
      ['2026-03-12', '2026-03-13', '2026-03-16T00:00:00.000Z'],
      ['Thu 12 Mar', 'Fri. 13th March', 'Mon, 16 Mar'],
      ['March 12', 'Mar 13', '3/16/2026'],
      ['0', '1', '4'],
      ['day 0', 'day 1', 'day 4'],
    ])
      expect(
        said(overDays, `Team,Paper,${heading.map((day) => `"${day}"`).join()}\nAlder,tissue,5,8,14\n`),
        heading.join(),
      ).toEqual(three)
    expect(said(overDays, 'Team,Paper,When,Height\nAlder,tissue,Thu,5\nAlder,tissue,13/3,8\nAlder,tissue,Mon 16 Mar,14\n')).toEqual(
      three,
    )
    expect(said(overDays, 'Team,Paper,When,Height\nAlder,tissue,Sunday,5\n')).toEqual(['unknown-moment'])
    // Two Thursdays: nobody knows which.
    const twice = { ...overDays, watch: { ...overDays.watch, times: [0, 7] } }
    expect(said(twice, 'Team,Paper,When,Height\nAlder,tissue,Thu,5\n')).toEqual(['unknown-moment'])
  })

  it('the only thing that is looked at needs no column', () => {
    expect(said({ ...plan, conditions: kitchen }, 'Team,Height\nAlder,61\nBirch,58\n')).toEqual([
      'g1 kitchen-roll  61',
      'g2 kitchen-roll  58',
    ])
    expect(said(plan, 'Team,Height\nAlder,61\n')).toEqual(['no-condition'])
  })
})
