import { refuse } from '../../base'
import type { Result } from '../../base'
import type { FormatRefusal } from '../refusals'
import { textOfXml } from './archive'
import type { Files } from './archive'
import { parseXml } from './xml'
import type { Xml } from './xml'

/** What lists the files of a package. */
export const MANIFEST = 'imsmanifest.xml'

/**
 * XML of a file within a package. Refused when it is not there, no text, or not well formed.
 * @param prepared what is read of its text; all of it, when left out
 */
export function xmlOf(
  files: Files,
  path: string,
  prepared = (text: string) => text,
): Result<Xml, FormatRefusal> {
  const bytes = files.get(path)
  if (!bytes) return refuse({ code: 'formats/nothing-known', field: 'file' })
  const text = textOfXml(bytes)
  return text.ok ? parseXml(prepared(text.value)) : text
}
