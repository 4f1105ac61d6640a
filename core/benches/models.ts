import { bounceHeight, BOUNCE_SHARE, secondTouch } from './bounce'
import { byCondition, byNumber, type Bench } from './bench'
import { gapFinder, pencilDimmer } from './circuits'
import { cloverHoops } from './clover'
import { frothHeight } from './froth'
import { noonStick } from './noonStick'
import { stepPulse } from './pulse'
import { SOAK_UP_BENCH, soakHeight } from './soakUp'
import { SPROUT_BENCH, sproutHeight } from './sprout'
import { sinkSeconds } from './syrup'
import { clearWaterFilter, thirstyGround } from './throughGround'
import { twang } from './twang'

const KELVIN = 273.15
const GAS_CONSTANT = 8.314
const GRAVITY = 9.81

/** How high water climbs in a minute: rates of our own strips (core/benches/soakUp.ts). */
const soakUp: Bench = {
  measures: {
    height: {
      unit: 'mm',
      truth: ({ condition }) => {
        const rate = SOAK_UP_BENCH.rates[condition]
        return rate === undefined ? undefined : soakHeight(rate, SOAK_UP_BENCH.seconds)
      },
      trialShare: SOAK_UP_BENCH.stripWobble,
      habitShare: SOAK_UP_BENCH.groupWobble,
    },
  },
}

const bounce: Bench = {
  numbersIn: 'cm',
  measures: {
    height: {
      unit: 'cm',
      truth: byNumber((drop) => (drop > 0 ? bounceHeight(BOUNCE_SHARE, drop) : NaN)),
      trialShare: 0.03,
      thingShare: 0.015,
    },
    time: {
      unit: 's',
      truth: byNumber((drop) => (drop > 0 ? secondTouch(BOUNCE_SHARE, drop) : NaN)),
      trialShare: 0.015,
      thingShare: 0.008,
    },
  },
}

const sprout: Bench = {
  measures: {
    tall: {
      unit: 'mm',
      truth: ({ condition, moment }) => {
        const [tallest, days] = [SPROUT_BENCH.tallest[condition], SPROUT_BENCH.days[condition]]
        return tallest === undefined || days === undefined ? undefined : sproutHeight(tallest, days, moment.time ?? 9)
      },
      trialShare: SPROUT_BENCH.dishWobble,
    },
  },
}

/** Melting moves nothing through a closed bag: conservation of mass. Four ice cubes weigh about 60 g; a wipe leaves half a gram of wet or so. */
const ice: Bench = {
  measures: { mass: { unit: 'g', truth: byCondition({ ice: 60 }), trialShare: 0.1, readingSd: 0.5 } },
}

/** Masses of everyday things of that kind, weighed to the gram; a simple pan balance tells apart about one gram. */
const heaviest: Bench = {
  measures: {
    heavy: {
      unit: 'g',
      truth: byCondition({ stone: 180, clay: 140, glue: 36, sponge: 22, cork: 14 }),
      trialShare: 0,
      readingSd: 1,
      thingShare: 0.06,
    },
  },
}

/**
 * A sheet bends less the taller its folds stand: stiffness grows with the cube of the height (beam theory), what it holds by much
 * less since it buckles. Numbers of washers are estimates for office paper over 20 cm.
 */
const bridge: Bench = {
  measures: {
    washers: {
      unit: 'count',
      truth: byCondition({ first: 5, second: 12, third: 20 }),
      trialShare: 0.15,
      thingShare: 0.2,
      habitShare: 0.15,
    },
  },
}

/** Small swings of a weight on a string: T = 2 pi sqrt(L / g); half a centimetre in the length of the string is the group's own. */
const swing: Bench = {
  numbersIn: 'cm',
  measures: {
    ten: {
      unit: 's',
      truth: byNumber((length) => 10 * 2 * Math.PI * Math.sqrt(Math.max(0, length) / 100 / GRAVITY)),
      trialShare: 0.006,
      thingShare: 0.006,
    },
  },
}

/** The torch lies on the table, its lamp 3 cm up: by similar triangles what of the figure stands above the lamp grows as (torch to wall) / (torch to figure). A soft edge blurs by some millimetres. */
const LAMP = 3
const shadow: Bench = {
  numbersIn: 'cm',
  measures: {
    tall: {
      unit: 'cm',
      truth: byNumber((distance) => LAMP + ((10 - LAMP) * (distance + 30)) / distance),
      trialShare: 0.015,
      readingSd: 0.2,
      thingShare: 0.015,
    },
  },
}

/** A small disc magnet on steel: the pull falls about like 1 / (1 + gap / 4 mm)^2; half a millimetre a layer (thickness of thin card). */
const magnet: Bench = {
  numbersIn: 'count',
  measures: {
    clips: {
      unit: 'count',
      truth: byNumber((layers) => 14 / (1 + (0.5 * layers) / 4) ** 2),
      trialShare: 0.09,
      thingShare: 0.05,
      habitShare: 0.05,
    },
  },
}

/**
 * Dry friction, F = mu m g, with 0.55 kg of box and load. mu of cardboard: on varnished wood 0.28, on card 0.36, on towelling 0.5, on
 * sandpaper 0.75 (the order and size of tables in engineering handbooks for paper and cloth).
 */
const grip: Bench = {
  measures: {
    pull: {
      unit: 'N',
      truth: byCondition(mapped({ table: 0.28, card: 0.36, towel: 0.5, sandpaper: 0.75 }, (mu) => mu * 0.55 * GRAVITY)),
      trialShare: 0.06,
      thingShare: 0.04,
    },
  },
}

/** A thermometer without a source of warmth shows what the room is; classroom thermometers differ among themselves by a fifth of a degree or so. */
const mitten: Bench = {
  measures: {
    warm: {
      unit: 'degC',
      truth: byCondition({ bare: 20.5, wool: 20.5, fleece: 20.5 }),
      trialShare: 0,
      readingSd: 0.2,
      thingSd: 0.18,
      habitShare: 0.02,
    },
  },
}

/**
 * Sound in the open falls by 20 dB for ten times the distance: heard until level - 20 log10(d) - loss is that of a quiet room. 45 dB at
 * 1 m for a clockwork timer against 33 dB in the room; soft wraps take 2 to 8 dB. Estimates that keep to the usual order of materials.
 */
const quiet: Bench = {
  measures: {
    far: {
      unit: 'cm',
      truth: byCondition(mapped({ none: 0, bubble: 2, towel: 5, wool: 8 }, (loss) => 100 * 10 ** ((45 - 33 - loss) / 20))),
      trialShare: 0.1,
      thingShare: 0.05,
      habitShare: 0.15,
    },
  },
}

/** Dissolving is led by diffusion, whose speed grows with an activation energy of about 27 kJ / mol for sucrose in water; a stirred cube takes 100 s at 20 °C. */
const sugar: Bench = {
  numbersIn: 'degC',
  measures: {
    vanish: {
      unit: 's',
      truth: byNumber((celsius) => 100 * Math.exp((27_000 / GAS_CONSTANT) * (1 / (celsius + KELVIN) - 1 / (20 + KELVIN)))),
      trialShare: 0.08,
      habitShare: 0.1,
    },
  },
}

/**
 * A film ends when a weak place breaks: lifetimes scatter like a logarithm, here with 0.6 of it. Estimates for small domes on a wet plate
 * indoors, in seconds: half of them last longer than 10, 17 and 32.
 */
const bubble: Bench = {
  measures: {
    life: {
      unit: 's',
      truth: byCondition({ plain: 10, sugar: 17, glycerine: 32 }),
      trialShare: 0.6,
      skewed: true,
      habitShare: 0.15,
    },
  },
}

const froth: Bench = {
  measures: {
    height: {
      unit: 'mm',
      truth: ({ condition, moment }) => frothHeight(condition, moment.time ?? 0),
      trialShare: 0.1,
      readingSd: 1,
      habitShare: 0.08,
    },
  },
}

const syrup: Bench = {
  numbersIn: 'mL',
  measures: { sink: { unit: 's', truth: byNumber(sinkSeconds), trialShare: 0.06, thingShare: 0.04 } },
}

function mapped(values: Record<string, number>, formula: (value: number) => number): Record<string, number> {
  return Object.fromEntries(Object.entries(values).map(([id, value]) => [id, formula(value)]))
}

/** The benches, by the investigation's id. */
export const BENCHES: Record<string, Bench> = {
  'soak-up-strips': soakUp,
  'bounce-back': bounce,
  'ice-in-a-bag': ice,
  'sprout-watch': sprout,
  'which-is-heaviest': heaviest,
  'paper-bridge': bridge,
  'swing-time': swing,
  'shadow-stretch': shadow,
  'magnet-through-card': magnet,
  'grip-and-slide': grip,
  'mitten-mystery': mitten,
  'quiet-box': quiet,
  'sugar-vanish': sugar,
  'bubble-life': bubble,
  'froth-tower': froth,
  'syrup-race': syrup,
  'gap-finder': gapFinder,
  'pencil-dimmer': pencilDimmer,
  'twang-order': twang,
  'step-pulse': stepPulse,
  'noon-stick': noonStick,
  'clear-water-filter': clearWaterFilter,
  'thirsty-ground': thirstyGround,
  'clover-hoops': cloverHoops,
}
