import type { FilePicture } from '../../core/formats'
import { refusal } from '../access/refusal'
import type { StoredPicture } from '../database/pictures'
import { withoutMetadata } from './withoutMetadata'

const SIGNATURES: { type: string; starts: number[]; at?: number }[] = [
  { type: 'image/png', starts: [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a] },
  { type: 'image/jpeg', starts: [0xff, 0xd8, 0xff] },
  { type: 'image/webp', starts: [0x57, 0x45, 0x42, 0x50], at: 8 },
]

/**
 * The bytes of a picture and what they are by their own first bytes, whatever the address claims. A drawing in markup (SVG) could
 * carry a script and is never taken. What the camera wrote beside it (place, time, device) is left out.
 */
export function pictureBytes({ id, data }: FilePicture): StoredPicture {
  const bytes = new Uint8Array(Buffer.from(data.slice(data.indexOf(',') + 1), 'base64'))
  const found = SIGNATURES.find(({ starts, at = 0 }) => starts.every((byte, place) => bytes[at + place] === byte))
  if (!found) {
    throw refusal(400, 'not-a-picture', 'data')
  }
  return { id, type: found.type, bytes: withoutMetadata(found.type, bytes) }
}

export function pictureAddress({ id, type, bytes }: StoredPicture): FilePicture {
  return { id, data: `data:${type};base64,${Buffer.from(bytes).toString('base64')}` }
}
