import type { LessonEvent } from '~~/core/lesson'

/** What the journal of the open lesson has besides its record: changes of plan, board and stations, as they come. */
export function useOtherEvents() {
  const lesson = useLesson()
  const others = shallowRef<{ at: string; body: LessonEvent }[]>([])
  async function look(): Promise<void> {
    const { id } = lesson
    if (id === '') return
    const answer = await callServer<{ events: typeof others.value }>(`/api/lessons/${id}/journal`).catch(() => undefined)
    if (answer && id === lesson.id) others.value = answer.events
  }
  watch(() => [lesson.id, lesson.stationsChanged, lesson.board, lesson.saveState === 'saved'], look, { immediate: true })
  return others
}
