import type { LessonFile } from '../../core/formats'
import type { Together } from '../../core/together'

export const TOGETHER_FORMAT = 'jolly-beaker-together'
export const TOGETHER_VERSION = 1

/** Lessons that run together as one document: see docs/formats.md. */
export interface TogetherFile {
  format: typeof TOGETHER_FORMAT
  version: number
  savedAt: string
  together: Together
  lessons: { id: string; lesson: LessonFile }[]
}
