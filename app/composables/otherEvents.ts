import type { LessonEvent } from '~~/core/lesson'
import { callServer } from '~/following/callServer'
import { useLesson } from '~/stores/lesson'
import { useDeskBoard } from '~/stores/deskBoard'

/** What the journal of the open lesson has besides its record: changes of plan, board and stations, as they come. */
export function useOtherEvents() {
  const lesson = useLesson()
  const board = useDeskBoard()
  const others = shallowRef<{ at: string; body: LessonEvent }[]>([])
  async function look(): Promise<void> {
    const { id } = lesson
    if (id === '') return
    const answer = await callServer('GET /api/lessons/[lesson]/journal', { path: { lesson: id } }).catch(() => undefined)
    if (answer && id === lesson.id) others.value = answer.events
  }
  // The class's sentence is on the board's state too, and changes at every word; no line of the journal comes of it.
  const shown = computed(() => {
    const { view, clockStarted, pauses, results, sound } = board.state
    return JSON.stringify([view, clockStarted, pauses, results, sound])
  })
  watch([() => lesson.id, () => board.stationsChanged, shown, () => lesson.saveState === 'saved'], look, { immediate: true })
  return others
}
