import type { NextTest } from '~~/core/agree'
import type { Plan } from '~~/core/lesson'
import { callServer } from '~/following/callServer'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** Begins another lesson from the one on the desk; what is typed but not saved yet is saved first. */
export function useBeginLesson() {
  const lesson = useLesson()
  const notices = useNotices()
  const path = () => ({ lesson: lesson.id })

  async function begin(call: () => Promise<{ id: string }>): Promise<string | undefined> {
    let begun: string | undefined
    await lesson.flush()
    await notices.attempt(async () => {
      begun = (await call()).id
    })
    return begun
  }
  return {
    /** A lesson of its own for a draft of a wondering. */
    draftLesson: (draft: Plan) => begin(() => callServer('POST /api/lessons', { body: { investigation: null, draft } })),
    /** The next lesson, from a card that is left over. */
    nextLesson: ({ from, id: card }: NextTest) =>
      begin(() => callServer('POST /api/lessons/[lesson]/next', { path: path(), body: { from, id: card } })),
  }
}
