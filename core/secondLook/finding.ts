import type { ClaimDoubt } from '../agree'
import type { Grade, Limit } from '../evidence'
import type { DayOff } from '../clock'
import type { AmountErrorCode, Caution, CautionSource, CivilMoment, MovedBecause, Step, SupplyField, SupplyProblem } from '../kit'
import type { Mend, WayOut } from '../waysOut'
import { type Doer, type Plan, type RowKindName, type Stop } from '../lesson'
import { eachMeasure, type Best } from '../test'
import { type Lacks, type Doubt } from '../record'
import type { Way } from '../measuring'
import type { ReadErrorCode, ResultUnit, UnitCode } from '../quantity'
import { TRAITS } from './traits'
import type { Target, TargetPlace } from './target'

/** `wrong` spoils the lesson, `attention` may, `note` is only worth knowing. */
export type Severity = 'wrong' | 'attention' | 'note'

/** Worst first. */
export const SEVERITY_ORDER: Record<Severity, number> = { wrong: 0, attention: 1, note: 2 }

/** What a button does. All but the last three change the plan and are carried out by `mend`. */
export type Fix =
  | { code: 'choose-change'; factor: string }
  | { code: 'choose-measure'; measure: string }
  | { code: 'move-to-maybe'; remark: string }
  | { code: 'keep-noticed'; remark: string }
  | { code: 'make-factor-same'; factor: string; conditions: string[] }
  | { code: 'leave-out'; conditions: string[] }
  | { code: 'comes-with'; factor: string }
  | { code: 'say-how'; factor: string; how: 'one-for-all' | 'same-each-time' }
  | { code: 'add-fair-twin'; condition: string; like: string }
  | { code: 'remove-condition'; condition: string }
  | { code: 'treat-as-kinds' }
  | { code: 'set-repeats'; repeats: number }
  | { code: 'take-fresh' }
  | { code: 'take-instrument'; instrument: string }
  | { code: 'say-best'; best: Best }
  | { code: 'take-used' }
  | { code: 'count-by-size'; bySize: boolean }
  | { code: 'mix-trials' }
  | { code: 'leave-gaps' }
  | { code: 'take-levels'; values: number[] }
  | { code: 'take-comparison'; factor: string; conditions: string[] }
  | { code: 'set-words'; words: string[] }
  | { code: 'set-times'; times: number[] }
  | { code: 'take-way'; way: Way }
  | { code: 'set-groups'; groups: number }
  | { code: 'take-mend'; mend: Mend }
  | { code: 'set-spares' }
  | { code: 'say-per'; material: string; per: 'group' | 'trial' }
  | { code: 'take-way-out'; way: WayOut }
  | { code: 'acknowledge'; caution: Caution }
  | { code: 'acknowledge-own'; caution: string }
  | { code: 'set-date'; date: string }
  | { code: 'these-were'; unit: UnitCode; readings: string[] }
  /** About one of several measures. */
  | { code: 'on-measure'; measure: string; fix: Fix }
  | { code: 'keep-reading'; reading: string }
  | { code: 'correct-reading'; reading: string; value: number; unit: UnitCode }
  | { code: 'go'; stop: Stop; target?: Target }

interface Base {
  /** Stays the same while the finding does; tells it from its like. */
  key: string
  stop: Stop
  severity: Severity
  fixes: Fix[]
  /** Which of several things that are measured it is about, where that is not the first. */
  measure?: string
}

export type Finding = Base &
  (
    | { code: 'no-title' }
    | { code: 'instrument-misfit'; instrument: string }
    | { code: 'unit-not-said'; unit: UnitCode }
    | { code: 'best-not-said' }
    | { code: 'nothing-wondered' }
    | { code: 'sounds-like-a-guess'; remark: string; words: string[] }
    | { code: 'nothing-to-change' }
    | { code: 'nothing-to-measure' }
    | { code: 'too-few-conditions'; count: number }
    | { code: 'label-empty'; condition: string }
    | { code: 'same-label'; conditions: string[] }
    | { code: 'number-unreadable'; condition: string; problem: ReadErrorCode; position: number }
    | { code: 'too-few-levels'; count: number }
    | { code: 'uneven-levels'; values: number[] }
    | { code: 'narrow-levels'; lowest: number; highest: number }
    | { code: 'too-few-words'; count: number }
    | { code: 'no-times' }
    | { code: 'muddled'; fair: number; all: number; best: { factor: string; conditions: string[] } | undefined }
    | { code: 'factor-differs'; factor: string; odd: { value: string; conditions: string[] }; usual: string; fairAmong: string[] }
    | { code: 'factor-unknown'; factor: string; conditions: string[] }
    | { code: 'how-not-said'; factor: string }
    | { code: 'one-reading-each' }
    | { code: 'too-few-repeats'; repeats: number; chance: number; needed: number }
    | { code: 'hopeless'; closest: number; total: number; unit: ResultUnit; chance: number }
    | { code: 'one-group-same-thing' }
    | { code: 'blocks'; reason: string }
    | { code: 'drift'; slope: number; explains: number; unit: ResultUnit }
    | { code: 'no-groups' }
    | { code: 'kit-empty' }
    | { code: 'whose-amount'; material: string; amount: string; trials: number }
    | { code: 'amount-unreadable'; material: string; problem: AmountErrorCode; position: number }
    | { code: 'supply-unreadable'; material: string; field: SupplyField; problem: SupplyProblem['code'] }
    | { code: 'thing-gone'; material: string }
    | {
        code: 'short'
        material: string
        forClass: number
        short: number
        unit: UnitCode
        packs: number | undefined
        takenBy: string[]
      }
    | { code: 'caution'; caution: Caution; doer: Doer; materials: string[]; from: CautionSource[] }
    | { code: 'own-caution'; caution: string }
    | {
        code: 'step-moved'
        step: Step['kind']
        material: string
        wanted: CivilMoment
        planned: CivilMoment
        because: MovedBecause[]
      }
    | { code: 'spares-few'; chance: number; materials: string[] }
    | { code: 'trial-time-missing' }
    | { code: 'over-run'; minutes: number; testMinutes: number }
    | { code: 'may-over-run'; chance: number; nineInTen: number; until: number }
    | { code: 'things-wait'; material: string; copies: number; seconds: number }
    | { code: 'no-date' }
    | { code: 'no-school-that-day'; why: Exclude<DayOff, undefined>; name: string }
    | { code: 'readings-lost'; days: number[]; best: { start: string; lost: number } | undefined }
    | { code: 'predictions-missing'; groups: string[] }
    | {
        code: 'doubtful'
        reading: string
        group: string
        condition: string
        value: number
        unit: UnitCode
        doubt: Doubt
        /** Its place in the class grid. */
        target: Target
      }
    | { code: 'two-in-one-place'; group: string; condition: string; repeat: number; readings: string[] }
    /** Containers not yet weighed empty, and the readings that have no result because of them. */
    | { code: 'empties-missing'; count: number; readings: number }
    | { code: 'wrong-kind-of-unit'; count: number; unit: UnitCode }
    | { code: 'homeless'; count: number }
    | { code: 'strays'; of: { kind: RowKindName; lacks: Lacks; count: number }[] }
    | { code: 'gaps'; count: number; groups: string[] }
    | { code: 'not-sure'; grade: Grade; p: number | undefined; limits: Limit[] }
    | { code: 'conclusion-missing' }
    | { code: 'conclusion-doubt'; doubt: ClaimDoubt }
  )

/** What is found of a lesson that measures several things: of the first all, of the others what is about them. */
export function ofEachMeasure(plan: Plan, find: (view: Plan) => Finding[]): Finding[] {
  return eachMeasure(plan).flatMap((view, place) => {
    const { measured: measure } = view
    if (place === 0 || measure === null) return find(view)
    const about = find(view).filter(({ code }) => TRAITS[code].ofAMeasure)
    return about.map((finding) => ({
      ...finding,
      measure,
      key: `${finding.key}@${measure}`,
      fixes: finding.fixes.map((fix): Fix => ({ code: 'on-measure', measure, fix })),
    }))
  })
}

/** A button that leads to a stop, or to a place there. */
export function go(stop: Stop, place?: TargetPlace, of?: string): Fix {
  return { code: 'go', stop, target: place && { place, of } }
}

export type FindingCode = Finding['code']
