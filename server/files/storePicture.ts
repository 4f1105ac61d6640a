import type { FilePicture } from '../../core/formats'
import { refusal } from '../access/refusal'
import type { Database } from '../database/open'
import { addPicture, countPictures } from '../database/pictures'
import { pictureBytes } from './pictureBytes'

// Pictures that were taken away again can come back by undo, so they stay.
const MOST_STORED = 120

/** Keeps a picture beside the lesson; the plan or an observation names it afterwards. */
export async function storePicture(database: Database, lesson: string, picture: FilePicture): Promise<{ id: string }> {
  const bytes = pictureBytes(picture)
  if ((await countPictures(database, lesson)) >= MOST_STORED) {
    throw refusal(409, 'too-many-pictures', undefined, { most: MOST_STORED })
  }
  await addPicture(database, lesson, bytes)
  return { id: picture.id }
}
