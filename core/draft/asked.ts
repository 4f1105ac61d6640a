import type { Plan } from '../lesson'

import { isBestKnown, kindOf } from '../test'
import type { DraftQuestion } from './parts'
import type { LineRead } from './readLine'
import { ANY, type Usual } from './usual'

const MOST_ASKED = 3

/** What a line does not say and nobody should assume: at most three, the one that the others hang on first. */
export function askedOf(read: LineRead, usual: Usual, plan: Plan): DraftQuestion[] {
  const { needsChange, fewestConditions, changesOne, readsTwice, watches, allAtOnce } = kindOf(plan)
  const tells = usual.tells ?? ANY.tells!
  const all: (DraftQuestion | undefined)[] = [
    read.measure === '' || read.open.length > 0
      ? { part: 'measure', choices: read.open.length > 0 ? read.open : tells }
      : undefined,
    needsChange && read.change === '' && !readsTwice && !watches ? { part: 'change', choices: changesFor(read, usual) } : undefined,
    plan.conditions.length < fewestConditions && !readsTwice ? { part: 'conditions', choices: levelsFor(read) } : undefined,
    read.measure !== '' && read.open.length === 0 && read.unit === undefined && read.way === undefined && !allAtOnce
      ? { part: 'unit', choices: ['s', 'cm', 'g', 'count', 'words'] }
      : undefined,
    read.measure !== '' && read.open.length === 0 && read.unit !== undefined && changesOne && !isBestKnown(plan)
      ? { part: 'best', choices: ['most', 'least', 'none'] }
      : undefined,
  ]
  return all.filter((one) => one !== undefined).slice(0, MOST_ASKED)
}

/** What the conditions could differ in. */
function changesFor({ conditions }: LineRead, usual: Usual): string[] {
  return conditions.length > 0
    ? ['the kind of thing', 'the place', 'the wrapping', 'the amount']
    : usual.factors.slice(0, 3).map(({ name }) => name)
}

/** Even steps for what is a number; for kinds nobody but the teacher knows. */
const STEPS: [RegExp, string[]][] = [
  [/\b(?:temperature|warmth)\b/i, ['15, 25, 35 and 45 °C']],
  [/\b(?:length|height|distance|dropped)\b/i, ['20, 40, 60 and 80 cm', '25, 50, 75 and 100 cm']],
  [/\bnumber of\b/i, ['1, 2, 4 and 6', '1, 2, 3 and 4']],
  [/\bamount\b/i, ['a little, some and a lot', '1, 2 and 3 tsp']],
  [/\bangle\b/i, ['10, 20, 30 and 40']],
  [/\bsize\b/i, ['small, medium and large']],
  [/\bthin\b|\bthickness\b/i, ['thin, medium and thick']],
  [/\bhow full\b/i, ['a quarter, half and full']],
  [/\blight\b/i, ['light and dark']],
  [/\bplace\b/i, ['window sill, shelf and cupboard']],
]

function levelsFor({ change }: LineRead): string[] {
  return STEPS.find(([words]) => words.test(change))?.[1] ?? []
}
