import { defineStore } from 'pinia'
import type { Plan } from '~~/core/lesson'
import { madeUpClass, type MadeUp } from '~~/core/rehearsal'
import { MADE_UP_REFUSED } from '~~/core/wording'
import { holdWrites } from '~/following/callServer'
import { freshSeed } from '~/following/freshSeed'
import { beginningOf } from '~/following/madeUp'
import { useNotices } from '~/stores/notices'

/** A class that was made up for a rehearsal: it stands before the real one until it is put away, and nothing of it is stored. */
export const useMadeUp = defineStore('made-up', () => {
  const notices = useNotices()
  const drawn = shallowRef<MadeUp>()
  const putAway = () => void (drawn.value = undefined)
  watch(drawn, (made) => holdWrites(made && MADE_UP_REFUSED), { flush: 'sync' })

  /** Nobody writes into a class that is not there; whoever tries is told. */
  function mayWrite(): boolean {
    if (drawn.value) notices.trouble(MADE_UP_REFUSED, { label: 'Put it away', run: putAway })
    return drawn.value === undefined
  }

  /** Another one each time; false where there is nothing to draw it from. */
  function draw(plan: Plan): boolean {
    drawn.value = madeUpClass(plan, freshSeed(), beginningOf(plan))
    return drawn.value !== undefined
  }
  return { drawn, draw, putAway, mayWrite }
})
