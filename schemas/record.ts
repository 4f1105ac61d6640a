import Joi from 'joi'
import type { FilePicture, LessonFile } from '../core/formats'
import { isoTime, uuid } from './parts'
import { planSchema } from './plan'
import { fileLists } from './rows'

const MOST_OF_A_PICTURE = 4_000_000

/** A picture as a `data:` address. What its bytes really are is checked when it is stored. */
export const pictureSchema = Joi.object<FilePicture, true>({
  id: uuid,
  data: Joi.string()
    .max(MOST_OF_A_PICTURE)
    .pattern(/^data:image\/(?:png|jpeg|webp);base64,[A-Za-z0-9+/]+={0,2}$/, 'picture')
    .required(),
}).required()

/** A lesson file after its envelope was read; see core/formats/lessonFile.ts. */
export const lessonFileSchema = Joi.object<LessonFile>({
  format: Joi.string().required(),
  schemaVersion: Joi.number().required(),
  savedAt: isoTime,
  plan: planSchema,
  ...fileLists,
  pictures: Joi.array().items(pictureSchema.optional()).max(200).unique('id').required(),
}).required()
