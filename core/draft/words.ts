/** The words that a line is read by, a list a line: what a verb, a place or a quality is called. */

const split = (words: string) => words.trim().split(/[\s,]+/)

/** Verbs of the classroom in their plain form; the endings are made. A noun ends where one of these begins. */
const PLAIN_VERBS = split(`
  absorb affect attract be become block boil bounce break bring brighten burn burst calm can carry catch change clean clear climb close come conduct
  cool could count cover cut decay dissolve do drink drip drive drop dry empty fall fill fit fizz flash float flow fly fold freeze get give glow
  go grip grow hang have hear heat hit hold insulate jump keep kill land last leak leave let lift light live look lose make matter measure
  melt move need pass pick pop pull push reach read release repel ring rise roll rot run rust scratch see set shake shine show shrink sink slide slip slow smell
  soak sound spill spin split sprout stand start stay stick stir stop store stretch survive swell swim swing take taste tear test tip travel turn use
  vanish walk warm wash wear weigh work would will pour blow press squeeze wipe rub throw twist wind sort race draw write open shut peel skip vary depend bend stretch sag prefer like muffle lean choose eat crack crumble support protect sway wobble glide scatter hatch steer bubble drain leak hover snap bite chew paint hop
  squirt seep ooze gush trickle evaporate shrivel curl unroll toss fling kick launch topple tilt collapse crush squash fade whistle hum buzz vibrate
  flicker reflect breathe crawl sprint dig suck expand harden soften thicken wilt cling grab ride sweep flick clap stack juggle`)
const IRREGULAR_FORMS = split(`
  is are was were am been has had does did goes went gone fell fallen flew flown froze frozen grew grown held kept left lost made melted ran rose
  sank sunk sat shone shook shrank stood stuck took taken tore torn went wore worn melts dries flies carries empties should might may must shall`)

/** Written like a verb and a noun: after these words ("the light", "kinds of glue") it is a noun. */
const THIRD_PERSON = (verb: string) => (/(?:s|sh|ch|x|o|z)$/.test(verb) ? `${verb}es` : verb.replace(/(?<=[^aeiou])y$/, 'ie') + 's')

export const VERBS = new Set([...PLAIN_VERBS.flatMap((verb) => [verb, THIRD_PERSON(verb)]), ...IRREGULAR_FORMS])

export const PREPOSITIONS = new Set(
  split(`in on at under over through with without into onto inside outside beside behind near above below by from to for during after before
  across against along around between off up down upon within until till when while if because that which who where as than than`),
)

/** How much there is of something, for who does not measure it. */
export const SOME_AMOUNT =
  /^(?:a little|little|a bit|some|a lot|lots|none|no|much|more|less|a few|few|many|half|full|empty|half full|plenty)$/i

/** Words that say what a thing is like: the quality that differs between them, the words for it. */
const QUALITIES_OF_THINGS: Record<string, string> = {
  size: 'small big large little tiny medium huge middle-sized bigger smaller larger sized',
  length: 'long short longer shorter',
  thickness: 'thick thin thicker thinner thinned wide narrow wider narrower',
  weight: 'heavy light heavier lighter',
  temperature: 'hot warm cold cool hotter warmer colder cooler icy lukewarm boiling',
  wetness: 'wet dry damp',
  height: 'high low tall higher lower taller',
  depth: 'deep shallow deeper shallower',
  hardness: 'hard soft harder softer',
  roughness: 'rough smooth bumpy rougher smoother',
  light: 'dark bright shady sunny light',
  colour: 'black white red blue green yellow silver brown grey gray orange pink purple dark-coloured light-coloured',
  speed: 'fast slow quick faster slower',
  strength: 'strong weak stronger weaker',
  shape: 'round square flat pointed triangular curved',
}
export const QUALITY_OF = new Map(
  Object.entries(QUALITIES_OF_THINGS)
    .flatMap(([quality, words]) => split(words).map((word): [string, string] => [word, quality]))
    .reverse(),
)

/** More words for a thing than for a quality: "a woolly mitten", "a wooden spoon". */
export const MADE_OF = new Set(
  split(`wooden woolly woollen metal plastic paper glass rubber foam cotton cardboard nylon silk steel iron soapy plain salty sweet fresh clean dirty
  wool denim fleece felt leather linen velvet foil wax clay stone brick
  old new cheap dear folded flat crumpled cut whole covered uncovered open closed sealed filled brand left right`),
)

/** What can be read of a thing: "what temperature does it have" asks for none of its kinds. */
export const READ_OF_A_THING = 'temperature|mass|weight|length|height|width|depth|size|speed'

/** "Heaviest first", and no "test first". */
export const BEST_FIRST = /\b(?!test|rest|nest|chest|vest|west|guest|forest|harvest)(?<first>\p{L}+est) first\b/iu

/** "Say if each is rough, soft or silky": what stands before the words. */
export const SAY_OF_EACH =
  /\b(?:say|write|note|decide|tell) (?:if|whether) (?:each|it|they|each one) (?:is|are|feels?|looks?|smells?) (?=\p{L}+, )/iu

/** What something can be cut or made into: "strips of wool, felt and foil" differ in what they are made of. */
export const MADE_INTO = /^(?:strips|squares|sheets|balls|pieces|bits|blocks|slices|circles|discs|lengths|sticks|cubes|rings)$/i

/** Little words before a noun. */
export const ARTICLE =
  /^(?:(?:the|a|an|our|my|your|its|their|some|any|these|those|this|that|each|every|both|only|just|either|really|nothing but)\s+)+/i

/** `singular('stones') // 'stone'` */
export function singular(noun: string): string {
  if (/(?:ss|us|is|ness)$/i.test(noun) || noun.length < 4) return noun
  if (/ies$/i.test(noun)) return noun.replace(/ies$/i, 'y')
  if (/(?:ch|sh|x|ss|z)es$/i.test(noun)) return noun.replace(/es$/i, '')
  if (/leaves$/i.test(noun)) return noun.replace(/ves$/i, 'f')
  return noun.replace(/s$/i, '')
}

/** `thirdPerson('dissolve') // 'dissolves'`, after more than one thing it stays as it is */
export function thirdPerson(verb: string, subject = 'it'): string {
  if (isPlural(subject)) return verb === 'is' ? 'are' : verb === 'has' ? 'have' : verb
  if (verb === 'have') return 'has'
  if (verb === 'be') return 'is'
  return THIRD_PERSON(verb)
}

/** Is a phrase about more than one: "seeds", "soap bubbles"; nobody is told by a material. `isPlural('the beads') // true` */
export function isPlural(phrase: string): boolean {
  const head = phrase.split(/\s+(?:of|in|on|with|from)\s+/)[0]!.trim()
  return (
    /^(?:we|they|you|i|these|those|two|three|four|five|six)\b/i.test(head) ||
    (/[^su]s$/i.test(head) && !/\b(?:glass|grass|gas|moss)$/i.test(head))
  )
}

/** The plain form of a verb as it was written. `plainVerb('drinks') // 'drink'` */
export function plainVerb(verb: string): string {
  const small = verb.toLowerCase()
  if (PLAIN_VERBS.includes(small)) return small
  return PLAIN_VERBS.find((plain) => THIRD_PERSON(plain) === small || `${plain}ed` === small || `${plain}d` === small) ?? small
}
