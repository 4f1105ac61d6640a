import bounceBack from '../library/bounce-back.json'
import bubbleLife from '../library/bubble-life.json'
import frothTower from '../library/froth-tower.json'
import gripAndSlide from '../library/grip-and-slide.json'
import iceInABag from '../library/ice-in-a-bag.json'
import magnetThroughCard from '../library/magnet-through-card.json'
import mittenMystery from '../library/mitten-mystery.json'
import paperBridge from '../library/paper-bridge.json'
import quietBox from '../library/quiet-box.json'
import shadowStretch from '../library/shadow-stretch.json'
import soakUpStrips from '../library/soak-up-strips.json'
import sproutWatch from '../library/sprout-watch.json'
import sugarVanish from '../library/sugar-vanish.json'
import swingTime from '../library/swing-time.json'
import syrupRace from '../library/syrup-race.json'
import whichIsHeaviest from '../library/which-is-heaviest.json'
import { startingPointOf, type StartingPointFile } from './startingPoint'
import type { StartingPoint } from '../core/test'

/** The files of library/, the ones that ask least of a class first. */
export const LIBRARY_FILES: Record<string, unknown> = {
  'soak-up-strips': soakUpStrips,
  'bounce-back': bounceBack,
  'ice-in-a-bag': iceInABag,
  'sprout-watch': sproutWatch,
  'which-is-heaviest': whichIsHeaviest,
  'paper-bridge': paperBridge,
  'swing-time': swingTime,
  'shadow-stretch': shadowStretch,
  'magnet-through-card': magnetThroughCard,
  'grip-and-slide': gripAndSlide,
  'mitten-mystery': mittenMystery,
  'quiet-box': quietBox,
  'sugar-vanish': sugarVanish,
  'bubble-life': bubbleLife,
  'froth-tower': frothTower,
  'syrup-race': syrupRace,
}

/** The investigations that ship, by id; a test checks each file by the schema that guards files from elsewhere. */
export const INVESTIGATIONS: Record<string, StartingPoint> = Object.fromEntries(
  Object.entries(LIBRARY_FILES).map(([id, file]) => [id, startingPointOf(file as StartingPointFile)]),
)
