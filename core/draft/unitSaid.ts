import { unitNamed, type UnitCode } from '../quantity'

export const UNIT_SAID =
  /\b(?:in|with the) (mm|millimetres?|cm|centimetres?|m|metres?|inch(?:es)?|seconds?|s|minutes?|grams?|g|kg|ml|millilitres?|newtons?|degrees|°\s?[cf]|decibels?)\b/i
export const TOOLS: [UnitCode, RegExp][] = [
  [
    's',
    /\bstop ?watch(?:es)?\b|\btimers? (?:in|to)\b|\b(?:stop the )?time (?:it|them|how)\b|\bstop the (?:time|clock)\b|\btiming\b/i,
  ],
  ['g', /\b(?:kitchen |digital )?scales\b/i],
  ['degC', /\bthermometers?\b/i],
  ['N', /\bforce ?meters?\b|\bnewton ?meters?\b/i],
  ['cm', /\b(?:tape measure|metre stick|measuring tape|rulers?)\b/i],
  ['mL', /\b(?:measuring jug|measuring cylinder|syringe)\b/i],
]

export const BY_TOOL: Partial<Record<UnitCode, string>> = {
  s: 'how long it takes',
  g: 'the mass',
  degC: 'the temperature',
  N: 'the pull',
}

/** The unit that a line names, or the one of the tool that it names. */
export function unitSaidIn(text: string): UnitCode | undefined {
  const said = UNIT_SAID.exec(text)?.[1]
  if (said) return /^degrees$/i.test(said) ? 'degC' : unitNamed(said.replace(/\s/g, ''))
  return TOOLS.find(([, words]) => words.test(text))?.[0]
}
