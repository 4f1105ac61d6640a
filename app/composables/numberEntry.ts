import type { InjectionKey } from 'vue'
import type { Plan, Reading } from '~~/core/lesson'
import { readEntry, workedOutEntry, writesStartAndFinish } from '~~/core/test'
import type { UnitCode } from '~~/core/quantity'
import { readErrorWords } from '~~/core/wording'
import { useCustoms } from '~/composables/customs'

/** A number as it was typed, read; or why it cannot be. */
export type TypedNumber =
  | { value: number; unit: UnitCode; entered: string; trouble: '' }
  | { value: undefined; unit: undefined; entered: string; trouble: string }

const WRITTEN: InjectionKey<() => Pick<Reading, 'entered'>[]> = Symbol('what was written down')

/** Says what the class has written down so far, to every field below: whoever writes a start and a finish once may do so everywhere. */
export function provideWritten(written: () => Pick<Reading, 'entered'>[]): void {
  provide(WRITTEN, written)
}

/**
 * The one door for a number: every field in which a reading or a guess is typed reads it here, so that what one takes no other refuses.
 * @param written what was written down, for whoever is not below somebody who said so
 */
export function useNumberEntry(written?: () => Pick<Reading, 'entered'>[]) {
  const { kitchen } = useCustoms()
  const before = written ?? inject(WRITTEN, () => [])
  const options = (startAndFinish: boolean) => ({
    startAndFinish: startAndFinish || writesStartAndFinish(before()),
    kitchen: kitchen.value,
  })

  /** @param startAndFinish a device takes both, or the first of two readers wrote them */
  function read(plan: Plan, text: string, startAndFinish = false): TypedNumber {
    const entered = text.trim()
    const found = readEntry(plan, entered, options(startAndFinish))
    return found.ok
      ? { value: found.value, unit: found.unit, entered, trouble: '' }
      : { value: undefined, unit: undefined, entered, trouble: readErrorWords(found.code) }
  }

  /** What several parts come to while they are typed. */
  function workedOut(plan: Plan, text: string): number | undefined {
    return workedOutEntry(plan, text, options(false))
  }

  return { read, workedOut }
}
