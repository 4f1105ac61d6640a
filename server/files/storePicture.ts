import type { FilePicture } from '../../core/formats'
import { PICTURES } from '../../core/lesson'
import { refusal } from '../access/refusal'
import type { Database } from '../database/open'
import { addPicture, findPicture, weighPictures } from '../database/pictures'
import { pictureBytes } from './pictureBytes'

/**
 * Keeps a picture beside the lesson; the plan or an observation names it afterwards. Pictures that were taken away again can come
 * back by undo, so they stay. One station fills its own share only, and all of them never more than a lesson file holds.
 * @param station who sent it; null for the desk
 */
export async function storePicture(
  database: Database,
  lesson: string,
  picture: FilePicture,
  station: string | null,
): Promise<{ id: string }> {
  const bytes = pictureBytes(picture)
  if (await findPicture(database, lesson, picture.id)) return { id: picture.id }
  const share = station === null ? PICTURES.ofDesk : PICTURES.ofStation
  const own = await weighPictures(database, lesson, station)
  const all = await weighPictures(database, lesson)
  const size = bytes.bytes.length
  if (own.count >= share.most || own.bytes + size > share.bytes || all.count >= PICTURES.most || all.bytes + size > PICTURES.bytes)
    throw refusal(409, 'too-many-pictures', undefined, { most: own.count })
  await addPicture(database, lesson, bytes, station)
  return { id: picture.id }
}
