import { BEST_FIRST, isPlural, plainVerb, PREPOSITIONS, READ_OF_A_THING, thirdPerson, VERBS } from './words'
import { readIn, read, left, upTo, plainAdjective, type MeasureRead } from './measureRead'
import { TOOLS, BY_TOOL, unitSaidIn } from './unitSaid'
import { howClause, counted } from './howClause'
import { compared } from './compared'

/** What a line measures, by its words; undefined where they name nothing. The ways stand in their order, the plainest first. */
export function measureIn(text: string): MeasureRead | undefined {
  // "what happens to the shadow when the torch is closer": what stands behind is changed, and not measured.
  const told = text
    .replace(/(?<=\S)\s(?:if|when) .*$/iu, '')
    .replace(/^\s*(?:rank|order|sort|arrange) (?:(?:the|our|these|some|\d+|two|three|four|five|six|seven|eight) )*/iu, '')
  const found =
    counted(text) ??
    loaded(text) ??
    standing(text) ??
    howClause(text) ??
    nounNamed(text) ??
    weighed(text) ??
    measured(text) ??
    pulled(text) ??
    until(text) ??
    keptLong(text) ??
    compared(told) ??
    well(told) ??
    superlativeNoun(told) ??
    kept(text) ??
    watchedThing(text)
  const said = unitSaidIn(text)
  // What reads like nothing was not understood: it is asked.
  if (!found || NO_CARD.test(found.name))
    return said && BY_TOOL[said]
      ? { ...read(BY_TOOL[said]!, TOOLS.find(([unit]) => unit === said)?.[1].exec(text)?.[0] ?? said, said), unitSaid: true }
      : undefined
  if (!said || found.unit === 'count') return found
  const meant = found.open.find(({ unit }) => unit === said)
  if (meant) return { ...found, ...meant, unitSaid: true, open: [] }
  // A pull is how strong it is, whatever else it could mean.
  return found.open.length === 0 || said === 'N' ? { ...found, unit: said, unitSaid: true, open: [] } : found
}

/** "How long the they is", "how long you balance on can shut": no card that anybody would write. */
const NO_CARD =
  /\bthe (?:they|it|we|you|i)\b|\b(?:on|in|of|to|at) (?:can|is|are|does|do|will)\b|\bhow (?:much|many) (?:soft|hard|thick|thin|long|short|big|small) the\b/i

const NOUNS =
  'temperature|mass|weight|length|height|level|distance|time|number|amount|volume|width|depth|size|speed|loudness|pull|force|brightness|thickness|pulse|mould'
const NAMED = new RegExp(
  String.raw`\b(?:(?:change|changes|affect|affects|alter|matter for|matter to|difference to|for|happens? to|happen to|measure|measuring|find|read) (?:the |its )?(?<object>(?:${NOUNS})\b[^?.!,;:]*|(?:stretch|sag|spread|bend|splash)(?= of\b)[^?.!,;:]*|sound\b[^?.!,;:]*|bounce\b[^?.!,;:]*|shadow\b[^?.!,;:]*)|^\s*(?:the )?(?<start>(?:${NOUNS}|(?:stretch|sag|spread)(?= of))\b[^?.!;:]*))`,
  'iu',
)
/** "barrel water level each morning", "reaction time with the left hand", "what temperature does the sand have". */
const BEGINS_WITH = new RegExp(
  String.raw`^\s*(?:the )?(?<what>(?:(?!which\b|what\b|how\b|does\b|do\b|is\b|are\b|if\b|when\b|we\b|in\b|on\b|of\b|the\b|a\b)[\p{L}-]+ ){1,3}(?:temperature|level|height|length|mass|weight|depth|time|width))(?= (?:each|every|at|on|after|before|with|in|by|over|for)\b)|[:;]\s*(?:the )?(?<behind>${NOUNS})(?= (?:after|each|every|in|on)\b|[.?!]?\s*$)`,
  'iu',
)
const WHAT_IT_HAS = new RegExp(
  String.raw`\bwhat (?:is the |are the )?(?<noun>${READ_OF_A_THING}) (?:do|does|is|are|of|has|have)\s+(?<thing>(?:the |a |an |our )?[\p{L}-]+)(?: have| has)?`,
  'iu',
)
const PULSE = /\b(?:our |my |the )?(pulse|heart ?rate|heart ?beat)\b/i

/** "change the time of ten swings", "temperature of a cup of water every two minutes". */
function nounNamed(text: string): MeasureRead | undefined {
  const pulse = PULSE.exec(text)?.[1]
  if (pulse) return read('how many beats our pulse has in a minute', pulse, 'count')
  const has = WHAT_IT_HAS.exec(text)
  if (has) return read(`the ${has.groups!.noun!.toLowerCase()} of ${has.groups!.thing!.replace(/^an? /i, 'the ')}`, has[0])
  const begins = BEGINS_WITH.exec(text)
  const what = begins?.groups!.what ?? begins?.groups!.behind
  if (begins && what) return read(`the ${what.toLowerCase()}`, what)
  const match = NAMED.exec(text)
  const said = match?.groups!.object ?? match?.groups!.start
  if (match && said) {
    const short = upTo(
      said,
      /,|\s(?:every|each|with|without|when|if|at \d|from \p{L}+ to|in (?:cm|mm|g|seconds)|for \d|for (?:a|ten|two)|before|after|over)\b/iu,
    )
    const name = /^(?:time|distance)\s+(?:a|an|the|it|our)\b/i.test(short)
      ? `the ${short}`
      : /^(?:the|its)\b/i.test(short)
        ? short
        : `the ${short}`
    return read(name, said === short ? match[0] : short)
  }
  const shadow = /\b(?:height|length) in (?:cm|mm)\b/i.exec(text)?.[0]
  if (shadow) return read(`the ${shadow.split(' ')[0]!.toLowerCase()}`, shadow)
  const thermometers = /\bthermometers?\b/i.exec(text)?.[0]
  return thermometers && !COMPARED.test(text) ? read('the temperature', thermometers, 'degC') : undefined
}

const COMPARED = /\b\p{L}+(?:er|est)\b than|\bwarmer\b|\bcolder\b|\bhotter\b|\bhottest\b|\bwarmest\b|\bcoldest\b/iu

/** "we weigh a bag of ice", "what does the sponge weigh". */
function weighed(text: string): MeasureRead | undefined {
  const does = /\b(?:what|how much) (?:does|do|did) (?<thing>.{2,40}?) weigh\b/i.exec(text)
  if (does) return read(`how much ${does.groups!.thing!} ${isPlural(does.groups!.thing!) ? 'weigh' : 'weighs'}`, does[0], 'g')
  const what = /\bweigh(?:ing)? what (?:is|was)? ?left\b/i.exec(text)?.[0]
  if (what) return read('how much is left', what, 'g')
  const weigh = /\bweigh(?:ing|ed)?\s+(?<thing>(?:the|a|an|our|some)?\s*[\p{L}-]+(?: of [\p{L}-]+)?)/iu.exec(text)
  return weigh ? read(`the mass of ${weigh.groups!.thing!.trim()}`, weigh[0], 'g') : undefined
}

/** "measure the bounce", "measured every day" of what grows, "time how long it takes three sweets to dissolve". */
function measured(text: string): MeasureRead | undefined {
  const thing =
    /\bmeasure\s+(?:the\s+|its\s+|our\s+)?(?<thing>(?!them\b|it\b|every\b|each\b|how\b|once\b)[\p{L}-]+(?: [\p{L}-]+){0,2}?)(?= in\b| every\b| each\b| with\b| after\b|[,.?!]|$)/iu.exec(
      text,
    )
  if (thing) {
    const unit = readIn(`the height of the ${thing.groups!.thing!}`)
    return read(
      /^(?:height|length|temperature|distance|mass|time|depth|width)/i.test(thing.groups!.thing!)
        ? `the ${thing.groups!.thing!}`
        : `the height of the ${thing.groups!.thing!}`,
      thing[0],
      readIn(`the ${thing.groups!.thing!}`) ?? unit,
    )
  }
  const grows = /\b(?<plant>cress|seeds?|beans?|seedlings?|plants?|sunflowers?|bulbs?|grass|sprouts?|peas?)\b/i.exec(text)
  if (grows && /\b(?:measure|measured|grows?|growing|height|tall)\b/i.test(text) && !/\bneed\b/i.test(text))
    return read(
      `how tall the ${grows.groups!.plant!.toLowerCase()} ${isPlural(grows.groups!.plant!) ? 'grow' : 'grows'}`,
      grows[0],
      'mm',
    )
  return undefined
}

/** "build a tower that stands longer". */
function standing(text: string): MeasureRead | undefined {
  const match = /\bthat (?<does>stands|stays up|floats|spins|flies) (?:the )?long(?:er|est)\b/i.exec(text)
  return match ? read(`how long it ${match.groups!.does!.toLowerCase()}`, match[0], 's') : undefined
}

/** "which thread is strongest? We hang weights on it until it snaps": the load. */
function loaded(text: string): MeasureRead | undefined {
  const match =
    /\bhang (?:more and more )?(?:weights|masses) (?:on|from) .{1,20}? (?:until|till) it (?<ends>snaps|breaks|tears|bends|falls)\b/i.exec(
      text,
    )
  const thing = /^\s*which (?<thing>[\p{L}-]+(?: [\p{L}-]+)?) (?:is|holds|carries|can|breaks|snaps)\b/iu.exec(text)?.groups?.thing
  return match ? read(`the load at which the ${thing ?? 'thing'} ${match.groups!.ends!}`, match[0], 'g') : undefined
}

/** "hardest to slide a box over", "easier to pull". */
function pulled(text: string): MeasureRead | undefined {
  const match =
    /\b(?:hardest|harder|easier|easiest|hard|easy) to (?:slide|pull|drag|push|move)\s+(?<thing>(?:a|an|the)?\s*[\p{L}-]+)?/iu.exec(
      text,
    )
  if (!match) return undefined
  const thing = (match.groups!.thing ?? '').trim()
  return read(
    `the pull that moves ${thing === '' || PREPOSITIONS.has(thing.toLowerCase()) ? 'it' : thing.replace(/^an? /i, 'the ')}`,
    match[0],
    'N',
  )
}

/** "time until melted" */
function until(text: string): MeasureRead | undefined {
  const found = /\btime (?:until|till) (?:(?:it|they) (?:is|are|has|have) )?(?<state>\p{L}+)/iu.exec(text)
  const state = found?.groups!.state!.toLowerCase()
  return state && /(?:ed|en|y|t|gone)$/.test(state)
    ? read(`the time until it is ${state}`, found![0], /^(?:melted|dry|dried|frozen|thawed|cold|cool)$/.test(state) ? 'min' : 's')
    : undefined
}

/** "keeps a bottle of hot water warm for longest": until when, or how warm at the end. */
function keptLong(text: string): MeasureRead | undefined {
  const match =
    /\b(?:keeps?|stays?)\s+(?<thing>.{0,40}?)\s*(?<how>warm|hot|cold|cool|fresh|frozen)\s+(?:for )?(?:the )?(?:longest|longer)\b/iu.exec(
      text,
    )
  if (!match) return undefined
  const { thing = '', how } = match.groups as Record<string, string>
  const name = `how long ${thing === '' ? 'it' : thing.replace(/^an? /i, 'the ')} stays ${how!}`
  return left(
    name,
    match[0],
    /fresh/i.test(how!)
      ? []
      : [
          { name, unit: 'min' },
          { name: 'the temperature at the end', unit: 'degC' },
        ],
  )
}

/** "which sole grips best": how well it does that, and with what it is read has to be asked. */
function well(text: string): MeasureRead | undefined {
  const found = /\b(?:which|what)\s+(?<thing>[\p{L}-]+(?: [\p{L}-]+){0,2}?)\s+(?<verb>\p{L}+s?)\s+(?:the )?best\b/iu.exec(
    text,
  )?.groups
  if (!found || !VERBS.has(found.verb!.toLowerCase()) || /^(?:is|are|was|has)$/i.test(found.verb!)) return undefined
  return left(`how well the ${found.thing!} ${thirdPerson(plainVerb(found.verb!), found.thing!)}`, `${found.verb!} best`)
}

/** "which is strongest when wet", "which tape is stickiest", "which is clearest": a quality of its own. */
function superlativeNoun(text: string): MeasureRead | undefined {
  const match = /\b(?:is|are|be|stays?|feels?|gets?|looks?)\s+(?:the\s+)?(?<word>\p{L}{3,}(?:est|er))\b/iu.exec(text)
  const ends = /\bfrom \p{L}+est to (?<word>\p{L}+est)\b/iu.exec(text) ?? BEST_FIRST.exec(text)
  if (ends) return left(`how ${plainAdjective((ends.groups!.word ?? ends.groups!.first!).toLowerCase())} it is`, ends[0])
  const word = match?.groups!.word!.toLowerCase()
  if (!match || !word || /^(?:best|better|other|ever|never|paper|water|after|under|over|rest|test)$/.test(word)) return undefined
  return left(`how ${plainAdjective(word)} it is`, match[0])
}

/** "Watch the moon every evening": what it looks like. */
function watchedThing(text: string): MeasureRead | undefined {
  const match =
    /^\s*(?:we )?(?:watch|observe|look at|draw) (?:the |our )(?<thing>[\p{L}-]+(?: [\p{L}-]+)?) (?:every|each|for)\b/iu.exec(text)
  return match ? left(`what the ${match.groups!.thing!.toLowerCase()} looks like`, match[0]) : undefined
}

/** "keeps an egg cup of tea hot": warm at the end. */
function kept(text: string): MeasureRead | undefined {
  const match = /\bkeeps?\s+(?<thing>(?!as\b).{2,40}?)\s+(?:hot|warm|cold|cool)\b/i.exec(text)
  if (match) return read(`the temperature of ${match.groups!.thing!.replace(/^an? /i, 'the ')}`, match[0], 'degC')
  const ice = /\bkeeps?\s+(?<thing>ice)\b/i.exec(text)
  if (ice)
    return left('how long the ice lasts', ice[0], [
      { name: 'how long it takes the ice to melt', unit: 'min' },
      { name: 'how much ice is left', unit: 'g' },
    ])
  const attracts = /\b(?:does|do|will)\s+(?:a|the)\s+(?<who>[\p{L} ]{3,30}?)\s+(?<verb>attract|pick up|stick to)\b/iu.exec(text)
  if (attracts) return read(`whether the ${attracts.groups!.who!} ${attracts.groups!.verb!}s it`, attracts[0], 'sorts')
  return undefined
}
