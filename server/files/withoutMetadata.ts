/**
 * A picture without what the camera wrote beside it: place, time, device, a preview, a comment. Which way up it was held stays, since it could not be looked at
 * otherwise. Of a picture that ends in the middle what is whole stays; what stands behind its end goes.
 */
export function withoutMetadata(type: string, bytes: Uint8Array): Uint8Array {
  if (type === 'image/jpeg') return plainJpeg(bytes)
  return type === 'image/png' ? plainPng(bytes) : plainWebp(bytes)
}

function joined(parts: Uint8Array[]): Uint8Array {
  const all = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0))
  let at = 0
  for (const part of parts) {
    all.set(part, at)
    at += part.length
  }
  return all
}

const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)

const [MARK, END_OF_IMAGE, START_OF_SCAN, COMMENT] = [0xff, 0xd9, 0xda, 0xfe]
/** Segments of programs and cameras; the second may hold the colours' profile and stays, like the first and Adobe's. */
const isOfPrograms = (mark: number) => mark === COMMENT || (mark >= 0xe1 && mark <= 0xef && mark !== 0xe2 && mark !== 0xee)

function plainJpeg(bytes: Uint8Array): Uint8Array {
  const parts = [bytes.subarray(0, 2)]
  let turned = 1
  for (let at = 2; at + 1 < bytes.length && bytes[at] === MARK;) {
    const mark = bytes[at + 1]!
    if (mark === END_OF_IMAGE) {
      parts.push(bytes.subarray(at, at + 2))
      break
    }
    const end = at + 2 + ((bytes[at + 2]! << 8) | bytes[at + 3]!)
    if (!(end > at + 3 && end <= bytes.length)) break
    if (mark === 0xe1) turned = orientationIn(bytes.subarray(at + 4, end)) ?? turned
    const next = mark === START_OF_SCAN ? endOfScan(bytes, end) : end
    if (!isOfPrograms(mark)) parts.push(bytes.subarray(at, next))
    at = next
  }
  if (turned > 1) parts.splice(1, 0, orientationSegment(turned))
  return joined(parts)
}

/** The next mark behind the points of a scan. */
function endOfScan(bytes: Uint8Array, from: number): number {
  for (let at = from; at + 1 < bytes.length; at += 1) {
    const next = bytes[at + 1]!
    if (bytes[at] === MARK && next !== 0 && next !== MARK && !(next >= 0xd0 && next <= 0xd7)) return at
  }
  return bytes.length
}

const ORIENTATION = 0x0112

/** Which way up: 1 to 8 (EXIF 2.32, 4.6.4). */
function orientationIn(segment: Uint8Array): number | undefined {
  if (String.fromCharCode(...segment.subarray(0, 4)) !== 'Exif' || segment.length < 16) return undefined
  const tiff = viewOf(segment.subarray(6))
  const little = tiff.getUint16(0) === 0x4949
  const list = tiff.getUint32(4, little)
  if (list + 2 > tiff.byteLength) return undefined
  for (let left = tiff.getUint16(list, little), at = list + 2; left > 0 && at + 12 <= tiff.byteLength; left -= 1, at += 12) {
    if (tiff.getUint16(at, little) !== ORIENTATION) continue
    const turned = tiff.getUint16(at + 8, little)
    return turned >= 1 && turned <= 8 ? turned : undefined
  }
  return undefined
}

/** A segment that says which way up, and nothing else. */
function orientationSegment(turned: number): Uint8Array {
  const exif = [0x45, 0x78, 0x69, 0x66, 0, 0]
  const tiff = [0x4d, 0x4d, 0, 0x2a, 0, 0, 0, 8, 0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, turned, 0, 0, 0, 0, 0, 0]
  return Uint8Array.from([MARK, 0xe1, 0, 2 + exif.length + tiff.length, ...exif, ...tiff])
}

const PNG_TEXTS = ['eXIf', 'tEXt', 'iTXt', 'zTXt', 'tIME']

function plainPng(bytes: Uint8Array): Uint8Array {
  const view = viewOf(bytes)
  const parts = [bytes.subarray(0, 8)]
  for (let at = 8; at + 12 <= bytes.length;) {
    const end = at + 12 + view.getUint32(at)
    if (end > bytes.length) break
    const name = String.fromCharCode(...bytes.subarray(at + 4, at + 8))
    if (!PNG_TEXTS.includes(name)) parts.push(bytes.subarray(at, end))
    if (name === 'IEND') break
    at = end
  }
  return joined(parts)
}

const [WEBP_EXIF, WEBP_XMP] = [0x08, 0x04]

function plainWebp(bytes: Uint8Array): Uint8Array {
  const view = viewOf(bytes)
  const parts = [Uint8Array.from(bytes.subarray(0, 12))]
  for (let at = 12; at + 8 <= bytes.length;) {
    const size = view.getUint32(at + 4, true)
    const end = at + 8 + size + (size % 2)
    if (at + 8 + size > bytes.length) break
    const name = String.fromCharCode(...bytes.subarray(at, at + 4))
    const chunk = Uint8Array.from(bytes.subarray(at, end))
    if (name === 'VP8X') chunk[8]! &= ~(WEBP_EXIF | WEBP_XMP)
    if (name !== 'EXIF' && name !== 'XMP ') parts.push(chunk)
    at = end
  }
  const all = joined(parts)
  if (all.length >= 12) viewOf(all).setUint32(4, all.length - 8, true)
  return all
}
