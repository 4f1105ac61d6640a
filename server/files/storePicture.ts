import type { FilePicture } from '../../core/formats'
import { PICTURES } from '../../core/lesson'
import { refusal } from '../access/refusal'
import { storeAndAnnounce } from '../database/announcing'
import type { Database } from '../database/open'
import { stationStands, type Station } from '../database/stations'
import { addPicture, hasPicture, weighPictures } from '../database/pictures'
import { pictureBytes } from './pictureBytes'

/**
 * Keeps a picture beside the lesson; the plan or an observation names it afterwards. Pictures that were taken away again can come
 * back by undo, so they stay. One station fills its own share only, and all of them never more than a lesson file holds.
 * @param sender the station that sent it; nobody for the desk
 */
export async function storePicture(
  database: Database,
  lesson: string,
  picture: FilePicture,
  sender?: Pick<Station, 'id'>,
): Promise<{ id: string }> {
  const bytes = pictureBytes(picture)
  return storeAndAnnounce(database, lesson, async (transaction) => {
    // Its group may have gone into another lesson while it was on its way.
    if (sender && !(await stationStands(transaction, lesson, sender))) throw refusal(409, 'unknown-group', 'group')
    if (await hasPicture(transaction, lesson, picture.id)) return { id: picture.id }
    const share = sender ? PICTURES.ofStation : PICTURES.ofDesk
    const own = await weighPictures(transaction, lesson, sender?.id ?? null)
    const all = await weighPictures(transaction, lesson)
    const size = bytes.bytes.length
    if (
      own.count >= share.most ||
      own.bytes + size > share.bytes ||
      all.count >= PICTURES.most ||
      all.bytes + size > PICTURES.bytes
    )
      throw refusal(409, 'too-many-pictures', undefined, { most: own.count })
    await addPicture(transaction, lesson, bytes, sender?.id ?? null)
    return { id: picture.id }
  })
}
