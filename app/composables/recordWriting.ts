import type { LessonEvent, Reading } from '~~/core/lesson'
import type { NewConclusion, NewObservation, NewPrediction, NewReading } from '~~/schemas/record'

/** What the desk writes into the record of a lesson; it is shown as soon as the server has it. */
export function useRecordWriting(
  lesson: Ref<string>,
  show: (...events: LessonEvent[]) => void,
  attempt: (work: () => Promise<void>) => Promise<boolean>,
) {
  const post = <Answer>(path: string, body: unknown) =>
    callServer<Answer>(`/api/lessons/${lesson.value}/${path}`, { method: 'POST', body })

  async function addReadings(rows: NewReading[]): Promise<boolean> {
    return attempt(async () => {
      await post('readings', { readings: rows })
      const at = new Date(serverNow()).toISOString()
      show(...rows.map((row): LessonEvent => ({ kind: 'reading', reading: { ...row, by: 'desk', at } })))
    })
  }

  /** A further row that takes the place of an earlier one: nothing is overwritten. */
  function supersede(earlier: Reading, change: Partial<NewReading>): Promise<boolean> {
    return addReadings([superseding(earlier, change)])
  }

  /** A row that the server answers as it stored it, under its own name. */
  function addRow(kind: 'prediction' | 'conclusion' | 'observation', row: unknown): Promise<boolean> {
    return attempt(async () => {
      const answer = await post<object>(`${kind}s`, row)
      show({ kind, ...answer } as LessonEvent)
    })
  }

  /** Stores a picture beside the plan; the plan names it afterwards. */
  async function addPicture(data: string): Promise<string | undefined> {
    const picture = newId()
    const stored = await attempt(async () => void (await post('pictures', { id: picture, data })))
    return stored ? picture : undefined
  }

  return {
    addReadings,
    supersede,
    addPrediction: (row: NewPrediction) => addRow('prediction', row),
    addConclusion: (row: NewConclusion) => addRow('conclusion', row),
    addObservation: (row: NewObservation) => addRow('observation', row),
    addPicture,
  }
}
