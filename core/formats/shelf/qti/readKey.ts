import type { Shortfall } from '../types'
import { allOf, isElement, textIn } from '../xml'
import type { Xml } from '../xml'
import { blanks } from './keys/blanks'
import { choice } from './keys/choice'
import { extended } from './keys/extended'
import type { Asked, KeyReading } from './keys/keyReading'
import { match } from './keys/match'
import { order } from './keys/order'
import { typed, unitIn } from './keys/typed'

/** What fills a text, each alone or several together. */
const IN_TEXT: ReadonlySet<string> = new Set([
  'textentryinteraction',
  'inlinechoiceinteraction',
  'gapmatchinteraction',
])
/** How each interaction of its own is read. */
const READERS: Readonly<Record<string, (interaction: Xml, asked: Asked) => KeyReading | Shortfall>> = {
  choiceinteraction: choice,
  orderinteraction: order,
  matchinteraction: match,
  extendedtextinteraction: extended,
}

/** Reads what is asked in an item, and what is right; or why that is nothing of ours. */
export function readKey(interactions: readonly Xml[], asked: Asked): KeyReading | Shortfall {
  const [first, ...more] = interactions
  if (!first) return { code: 'unknown-kind', name: '' }
  if (interactions.every((a) => IN_TEXT.has(a.name))) {
    const isAlone = more.length === 0 && first.name === 'textentryinteraction'
    return isAlone && !isWithinText(asked.body, first) ? typed(first, asked) : blanks(interactions, asked)
  }
  if (more.length > 0) return { code: 'several-kinds', names: [...new Set(interactions.map((a) => a.name))] }
  const read = Object.hasOwn(READERS, first.name) ? READERS[first.name] : undefined
  return read ? read(first, asked) : { code: 'unknown-kind', name: first.name }
}

/** Whether a blank stands in a text, rather than alone on its line or before its unit. */
function isWithinText(body: Xml, blank: Xml): boolean {
  const holder = (of: Xml): Xml =>
    of.children.filter(isElement).find((c) => c !== blank && allOf(c, blank.name).includes(blank)) ?? of
  let line = holder(body)
  while (holder(line) !== line) line = holder(line)
  if (line === body) return false
  return textIn(line) !== textIn(unitIn(line))
}
