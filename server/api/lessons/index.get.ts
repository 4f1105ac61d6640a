import { deskRoute } from '../../access/route'
import { listLessons } from '../../database/lessons'
import { schoolFor } from '../../lesson/school'
import { shelfEntry } from '../../lesson/shelf'

/** All lessons as the shelf shows them. */
export default deskRoute({}, async ({ database }) => {
  const school = await schoolFor(database)
  const lessons = await listLessons(database)
  return { lessons: lessons.map(({ lesson, record }) => shelfEntry(lesson, record, school(lesson))) }
})
