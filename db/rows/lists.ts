import { STORED, id } from '#shared/shapes/makers'
import { parse, readShape } from './body'
import type { Brand } from '#core/base'

/** A stored list of ids, of which none is empty; `where` names the column. */
export function readList<Id extends Brand<string, string>>(text: string, where: string): readonly Id[] {
  return readShape(STORED.list(id<Id>(), 1000), parse(text, where), where)
}
