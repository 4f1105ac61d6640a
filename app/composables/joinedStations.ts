import type { JoinedStation } from '~~/schemas/contract'
import { callServer } from '~/following/callServer'
import { useLesson } from '~/stores/lesson'
import { useDeskBoard } from '~/stores/deskBoard'

const GATHER_FOR = 300

/** The stations of the lesson on the desk, looked at again when one of them comes, goes or is changed. */
export function useJoinedStations() {
  const lesson = useLesson()
  const board = useDeskBoard()
  const stations = shallowRef<JoinedStation[]>([])
  let timer: ReturnType<typeof setTimeout> | undefined

  async function look(): Promise<void> {
    const answer = await callServer('GET /api/lessons/[lesson]/stations', { path: { lesson: lesson.id } }).catch(() => undefined)
    if (answer) stations.value = answer.stations
  }
  watch(
    () => board.stationsChanged,
    () => {
      clearTimeout(timer)
      timer = setTimeout(() => void look(), GATHER_FOR)
    },
  )
  onMounted(look)
  onBeforeUnmount(() => clearTimeout(timer))
  return stations
}
