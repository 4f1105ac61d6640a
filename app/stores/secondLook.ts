import { defineStore } from 'pinia'
import { useIntervalFn, useMediaQuery } from '@vueuse/core'
import { testingIsOver } from '~~/core/clock'
import { dueNow, readinessOf, secondLook, type Finding, type Fix } from '~~/core/secondLook'
import { counted } from '~~/core/wording'
import { commandFor } from '~/following/commands'
import { newId } from '~/following/newId'
import { serverNow } from '~/following/serverClock'
import { useDeskBoard } from '~/stores/deskBoard'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'
import { useRecordWriting } from '~/stores/recordWriting'

const AT_MOST_EVERY = 500
const CLOCK_EVERY = 5000

/**
 * What the computation says of the lesson on the desk: at once when the plan was changed here, and twice a second at most while stations write, so that the
 * page answers in between.
 */
export const useSecondLook = defineStore('second-look', () => {
  const lesson = useLesson()
  const writing = useRecordWriting()
  const notices = useNotices()
  const board = useDeskBoard()
  const all = shallowRef<Finding[]>([])
  /** The time for testing is not over: what is still empty is no gap yet. */
  const testing = ref(false)
  useIntervalFn(lookAtClock, CLOCK_EVERY, { immediateCallback: true })
  const findings = computed(() => dueNow(all.value, testing.value))
  const readiness = computed(() => (lesson.plan ? readinessOf(lesson.plan, lesson.record, findings.value) : undefined))
  /** Folded away, to leave room for a wide table: as somebody said, else where the work would be too narrow beside it. */
  const narrow = useMediaQuery('(min-width: 900px) and (max-width: 1149px)')
  const said = ref<boolean>()
  const folded = computed({
    get: () => said.value ?? narrow.value,
    set: (away) => (said.value = away),
  })
  /** What a button leads to, until the page has put the focus there. */
  const target = ref<string>()
  let last = -Infinity
  let timer: ReturnType<typeof setTimeout> | undefined

  function work(): void {
    clearTimeout(timer)
    timer = undefined
    last = performance.now()
    all.value = lesson.plan ? secondLook(lesson.plan, lesson.allRows, lesson.school) : []
  }
  watch([() => lesson.plan, () => lesson.school], work, { flush: 'sync', immediate: true })
  watch(
    () => lesson.allRows,
    () => {
      // In a task of its own, after the page has drawn the numbers.
      timer ??= setTimeout(work, Math.max(0, last + AT_MOST_EVERY - performance.now()))
    },
    { flush: 'sync' },
  )

  function lookAtClock(): void {
    testing.value = lesson.plan !== undefined && !testingIsOver(lesson.plan, board.state, serverNow())
  }
  watch([() => lesson.plan, () => board.state], lookAtClock)

  /** Carries out a button. */
  async function apply(fix: Fix): Promise<void> {
    if (!lesson.heard) return
    const command = commandFor(lesson.heard, lesson.record, fix, newId)
    if (command.do === 'replace') lesson.replace(command.plan)
    if (command.do === 'write') {
      const { readings, back } = command
      if ((await writing.addReadings(readings)) && back)
        notices.done(`${counted(readings.length, 'reading')} put right.`, {
          label: 'Undo',
          run: () => void writing.addReadings(back),
        })
    }
    if (command.do !== 'go') return
    await navigateTo(`/lesson/${lesson.id}/${command.stop}`)
    target.value = command.target
  }
  return { findings, readiness, folded, target, apply }
})
