import { afterAll, beforeAll } from 'vitest'
import type { ShelfPage } from '../../schemas/contract'
import { startApplication, temporaryFolder, type Application } from '../application'
import { clientFor, type WholeLesson } from './client'

/** An application on a library of its own for the tests of one file: empty, or with the demo class. */
export function ownLibrary({ demo = false } = {}): {
  base(): string
  client(): ReturnType<typeof clientFor>
  call: ReturnType<typeof clientFor>['call']
  newLesson: ReturnType<typeof clientFor>['newLesson']
  /** The demo lesson that is nearly finished. */
  demoLesson(): Promise<WholeLesson>
} {
  const { folder, remove } = temporaryFolder()
  let application: Application
  beforeAll(async () => {
    application = await startApplication({ data: folder, demo })
  })
  afterAll(async () => {
    await application.stop()
    remove()
  })
  const base = () => application.base
  const client = () => clientFor(base())
  const demoLesson = async () => {
    const { lessons } = (await client().call<ShelfPage>('GET', '/api/lessons')).body
    return client().open(lessons.find(({ title }) => title === 'Soak-up strips')!.id)
  }
  return {
    base,
    client,
    call: (...request) => client().call(...request),
    newLesson: (...investigation) => client().newLesson(...investigation),
    demoLesson,
  }
}
