import type { Material, PER, TrialPart } from '../lesson'

/** A thing that is usually kept the same, what asks for it, and the words of a changed card that make it superfluous. */
export interface UsualFactor {
  name: string
  ask: string
  unless?: RegExp
  /** A place brings it along. */
  ofPlace?: true
  /** A time that the line says is this one's. */
  lasts?: true
}

interface UsualThing {
  name: string
  amount: string
  per: (typeof PER)[number]
  use: Material['use']
  unless?: RegExp
}

/** What usually goes with a kind of doing: dropping, dissolving, growing. */
export interface Usual {
  code: string
  /** Words of the line that it is about. */
  about: RegExp
  factors: UsualFactor[]
  things: UsualThing[]
  /** Seconds of the parts of a trial. */
  trial: Record<TrialPart, number>
  /** Every trial needs a fresh one of what is tested. */
  fresh?: true
  /** What else could tell it, where the line does not say how: cards with a unit. */
  tells?: { name: string; unit: 'mm' | 'cm' | 's' | 'g' | 'count' | 'degC' | 'N' | 'words' }[]
}

const keep = (name: string, ask: string, unless?: RegExp): UsualFactor => ({ name, ask, unless })
const thing = (
  name: string,
  amount = '1',
  use: Material['use'] = 'again',
  per: UsualThing['per'] = 'group',
  unless?: RegExp,
): UsualThing => ({
  name,
  amount,
  per,
  use,
  unless,
})
const times = (setUp: number, run: number, readOff: number, reset: number): Usual['trial'] => ({ setUp, run, read: readOff, reset })

const WATER = keep(
  'how much water',
  'How much water each time, and measured with what?',
  /amount of (?:the )?water|water (?:depth|level)|depth|mitten|glove/i,
)
const WARM = keep('how warm the water is', 'How warm is the water, and who makes it so?', /temperature|warm|hot|cold/i)
const PLACE = keep('the place', 'Where does it stand?', /place|light|window|shade|sun/i)
const HAND = keep('who does it', 'Who does it: the same child each time, or in turns?')

/** The doings of the classroom, the more special first. Our own lessons and everyday ones; the amounts are for one group. */
const USUAL: Usual[] = [
  {
    code: 'grow',
    about: /\b(?:cress|seeds?|beans?|seedlings?|plants?|sunflowers?|bulbs?|sprout|germinat\p{L}*|grass)\b/iu,
    factors: [
      keep('how many seeds', 'How many in each pot?', /number of seeds/i),
      keep('how much water each day', 'How much water, and who gives it at the weekend?', /water/i),
      { ...keep('the light', 'How light is it where they stand?', /light|place|sun|shade|dark/i), ofPlace: true },
      keep('what they grow in', 'Soil, cotton wool or paper: which, and how much?', /soil|compost|sand/i),
      keep('how deep the seeds lie', 'On top, or how deep?', /depth|deep/i),
    ],
    things: [
      thing('pot', '1', 'again', 'condition'),
      thing('cress seeds', '10', 'up', 'condition', /bean|sunflower|bulb|pea/i),
      thing('potting soil', '100 mL', 'up', 'condition', /soil|compost|sand/i),
      thing('water for the plants', '20 mL', 'up', 'condition', /water/i),
    ],
    trial: times(60, 0, 40, 10),
    fresh: true,
    tells: [
      { name: 'how tall they grow', unit: 'mm' },
      { name: 'how many sprout', unit: 'count' },
      { name: 'how many leaves they have', unit: 'count' },
    ],
  },
  {
    code: 'froth',
    about: /\b(?:yeast|froth|dough)\b/i,
    factors: [
      keep('how much warm water', 'How much, and measured with what?', /water/i),
      WARM,
      keep('how much sugar', 'How many spoons, levelled?', /sugar/i),
      keep('the glass', 'All alike, and as wide?', /glass/i),
    ],
    things: [
      thing('tall glass', '1', 'again', 'condition'),
      thing('dried yeast', '1 tsp', 'up', 'trial', /yeast/i),
      thing('sugar', '1 tsp', 'up', 'trial', /sugar/i),
      thing('warm water, 40 °C', '100 mL', 'up', 'trial'),
    ],
    trial: times(60, 600, 20, 40),
    fresh: true,
  },
  {
    code: 'soak',
    about: /\b(?:soak\p{L}*|absorb\p{L}*|drinks? water|water climbs?|lets? .{0,20}water through)\b/iu,
    factors: [
      keep('the size of the piece', 'How wide and how long, cut by whom?', /width|size|length/i),
      WATER,
      { ...keep('how long it stands in the water', 'How many seconds, and who says stop?', /time/i), lasts: true },
      keep('how deep it hangs in', 'How deep, and marked how?', /depth/i),
    ],
    things: [thing('shallow tray'), thing('water', '200 mL', 'up')],
    trial: times(20, 60, 10, 15),
    fresh: true,
    tells: [
      { name: 'how high the water climbs', unit: 'mm' },
      { name: 'how much water it takes up', unit: 'g' },
    ],
  },
  {
    code: 'dissolve',
    about: /\b(?:dissolv\p{L}*|fizz\p{L}* away|vanish\p{L}*)\b/iu,
    factors: [
      WATER,
      WARM,
      keep('how much goes in', 'How much goes into each cup?', /amount of (?:sugar|salt)/i),
      keep('how it is stirred', 'Stirred or left, and how fast?', /stir/i),
    ],
    things: [
      thing('sugar', '1 tsp', 'up', 'trial', /tablet|salt|sweets?\b|mints|cube|kind of sugar|brown sugar/i),
      thing('clear cup', '2'),
      thing('spoon'),
      thing('water', '100 mL', 'up', 'trial'),
      thing('measuring jug'),
    ],
    trial: times(60, 90, 10, 40),
    fresh: true,
  },
  {
    code: 'melt',
    about: /\b(?:melt\p{L}*|ice|frozen)\b/iu,
    factors: [
      keep('how much ice', 'Cubes from the same tray, or weighed?', /size|amount/i),
      { ...keep('how warm the room is', 'Where does it stand while it melts?', /place|temperature|radiator/i), ofPlace: true },
      keep('when the clock starts', 'What says that it has begun?'),
    ],
    things: [thing('ice cube', '1', 'up', 'trial'), thing('saucer', '2')],
    trial: times(40, 600, 15, 20),
    fresh: true,
    tells: [
      { name: 'how long it takes until all is melted', unit: 's' },
      { name: 'how much ice is left', unit: 'g' },
    ],
  },
  {
    code: 'keep-warm',
    about:
      /\b(?:keep|keeps|stay|stays|cool|cools)\b.{0,60}\b(?:warm|warmer|hot|cold|cool|temperature)\b|\btemperature of (?!the (?:class)?room|the air|the playground)|\bthermometers?\b|\binsulat\p{L}*/iu,
    factors: [
      WATER,
      keep('how warm it is at the start', 'How warm, and is it the same for all?', /temperature of the water|how warm/i),
      keep('the cup', 'Which cup, all alike?', /cup|container|jar|mitten|glove/i),
      keep('how thick the wrapping is', 'How many layers, and how tight?', /layers|thick/i),
      PLACE,
    ],
    things: [
      thing('cup', '2', 'again', 'group', /mitten|glove|room|classroom|sun/i),
      thing('warm water, 40 °C', '200 mL', 'up', 'trial', /mitten|room|classroom|sun/i),
    ],
    trial: times(30, 300, 15, 30),
  },
  {
    code: 'swing',
    about: /\b(?:swings?|pendulums?)\b/i,
    factors: [
      keep('the weight that swings', 'Which weight hangs on it?', /weight|heavy/i),
      keep('the length of the string', 'How long, measured from where to where?', /length/i),
      keep('how far it is pulled back', 'How far, and who lets go?'),
      keep('how many swings are timed', 'Ten, counted from where?'),
    ],
    things: [thing('string', '1 m', 'again'), thing('weight for the string'), thing('tape', '10 cm', 'up')],
    trial: times(40, 15, 10, 10),
  },
  {
    code: 'bounce',
    about: /\b(?:bounc\p{L}*)\b/iu,
    factors: [
      keep('the ball', 'The same ball for every drop?', /ball/i),
      keep('the floor', 'Onto which floor?', /floor|surface/i),
      keep('the height it is dropped from', 'From how high, and measured to which side of the ball?', /height/i),
      keep('how it is let go', 'Let go or pushed, and by whom?'),
    ],
    things: [thing('ball', '1', 'again', 'group', /ball/i)],
    trial: times(20, 5, 15, 10),
  },
  {
    code: 'roll',
    about: /\b(?:ramps?|slopes?|cars?|bugg(?:y|ies)|rolls (?:down|further|furthest|far|faster)|how far .* rolls?|wheels?)\b/i,
    factors: [
      keep('what rolls', 'The same one each time?', /car|wheel|ball|buggy/i),
      keep('the height of the ramp', 'How high is its upper end?', /angle|ramp|slope|height/i),
      keep('the floor', 'Onto which floor?', /floor|surface|carpet/i),
      keep('how it is let go', 'Let go or pushed, and from which line?', /push/i),
    ],
    things: [thing('toy car', '1', 'again', 'group', /car|wheel|buggy|ball/i), thing('ramp board')],
    trial: times(25, 5, 15, 10),
  },
  {
    code: 'slide',
    about: /\b(?:slid\p{L}*|grip\p{L}*|friction|drag|pull)\b/iu,
    factors: [
      keep('what is pulled', 'The same box with the same things in it?', /box|weight/i),
      keep('how it is pulled', 'How fast, and level with the table?'),
      keep('the surface', 'Which surface, and is it clean and dry?', /surface|floor/i),
      HAND,
    ],
    things: [thing('box with a string', '1'), thing('weights for the box', '2')],
    trial: times(35, 8, 8, 9),
    tells: [{ name: 'the pull that keeps it sliding', unit: 'N' }],
  },
  {
    code: 'magnet',
    about: /\b(?:magnets?|electromagnets?)\b/i,
    factors: [
      keep('the magnet', 'The same magnet, and which side of it?', /magnet/i),
      keep('what it picks up', 'The same clips, in a heap or in a row?'),
      keep('how it is lifted', 'How slowly, and how high?'),
      keep('the distance', 'Touching or how far off?', /distance|layers/i),
    ],
    things: [thing('bar magnet', '1', 'again', 'group', /electromagnet/i), thing('paper clips', '30')],
    trial: times(20, 10, 15, 15),
  },
  {
    code: 'hear',
    about: /\b(?:hear|heard|sound|loud\p{L}*|noise|quiet)\b/iu,
    factors: [
      keep('what makes the sound', 'The same one, and as loud each time?', /timer|drum|bell/i),
      keep('who listens', 'The same child, with eyes closed?'),
      keep('how quiet the room is', 'What if somebody talks?'),
    ],
    things: [thing('timer that ticks', '1', 'again', 'group', /drum|glass|bottle|guitar|band/i)],
    trial: times(40, 40, 15, 15),
    tells: [
      { name: 'how far off it can be heard', unit: 'cm' },
      { name: 'how loud it is, in words', unit: 'words' },
    ],
  },
  {
    code: 'bubbles',
    about: /\b(?:bubbles?|foam|lather)\b/i,
    factors: [
      keep('how much soap', 'How much, and measured with what?', /soap|liquid|mix/i),
      WATER,
      keep('how it is blown or shaken', 'By whom, and how many times?'),
      keep('where it is', 'Out of the wind?', /place|outdoors/i),
    ],
    things: [thing('washing-up liquid', '1 tbsp', 'up', 'group', /liquid|soap/i), thing('water', '200 mL', 'up'), thing('tray')],
    trial: times(20, 30, 5, 10),
    fresh: true,
    tells: [
      { name: 'how long they last', unit: 's' },
      { name: 'how high the foam is', unit: 'cm' },
    ],
  },
  {
    code: 'sink',
    about: /\b(?:syrup|sinks?|bead)\b/i,
    factors: [
      keep('what sinks', 'The same bead each time?', /bead/i),
      keep('how far it sinks', 'From which mark to which?', /depth|length/i),
      keep('how warm the liquid is', 'All as warm as the room?', /temperature|warm/i),
      keep('how it is let go', 'Let go on top, or dropped?'),
    ],
    things: [thing('tall narrow glass', '2'), thing('bead', '2'), thing('syrup', '100 mL', 'up')],
    trial: times(25, 12, 8, 25),
  },
  {
    code: 'shadow',
    about: /^(?!.*\b(?:my|sun|sundial|noon|clock|stick)\b).*\bshadows?\b/i,
    factors: [
      keep('what throws the shadow', 'The same one, standing where?'),
      keep('the height of the torch', 'How high does it lie?', /height/i),
      keep('the screen', 'How far off is it?', /screen/i),
      keep('where its edge is read', 'Where it is darkest, or where it ends?'),
    ],
    things: [thing('torch'), thing('toy figure'), thing('white screen')],
    trial: times(25, 5, 20, 10),
  },
  {
    code: 'hold',
    about: /\b(?:glues?|stick|sticks|stickiest|hold|holds|strong\p{L}*|bridges?|tears?|break|breaks|strength)\b/iu,
    factors: [
      keep('the size of the piece', 'How long and how wide?', /size|length|width|layers/i),
      keep('how much is used', 'How much of it each time?', /amount|layers/i),
      keep('how the weight is put on', 'How gently, and in the middle?'),
      keep('how long it waits before the test', 'How many minutes?', /time/i),
    ],
    things: [thing('small weights', '20'), thing('cup on a string')],
    trial: times(60, 30, 10, 20),
    fresh: true,
    tells: [
      { name: 'how much it holds', unit: 'g' },
      { name: 'how many weights it holds', unit: 'count' },
      { name: 'how long it holds', unit: 's' },
    ],
  },
  {
    code: 'fly',
    about: /\b(?:paper planes?|flies|fly|rockets?|throw)\b|\bhow far .* jumps?\b/i,
    factors: [
      keep('who throws or lets go', 'The same child, from which line?'),
      keep('the paper', 'All from the same paper?', /paper|fold/i),
      keep('the wind', 'Indoors, with doors closed?'),
    ],
    things: [thing('paper, A4', '1', 'up', 'condition', /rocket|jump/i)],
    trial: times(15, 5, 20, 10),
  },
  {
    code: 'filter',
    about: /\b(?:filter\p{L}*|muddy|clearest|pour\p{L}*)\b/iu,
    factors: [
      keep('how much is poured', 'How much, and how slowly?'),
      keep('how muddy it is', 'Stirred before each pouring?'),
      keep('the jar', 'All alike?'),
    ],
    things: [thing('clear jar', '2'), thing('muddy water', '100 mL', 'up', 'trial'), thing('funnel')],
    trial: times(40, 120, 15, 40),
    fresh: true,
    tells: [
      { name: 'how clear the water is, in words', unit: 'words' },
      { name: 'how much comes through in a minute', unit: 'count' },
    ],
  },
]

/** What goes with any test, where nothing more special is known. */
export const ANY: Usual = {
  code: 'any',
  about: /(?:)/,
  factors: [
    HAND,
    keep('where we do it', 'In the same place each time?', /place|floor|surface/i),
    keep('what we read it with', 'The same one for everybody?'),
  ],
  things: [],
  trial: times(30, 30, 15, 15),
  tells: [
    { name: 'how long it takes', unit: 's' },
    { name: 'how far it goes', unit: 'cm' },
    { name: 'how many there are', unit: 'count' },
  ],
}

/** The doing that is spoken of: by what is changed and measured before the rest of the line. */
export function usualFor(texts: string[]): Usual {
  for (const text of [texts.slice(0, -1).join(' '), texts.at(-1)!]) {
    const found = USUAL.find(({ about }) => about.test(text))
    if (found) return found
  }
  return ANY
}
