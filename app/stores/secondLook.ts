import { defineStore } from 'pinia'
import { readinessOf, secondLook, type Finding, type Fix } from '~~/core/secondLook'
import { counted } from '~~/core/wording'
import { commandFor } from '~/following/commands'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'
import { useRecordWriting } from '~/stores/recordWriting'

const AT_MOST_EVERY = 500

/**
 * What the computation says of the lesson on the desk: at once when the plan was changed here, and twice a second at most while stations write, so that the
 * page answers in between.
 */
export const useSecondLook = defineStore('second-look', () => {
  const lesson = useLesson()
  const writing = useRecordWriting()
  const notices = useNotices()
  const findings = shallowRef<Finding[]>([])
  const readiness = computed(() => (lesson.plan ? readinessOf(lesson.plan, lesson.record, findings.value) : undefined))
  /** Folded away, to leave room for a wide table. */
  const folded = ref(false)
  /** What a button leads to, until the page has put the focus there. */
  const target = ref<string>()
  let last = -Infinity
  let timer: ReturnType<typeof setTimeout> | undefined

  function work(): void {
    clearTimeout(timer)
    timer = undefined
    last = performance.now()
    findings.value = lesson.plan ? secondLook(lesson.plan, lesson.allRows, lesson.school) : []
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
