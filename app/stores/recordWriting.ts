import type {
  LessonEvent,
  NewConclusion,
  NewFeedback,
  NewImprovement,
  NewObservation,
  NewPlacing,
  NewPrediction,
  NewReading,
  Reading,
} from '~~/core/lesson'
import { callServer } from '~/following/callServer'
import { newId } from '~/following/newId'
import { superseding } from '~/following/readingRow'
import { serverNow } from '~/following/serverClock'

/** What the desk writes into the record of a lesson; it is shown as soon as the server has it. */
export function useRecordWriting(
  lesson: Ref<string>,
  show: (events: LessonEvent[]) => void,
  attempt: (work: () => Promise<void>) => Promise<boolean>,
) {
  const path = () => ({ lesson: lesson.value })

  async function addReadings(readings: NewReading[]): Promise<boolean> {
    return attempt(async () => {
      await callServer('POST /api/lessons/[lesson]/readings', { path: path(), body: { readings } })
      const at = new Date(serverNow()).toISOString()
      show(readings.map((row) => ({ kind: 'reading', reading: { ...row, by: 'desk', at } })))
    })
  }

  /** A further row that takes the place of an earlier one: nothing is overwritten. */
  function supersede(earlier: Reading, change: Partial<NewReading>): Promise<boolean> {
    return addReadings([superseding(earlier, change)])
  }

  /** Stores a picture beside the plan; the plan names it afterwards. */
  async function addPicture(data: string): Promise<string | undefined> {
    const id = newId()
    const stored = await attempt(
      async () => void (await callServer('POST /api/lessons/[lesson]/pictures', { path: path(), body: { id, data } })),
    )
    return stored ? id : undefined
  }

  return {
    addReadings,
    supersede,
    addPicture,
    addPrediction: (body: NewPrediction) =>
      attempt(async () =>
        show([{ kind: 'prediction', ...(await callServer('POST /api/lessons/[lesson]/predictions', { path: path(), body })) }]),
      ),
    addConclusion: (body: NewConclusion) =>
      attempt(async () =>
        show([{ kind: 'conclusion', ...(await callServer('POST /api/lessons/[lesson]/conclusions', { path: path(), body })) }]),
      ),
    addImprovement: (body: NewImprovement) =>
      attempt(async () =>
        show([{ kind: 'improvement', ...(await callServer('POST /api/lessons/[lesson]/improvements', { path: path(), body })) }]),
      ),
    addFeedback: (body: NewFeedback) =>
      attempt(async () =>
        show([{ kind: 'feedback', ...(await callServer('POST /api/lessons/[lesson]/feedbacks', { path: path(), body })) }]),
      ),
    /** Where a row belongs that the plan has no place for any more. */
    addPlacing: (body: NewPlacing) =>
      attempt(async () =>
        show([{ kind: 'placing', ...(await callServer('POST /api/lessons/[lesson]/placings', { path: path(), body })) }]),
      ),
    addObservation: (body: NewObservation) =>
      attempt(async () =>
        show([{ kind: 'observation', ...(await callServer('POST /api/lessons/[lesson]/observations', { path: path(), body })) }]),
      ),
  }
}
