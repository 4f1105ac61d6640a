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
