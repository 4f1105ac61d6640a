export { faceOf, judgedOf, NOT_JUDGED, waitsFor } from './inLists'
export type { Judged, LessonFace, TableGrade } from './inLists'
