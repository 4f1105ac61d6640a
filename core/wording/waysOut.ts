import { unreachable } from '../unreachable'
import { sentenceCase } from './sentenceCase'
import type { Customs } from '../kit'
import type { Plan } from '../lesson'
import type { Mend, ScarceLimit, TakenInstead, WayOut } from '../waysOut'
import { minuteWords } from './clock'
import { amountWords } from './kit'
import { moneyWords } from './money'
import { chanceWords, counted, list, ofHundred } from './names'
import type { UnitCode } from '../quantity'

/** What a button for a way out of a shortage says, and what it changes. */
export function wayOutWords(
  way: WayOut,
  plan: Plan,
  unit: UnitCode,
  currency: Customs['currency'] = 'none',
): { label: string; effect: string } {
  const material = plan.materials.find(({ id }) => id === way.material)
  const time =
    way.minutes === undefined
      ? 'how much time that takes is not known yet'
      : way.minutes > 0
        ? `the lesson gets ${minuteWords(way.minutes)} longer`
        : way.minutes < 0
          ? `${minuteWords(-way.minutes)} shorter`
          : 'no more time'
  switch (way.code) {
    case 'substitute': {
      const substitute = material?.substitutes.find(({ id }) => id === way.substitute)
      const fair =
        way.effect === 'all-alike'
          ? 'still fair, as long as every condition gets it'
          : 'that condition is then something else, and takes its name'
      const short =
        way.stillShort === undefined
          ? ''
          : way.stillShort > 0
            ? `; ${amountWords(way.stillShort, unit)} of it short too`
            : '; there is enough of it'
      const note = substitute?.note ? `. ${substitute.note}` : ''
      return { label: `Take ${substitute?.name || 'the substitute'}`, effect: fair + chancesSaid(way.chances) + short + note }
    }
    case 'rota':
      return { label: `Let ${way.copies} go round`, effect: `groups take turns with ${counted(way.copies, 'piece')}; ${time}` }
    case 'buy':
      return {
        label: way.packs === undefined ? `Buy ${amountWords(way.amount, unit)}` : `Buy ${counted(way.packs, 'pack')}`,
        effect: [
          way.cost === undefined ? '' : `costs ${moneyWords(way.cost, currency)}`,
          !way.leftOver ? '' : `${amountWords(way.leftOver, unit)} left over`,
          'goes on the shopping list',
        ]
          .filter(Boolean)
          .join(', '),
      }
    case 'share-out':
      return {
        label: `Share out: ${way.each} each`,
        effect: `each group does ${counted(way.each, 'condition')}; ${time}${chancesSaid(way.chances)}`,
      }
    case 'together':
      return {
        label: 'All together',
        effect: `one apparatus, everybody takes turns: ${counted(way.trials, 'trial')} in all; ${time}${chancesSaid(way.chances)}`,
      }
    case 'fewer-groups':
      return {
        label: `Make ${counted(way.groups, 'group')}`,
        effect: `up to ${counted(way.largest, 'child', 'children')} in a group; ${time}`,
      }
    default:
      return unreachable(way)
  }
}

function chancesSaid(chances: { before: number; after: number } | undefined): string {
  if (!chances) return ''
  const [before, after] = [chanceWords(chances.before), chanceWords(chances.after)]
  return before === after ? `; it still comes out clear in ${after}` : `; it comes out clear in ${after} instead of ${before}`
}

/** What a button for a shorter lesson says, and what it costs. */
export function mendWords(mend: Mend): { label: string; effect: string } {
  const saves = mend.saves > 0 ? `saves ${minuteWords(mend.saves)}` : 'saves nothing'
  const chance = mend.chance === undefined ? '' : ` in ${ofHundred(mend.chance)} classes`
  const fits = mend.fits ? `fits then${chance}` : `not enough by itself${chance && `: fits${chance}`}`
  switch (mend.code) {
    case 'side-by-side':
      return { label: `Run ${mend.trials} side by side`, effect: `${saves}, ${fits}; nobody does less, more things in use` }
    case 'fetch-while-predicting':
      return { label: 'Fetch while predicting', effect: `${saves}, ${fits}; one child of each group fetches` }
    case 'less-practice':
      return {
        label: mend.practice === 0 ? 'Leave practice out' : `${counted(mend.practice, 'practice trial')} only`,
        effect: `${saves}, ${fits}${mend.practice === 0 ? '; the first readings will wobble more' : ''}`,
      }
    case 'share-out':
      return {
        label: `Share out: ${mend.each} each`,
        effect: `${saves}, ${fits}; each group does ${counted(mend.each, 'condition')}`,
      }
    case 'fewer-repeats':
      return {
        label: `Do ${counted(mend.repeats, 'repeat')}`,
        effect:
          mend.clear === undefined
            ? `${saves}, ${fits}; still clear`
            : `${saves}, ${fits}; it then comes out clear in only ${chanceWords(mend.clear)}`,
      }
    case 'longer-lesson':
      return { label: `Make it ${mend.minutes} minutes`, effect: `${fits}; only if the bell can wait` }
    default:
      return unreachable(mend)
  }
}

/** A scarce thing as the limit of a class. `'5 thermometers: 5 groups, or 2 rounds.'` */
export function limitWords({ material, stock, groups, rounds }: ScarceLimit, plan: Plan): string {
  const name = plan.materials.find(({ id }) => id === material)?.name || 'a thing without a name'
  const choices = [groups === undefined ? '' : counted(groups, 'group'), counted(rounds, 'round')].filter(Boolean)
  return `${stock} × ${name}: ${choices.join(', or ')}.`
}

/** What was taken instead of one thing that the cupboard lacks. `'Thermometer: Let 2 go round'` */
export function takenInsteadWords({ way, plan, need }: TakenInstead): string {
  const material = plan.materials.find(({ id }) => id === way.material)?.name ?? ''
  return `${sentenceCase(material)}: ${wayOutWords(way, plan, need.unit).label}`
}

/**
 * What became of a lesson that should do with what is there.
 * @example whatIsThereWords({ taken: [], short: ['yeast'] }) // => 'Nothing could be changed. Still short: yeast.'
 */
export function whatIsThereWords({ taken, short }: { taken: TakenInstead[]; short: string[] }): string {
  const changed =
    taken.length > 0 ? `Changed to what the cupboard has. ${taken.map(takenInsteadWords).join('. ')}.` : 'Nothing could be changed.'
  return short.length > 0 ? `${changed} Still short: ${list(short)}.` : changed
}
