import { inflateSync, strFromU8 } from 'fflate'

interface Entry {
  method: number
  packed: number
  unpacked: number
  at: number
}

const END = 0x06054b50
const ENTRY = 0x02014b50
const LONGEST_COMMENT = 65_557
const STORED = 0
const DEFLATED = 8

/**
 * The files of a zip by name, each unpacked by itself and never to more than it says: its list is gone through once, however many there are. (ZIP File Format Specification 6.3, sections 4.3.7, 4.3.12 and 4.3.16)
 */
export class ZipFiles {
  private readonly entries = new Map<string, Entry>()
  private readonly view: DataView

  /** @throws RangeError where it is no whole zip */
  constructor(private readonly bytes: Uint8Array) {
    this.view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
    let at = this.view.getUint32(this.endOfList() + 16, true)
    for (let left = this.view.getUint16(this.endOfList() + 10, true); left > 0; left -= 1) {
      if (this.view.getUint32(at, true) !== ENTRY) throw new RangeError('not a whole list of files')
      const [name, extra, comment] = [28, 30, 32].map((place) => this.view.getUint16(at + place, true)) as [number, number, number]
      this.entries.set(strFromU8(bytes.subarray(at + 46, at + 46 + name)), {
        method: this.view.getUint16(at + 10, true),
        packed: this.view.getUint32(at + 20, true),
        unpacked: this.view.getUint32(at + 24, true),
        at: this.view.getUint32(at + 42, true),
      })
      at += 46 + name + extra + comment
    }
  }

  /** How large a file is unpacked; undefined where there is none. */
  sizeOf(name: string): number | undefined {
    return this.entries.get(name)?.unpacked
  }

  /** A file unpacked; undefined where there is none, or it is larger than the most that is taken. */
  read(name: string, most: number): Uint8Array | undefined {
    const entry = this.entries.get(name)
    if (!entry || entry.unpacked > most) return undefined
    const from = entry.at + 30 + this.view.getUint16(entry.at + 26, true) + this.view.getUint16(entry.at + 28, true)
    const packed = this.bytes.subarray(from, from + entry.packed)
    if (entry.method === STORED) return packed
    return entry.method === DEFLATED ? inflateSync(packed, { out: new Uint8Array(entry.unpacked) }) : undefined
  }

  private endOfList(): number {
    const first = Math.max(0, this.bytes.length - LONGEST_COMMENT)
    for (let at = this.bytes.length - 22; at >= first; at -= 1) if (this.view.getUint32(at, true) === END) return at
    throw new RangeError('not a zip')
  }
}
