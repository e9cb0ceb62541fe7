import { strToU8, zipSync } from 'fflate'

/** A picture of one dot (PNG), in base64. */
export const A_PICTURE =
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='

/** A file as it is sent. */
export const sent = (name: string, content: string | Uint8Array) => ({
  name,
  base64: Buffer.from(content).toString('base64'),
})

/** The least of a text document of an office program (OpenDocument). */
export const A_DOCUMENT = zipSync({
  mimetype: [strToU8('application/vnd.oasis.opendocument.text'), { level: 0 }],
  'content.xml': strToU8('<office:document-content/>'),
})
