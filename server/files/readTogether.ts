import { MOST_TOGETHER, NEW_TOGETHER, withTogetherChange, type Together, type TogetherChange } from '../../core/together'
import { fileProblemWords } from '../../core/wording'
import { togetherSchema } from '../../schemas/together'
import { Refusal } from '../access/refusal'
import { TOGETHER_VERSION, type TogetherFile } from './togetherFile'

/** Is it a document of lessons that run together? Its beginning says so, before all of it is read. */
export function isTogetherFile(text: string): boolean {
  return /^\s*\{\s*"format"\s*:\s*"jolly-beaker-together"/.test(text.slice(0, 200))
}

/** A document of lessons that run together, as far as it goes beyond its lessons; what it does not say of them is as in a new one. */
export function readTogetherFile(text: string): { together: Together; lessons: TogetherFile['lessons'] } {
  const broken = (place: string) =>
    new Refusal(400, { code: 'file-broken', message: fileProblemWords({ code: 'broken', place }), field: place })
  let content: Partial<TogetherFile>
  try {
    content = JSON.parse(text) as Partial<TogetherFile>
  } catch {
    throw broken('format')
  }
  if (typeof content.version !== 'number') throw broken('version')
  if (content.version > TOGETHER_VERSION)
    throw new Refusal(400, { code: 'file-newer', message: fileProblemWords({ code: 'newer', place: 'version' }), field: 'version' })
  const { error, value } = togetherSchema.validate(content.together)
  if (error) throw broken(`together.${error.details[0]?.path.join('.') ?? ''}`)
  const { lessons } = content
  const whole = Array.isArray(lessons) && lessons.every((one) => typeof one?.id === 'string' && one.lesson)
  if (!whole || lessons.length === 0 || lessons.length > MOST_TOGETHER) throw broken('lessons')
  return { together: withTogetherChange(NEW_TOGETHER, { ...(value as TogetherChange), conclusionFrom: undefined }), lessons }
}
