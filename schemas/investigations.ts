import bounceBack from '../library/bounce-back.json'
import bubbleLife from '../library/bubble-life.json'
import clearWaterFilter from '../library/clear-water-filter.json'
import cloverHoops from '../library/clover-hoops.json'
import frothTower from '../library/froth-tower.json'
import gapFinder from '../library/gap-finder.json'
import gripAndSlide from '../library/grip-and-slide.json'
import iceInABag from '../library/ice-in-a-bag.json'
import magnetThroughCard from '../library/magnet-through-card.json'
import mittenMystery from '../library/mitten-mystery.json'
import noonStick from '../library/noon-stick.json'
import paperBridge from '../library/paper-bridge.json'
import pencilDimmer from '../library/pencil-dimmer.json'
import quietBox from '../library/quiet-box.json'
import shadowStretch from '../library/shadow-stretch.json'
import soakUpStrips from '../library/soak-up-strips.json'
import sproutWatch from '../library/sprout-watch.json'
import stepPulse from '../library/step-pulse.json'
import sugarVanish from '../library/sugar-vanish.json'
import swingTime from '../library/swing-time.json'
import syrupRace from '../library/syrup-race.json'
import thirstyGround from '../library/thirsty-ground.json'
import twangOrder from '../library/twang-order.json'
import whichIsHeaviest from '../library/which-is-heaviest.json'
import { startingPointOf, type StartingPointFile } from './startingPoint'
import type { StartingPoint } from '../core/test'

/** The files of library/, the ones that ask least of a class first. */
export const LIBRARY_FILES: Record<string, unknown> = {
  'soak-up-strips': soakUpStrips,
  'bounce-back': bounceBack,
  'gap-finder': gapFinder,
  'ice-in-a-bag': iceInABag,
  'sprout-watch': sproutWatch,
  'which-is-heaviest': whichIsHeaviest,
  'twang-order': twangOrder,
  'paper-bridge': paperBridge,
  'swing-time': swingTime,
  'noon-stick': noonStick,
  'shadow-stretch': shadowStretch,
  'magnet-through-card': magnetThroughCard,
  'clover-hoops': cloverHoops,
  'grip-and-slide': gripAndSlide,
  'step-pulse': stepPulse,
  'mitten-mystery': mittenMystery,
  'quiet-box': quietBox,
  'sugar-vanish': sugarVanish,
  'clear-water-filter': clearWaterFilter,
  'bubble-life': bubbleLife,
  'froth-tower': frothTower,
  'pencil-dimmer': pencilDimmer,
  'syrup-race': syrupRace,
  'thirsty-ground': thirstyGround,
}

/** The investigations that ship, by id; a test checks each file by the schema that guards files from elsewhere. */
export const INVESTIGATIONS: Record<string, StartingPoint> = Object.fromEntries(
  Object.entries(LIBRARY_FILES).map(([id, file]) => [id, startingPointOf(file as StartingPointFile)]),
)
