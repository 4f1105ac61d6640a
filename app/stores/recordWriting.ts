import { defineStore } from 'pinia'
import { ROW_KINDS, type LessonEvent, type NewReading, type Reading, type RowKindName } from '~~/core/lesson'
import type { BodyOf } from '~~/schemas/contract'
import { callServer } from '~/following/callServer'
import { newId } from '~/following/newId'
import { superseding } from '~/following/readingRow'
import { serverNow } from '~/following/serverClock'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** What the desk writes down one at a time, and the body of each. */
type OneByOne = Exclude<RowKindName, 'reading'>
type DeskBody<Kind extends OneByOne> = BodyOf<`POST /api/lessons/[lesson]/${(typeof ROW_KINDS)[Kind]['list']}`>

/** What the desk writes into the record of its lesson; it is shown as soon as the server has it. */
export const useRecordWriting = defineStore('record-writing', () => {
  const lesson = useLesson()
  const { attempt } = useNotices()
  const path = () => ({ lesson: lesson.id })

  /** A row of any kind but a reading. */
  function add<Kind extends OneByOne>(kind: Kind, body: DeskBody<Kind>): Promise<boolean> {
    return attempt(async () => {
      const answer = await callServer(`POST /api/lessons/[lesson]/${ROW_KINDS[kind].list}`, { path: path(), body: body as never })
      lesson.takeEvents([{ kind, ...answer } as LessonEvent])
    })
  }

  async function addReadings(readings: NewReading[]): Promise<boolean> {
    return attempt(async () => {
      await callServer('POST /api/lessons/[lesson]/readings', { path: path(), body: { readings } })
      const at = new Date(serverNow()).toISOString()
      lesson.takeEvents(readings.map((row) => ({ kind: 'reading', reading: { ...row, by: 'desk', at } })))
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

  return { add, addReadings, supersede, addPicture }
})
