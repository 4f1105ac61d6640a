import type { AverageWay } from '../../lesson'
import type { Quality, Side } from '../../quantity'

/** Phrases that put somebody first or last. */
export const PLACED: { words: RegExp; side: Side; superlative: boolean; quality?: Quality }[] = [
  { words: /\bmost of all\b/g, side: 'more', superlative: true, quality: 'size' },
  {
    words:
      /\b(?:came|comes|come|finish\w*|was|is|were|be) (?:out )?first\b|\bfirst with\b|\bwon\b|\b(?:the|our) (?:clear |real |big |overall )?winner\b|\bon top\b/g,
    side: 'more',
    superlative: true,
  },
  { words: /\bfirst(?=,|;| and|$)/g, side: 'more', superlative: true },
  { words: /\bin last place\b/g, side: 'less', superlative: true },
  { words: /\blast(?=[.,;!]|$)/g, side: 'less', superlative: true },
  { words: /\b(?:came|comes|come|finish\w*|was|is|were|be) last\b|\blast with\b/g, side: 'less', superlative: true },
  { words: /\b(?:the )?number one\b|\bin first place\b/g, side: 'more', superlative: true },
  { words: /\bcame (?:right |just )?before\b/g, side: 'more', superlative: false },
  { words: /\bcame (?:right |just )?after\b/g, side: 'less', superlative: false },
  { words: /\bahead\b|\bbeats?\b|\bin front\b/g, side: 'more', superlative: false },
  { words: /\bbehind\b/g, side: 'less', superlative: false },
]

/** Words by which a card of the plan is known to be about a quality. */
export const QUALITY_NAMES: Record<Quality, string[]> = {
  size: [],
  rank: [],
  speed: ['fast', 'quick', 'speed', 'slow', 'soon'],
  length: ['long', 'length', 'short', 'time', 'last'],
  distance: ['distance', 'far', 'close', 'near'],
  height: ['height', 'high', 'tall'],
  width: ['width', 'wide', 'thick', 'thickness', 'layers'],
  depth: ['depth', 'deep'],
  weight: ['weight', 'mass', 'heavy', 'weighs'],
  warmth: ['temperature', 'warm', 'hot', 'heat', 'cold', 'cool'],
  loudness: ['loud', 'sound', 'noise', 'quiet'],
  strength: ['strength', 'strong', 'force', 'pull', 'load', 'breaks', 'holds', 'carries'],
  light: ['light', 'bright', 'dark', 'shade'],
  wetness: ['wet', 'damp', 'dry'],
}

/** Says from where to where readings went. */
export const RANGED = /\b(?:between|from|half of us|most of us|ranged?)\b/i

export const HEDGED =
  /\b(may|might|maybe|perhaps|seems?|looks? (?:like|as if)|probably|lean\w*|not (?:quite |completely |very )?sure|unsure|cannot (?:yet )?tell|can't tell|could not tell|not (?:yet )?(?:tell|say)|could be|not clear|unclear|too (?:close|near|little|early|soon)(?: apart| together)? to (?:tell|say|call|know)|we think|i think|(?:cannot|can't) (?:yet )?be (?:sure|certain)|(?:before|until) we can (?:say|tell|be sure)|we (?:\w+ )?need(?:ed)? (?:more (?:tries|readings|trials|tests|repeats|measurements|numbers|time)|to (?:test|measure|try|repeat|time|weigh)))\b/i
export const HOW_SURE =
  /\b(sure|clear|clearly|tell|show|shown|groups? (?:agree\w*|found|got|put)|probably|lean\w*|evidence|wobble|certain)\b/i
/** More than the usual firmness of a sentence. */
export const CERTAIN =
  /\b(prove[sdn]?|proof|definitely|certain(?:ly)?|always|every time(?! we\b)|for sure|(?:without (?:a |any )?|there is no )doubt|leaves? no (?:room for )?doubt|(?<!\b(?:before|until|if|whether|do) )we know|we are sure|shows? (?:clearly|that)|clearly|is clear(?:ly)?|could not be clearer|obviously|must be)\b/gi
/** One class's test never proves for good. */
export const PROOF =
  /\b(prove[sdn]?|proof|always|every time(?! we\b)|every single time|without (?:a |any )?doubt|100 ?%|in all cases|for certain|it is a fact|never (?!less|always|was|is|has|does|goes|across)\p{L}+s)(?!\p{L})/giu
/** The best for something, or at something, is not the best. */
export const NARROWED = /\b(?:best|better|worst|worse)(?: (?:for|at)\b| \p{L}+ for \p{L}+ing\b)/u
/** Said of how they worked and not of what came out. */
export const OF_THE_METHOD =
  /\b(kept|keep|used|use|poured|cut|put|took turns|measured|read it|were careful|made sure|fair|repeat\w*|same (?:amount|size|way|person|for (?:everybody|everyone|every group|each group|all groups)|every time|each time))\b/i
/** About another day, or about what was expected. */
export const NOT_FOUND =
  /\b(next (?:time|we|week|lesson)|would|should|want to|could have|let us (?:try|test|do|see|find)|let's|predict\w*|guess\w*|thought|expected|wonder\w*|if we)\b|^\W*(?:and |so |but )?if\b(?! (?:there (?:are|is)|you)\b(?!.*\b(?:would|will|might)\b))/i
export const NEGATED = /\b(not|never|no(?! doubt)|nor|neither|cannot|can't|isn't|wasn't|didn't|doesn't|don't|hardly)\b|n't\b/i
export const EFFECT =
  /\b(changes?|changed|affects?|affected|matters?|mattered|(?:makes?|made|does make) (?:a |the )?(?:big |real |clear |clear )?difference|ha[sd] (?:an? )?(?:\w+ )?effect|decides?|depends? on)\b/i
export const MAKES =
  /(?<!\b(?:we|you|i) )\b(makes?|made|causes?|caused|lets?|helps?|changes?|changed|affects?|affected|matters?|mattered)\b/i
export const NO_DIFFERENCE =
  /\b(?:no (?:real |clear |big )?difference(?: that matters)?|makes? no|made no|(?:does|did) not (?:matter|change|affect)|(?:doesn't|didn't) (?:matter|change|affect)|not change|changes? nothing|changed nothing|(?:do|does|did) not differ|(?:don't|doesn't|didn't) differ|(?:are|were) not different|no effect|(?:hardly|barely|scarcely) any difference|almost no difference|(?:are|were|is|was|came out|stays?|stayed|remain(?:s|ed)?|all|both|climbs?|reach(?:es)?|lifts?|bounces?|weighs?|lasts?|grows?|drinks?|takes?|needs?|holds?|gets?|climbed|reached|lifted|bounced|weighed|lasted|grew|rose|went|got|held|drank|took|needed)(?: to)? (?:all |both |about |nearly |almost |exactly |just )*(?:the same|equal(?:ly)?)|too (?:close|near|little)(?: apart| together)? to (?:tell|say|call)|(?:at|to|had|have|got|reached|show(?:s|ed)?) the same (?:temperature|height|length|distance|weight|mass|level|result|average)|(?:about|nearly|almost|roughly|pretty much) the same(?! (?:way|kind|sort|person|people|place|day|amount of|as)\b)|equally (?:long|far|high|fast|warm|strong|well|much|often|heavy|tall|loud|good|big)|(?:could not|couldn't|cannot|can't|did not|didn't) (?:\w+ )?(?:find|see|measure|notice|tell) (?:a|any) (?:real |clear |big )?difference)\b/gi
export const LOST = /\b(lost|loses?|losing|shrank|shrunk|shrinks?|dropped|drops?|fell|falls?|cooled|cools?|used up|melted away)\b/i
export const ABOUT =
  /\b(about|around|nearly|almost|roughly|close to|near|just (?:over|under)|over|under|more than|less than|approximately|some)\s*$/i
export const AVERAGED = /\b(average[sd]?|averaging|mean|on average|middle value|median)\b/i
/** How a class that does not use the mean says of a figure which average it is: no other is meant then. */
export const AVERAGE_NAMED: Partial<Record<AverageWay, RegExp>> = {
  median: /(?<=\d(?:\s?\p{L}+)?)(?:,| as)? in the middle\b/u,
  mode: /,? as the commonest number\b/,
}
/** Said of one reading or of all of them, and not of their average. */
export const OF_READINGS =
  /\b(?:once|up to|as (?:high|low|far|much|little) as|from \S+(?: \p{L}+)? to|between|at (?:least|most)|never (?:below|above|under|over|less|more)|readings?|trials?|one of|some of|half of us|most of us|ranged?|highest was|lowest was|measured|sometimes|even|one (?:strip|piece|sheet|try|trial|run|go|throw|jump) (?:of|in|with))\b/iu

/** Words that join, point and count nothing: they say nothing that could be wrong. */
export const JOINING = new Set(
  `a an the of in on at with and or than then for to from by it its that this these those we our us they their them there here as so but too also
  about around nearly almost roughly on average mean averaged averages against compared when while whereas which who what one ones s did do does not
  be been being is are was were has have had will can could may might yet just still out up down off over under into onto round i you
  test class results result table numbers conclusion think thought
  quite very rather really more less most least between each other whether if how found find saw see show shows
  shown showed say says said tell tells know looks look like seems seem that's it's our us me my mine must on average overall once away back real difference gap apart lie lies lay means again instead reading readings measurement measurements thermometer scale scales ruler rulers stopwatch instrument instruments makes made use used way kind kinds sort sorts type types`
    .split(/\s+/)
    .filter(Boolean),
)

/** Says how far the instrument reaches, and nothing of what came out. */
export const AS_FAR_AS_SEEN =
  /as (?:far|well) as (?:we|our \p{L}+|the \p{L}+)(?: \p{L}+)? (?:can|could|shows?|showed|tells?|told|saw|see)(?: \p{L}+)?/u
