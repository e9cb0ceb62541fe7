/** What is wrong with a file of a package. */
export interface Damage {
  readonly name: string
  readonly why: 'encrypted' | 'checksum' | 'length'
}

/** Of the central directory (APPNOTE 4.3.12): its signature, and where its parts stand. */
const ENTRY = 0x02014b50
const END = 0x06054b50
const [FLAGS, CHECKSUM, LENGTH, NAME_LENGTH, EXTRA_LENGTH, COMMENT_LENGTH, NAME] = [8, 16, 24, 28, 30, 32, 46]

/** The first file of a package that is encrypted, or that is not what the directory says of it; null: none. */
export function damagedIn(bytes: Uint8Array, files: Readonly<Record<string, Uint8Array>>): Damage | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const text = new TextDecoder()
  let at = directoryOf(view)
  while (at >= 0 && at + NAME <= bytes.length && view.getUint32(at, true) === ENTRY) {
    const nameLength = view.getUint16(at + NAME_LENGTH, true)
    const name = text.decode(bytes.subarray(at + NAME, at + NAME + nameLength))
    const isEncrypted = (view.getUint16(at + FLAGS, true) & 1) === 1
    if (isEncrypted) return { name: name.slice(0, 200), why: 'encrypted' }
    const file = files[name]
    if (file && file.length !== view.getUint32(at + LENGTH, true))
      return { name: name.slice(0, 200), why: 'length' }
    if (file && crc32(file) !== view.getUint32(at + CHECKSUM, true))
      return { name: name.slice(0, 200), why: 'checksum' }
    at +=
      NAME + nameLength + view.getUint16(at + EXTRA_LENGTH, true) + view.getUint16(at + COMMENT_LENGTH, true)
  }
  return null
}

/** Where the directory begins, as the record at the end says; -1: there is none. */
function directoryOf(view: DataView): number {
  const least = Math.max(0, view.byteLength - 22 - 0xffff)
  for (let at = view.byteLength - 22; at >= least; at--)
    if (view.getUint32(at, true) === END) return view.getUint32(at + 16, true)
  return -1
}

const TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let value = n
  for (let bit = 0; bit < 8; bit++) value = value & 1 ? 0xedb88320 ^ (value >>> 1) : value >>> 1
  return value
})

/** The checksum of a file in a package (CRC-32, ISO 3309). */
function crc32(bytes: Uint8Array): number {
  let value = 0xffffffff
  for (const byte of bytes) value = (TABLE[(value ^ byte) & 0xff] ?? 0) ^ (value >>> 8)
  return (value ^ 0xffffffff) >>> 0
}
