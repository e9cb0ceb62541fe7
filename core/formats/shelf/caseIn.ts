import { ok, refuse } from '../../base'
import type { Result } from '../../base'
import { STANDARD_LEVELS, faultInStandards } from '../../library'
import type { Standard, StandardLevel } from '../../library'
import type { FormatRefusal } from '../refusals'
import { NO_BOOK } from './types'
import type { ReadStandard, ShelfReading, ShelfRow, Shortfall } from './types'

/** As long as a code of a standard may be. */
export const LONGEST_CODE = 40
const MOST_ITEMS = 5000

type Json = Readonly<Record<string, unknown>>
const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const listIn = (of: Json, name: string): readonly Json[] => {
  const value = of[name]
  return Array.isArray(value) ? value.filter(isJson) : []
}
const textIn = (of: Json, name: string): string => {
  const value = of[name]
  return typeof value === 'string' ? value.trim() : ''
}
const idIn = (of: unknown): string => (isJson(of) ? textIn(of, 'identifier') : '')

interface SequencedStandard {
  readonly id: string
  readonly code: string
  readonly text: string
  readonly type: string
  readonly sequence: number
}

/**
 * Reads a framework of standards (CASE 1.0, JSON of a package: CFDocument, CFItems, CFAssociations). `isChildOf` makes
 * the tree, `precedes` the prerequisites; other relations are counted and left out. Items without a code get one from
 * their identifier.
 */
export function parseCase(text: string): Result<ShelfReading, FormatRefusal> {
  const json = parseJson(text)
  const document = isJson(json) && isJson(json.CFDocument) ? json.CFDocument : null
  if (!isJson(json) || document === null) return refuse({ code: 'formats/no-framework', field: 'file' })
  const items = listIn(json, 'CFItems')
  if (items.length === 0) return refuse({ code: 'formats/empty', field: 'text' })
  if (items.length > MOST_ITEMS)
    return refuse({ code: 'formats/too-many-rows', field: 'text', count: items.length, most: MOST_ITEMS })
  const relations = listIn(json, 'CFAssociations')
  const creator = textIn(document, 'creator')
  const { taken, rows } = take(items, relations)
  const standards = inTree(taken, relations)
  const fault = faultInStandards(standards.map((s) => s.standard))
  if (fault?.code === 'library/standards-in-circle')
    return refuse({ code: 'formats/standards-in-circle', field: 'file', circle: fault.circle })
  return ok({
    format: 'case',
    title: textIn(document, 'title') || 'Standards',
    outsideId: textIn(document, 'identifier') || null,
    ...(creator === '' ? {} : { creator }),
    standards,
    pieces: [],
    ...NO_BOOK,
    rows: [...rows, ...leftOut(relations)],
  })
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, '')) as unknown
  } catch {
    return null
  }
}

function take(items: readonly Json[], relations: readonly Json[]) {
  const sequence = new Map(
    relations
      .filter((r) => textIn(r, 'associationType') === 'isChildOf')
      .map((r) => [idIn(r.originNodeURI), Number(r.sequenceNumber)]),
  )
  const seen = new Set<string>()
  const taken: SequencedStandard[] = []
  const rows: ShelfRow[] = []
  for (const [i, item] of items.entries()) {
    const id = textIn(item, 'identifier')
    const code = textIn(item, 'humanCodingScheme') || id.slice(0, 8)
    const words = textIn(item, 'fullStatement')
    const fault = faultOf(code, words, seen)
    const where = `item ${i + 1}`
    const what = words.slice(0, 200) || code
    if (fault) {
      rows.push({ where, what, outcome: 'refused', because: [fault] })
      continue
    }
    seen.add(code.toLowerCase())
    const type = textIn(item, 'CFItemType')
    taken.push({ id, code, text: words.slice(0, 1000), type, sequence: sequence.get(id) || i })
    rows.push({ where, what: `${code} ${what}`, outcome: 'taken', because: [] })
  }
  return { taken, rows }
}

function faultOf(code: string, words: string, seen: ReadonlySet<string>): Shortfall | null {
  if (words === '' || code === '') return { code: 'no-text' }
  if (code.length > LONGEST_CODE) return { code: 'code-too-long', name: code.slice(0, 60) }
  return seen.has(code.toLowerCase()) ? { code: 'code-twice', name: code } : null
}

/** The tree top down, each part in the order of its sequence numbers. */
function inTree(taken: readonly SequencedStandard[], relations: readonly Json[]): readonly ReadStandard[] {
  const byId = new Map(taken.map((t) => [t.id, t]))
  const parents = new Map<string, string>()
  const requires = new Map<string, string[]>()
  for (const r of relations) {
    const [from, to] = [byId.get(idIn(r.originNodeURI)), byId.get(idIn(r.destinationNodeURI))]
    if (!from || !to || from === to) continue
    const type = textIn(r, 'associationType')
    if (type === 'isChildOf' && !parents.has(from.id)) parents.set(from.id, to.id)
    if (type === 'precedes') requires.set(to.id, [...(requires.get(to.id) ?? []), from.code])
  }
  const held = new Map<string | undefined, SequencedStandard[]>()
  for (const t of taken) held.set(parents.get(t.id), [...(held.get(parents.get(t.id)) ?? []), t])
  const levels = levelsOf(taken, held)
  const list: ReadStandard[] = []
  const done = new Set<string>()
  const walk = (t: SequencedStandard): void => {
    if (done.has(t.id)) return
    done.add(t.id)
    const parent = byId.get(parents.get(t.id) ?? '')?.code ?? null
    const before = [...new Set(requires.get(t.id) ?? [])]
    const standard: Standard = {
      code: t.code,
      text: t.text,
      level: levels.get(t.id) ?? 'standard',
      parent,
      requires: before,
    }
    list.push({ standard, outsideId: t.id || null })
    for (const below of inSequence(held.get(t.id) ?? [])) walk(below)
  }
  for (const top of inSequence(held.get(undefined) ?? [])) walk(top)
  // a circle of parents hangs on nothing; the check after this one names it
  for (const t of taken) walk(t)
  return list
}

/**
 * The level of each by its id: what its kind says, where it is one of ours; else by what stands below it. All of one
 * kind are alike: a cluster that holds nothing yet is no standard for that.
 */
function levelsOf(
  taken: readonly SequencedStandard[],
  held: ReadonlyMap<string | undefined, readonly SequencedStandard[]>,
): ReadonlyMap<string, StandardLevel> {
  const placed = taken.map((t): StandardLevel => {
    const below = held.get(t.id) ?? []
    if (below.length === 0) return 'standard'
    return below.some((b) => held.has(b.id)) ? 'subject' : 'domain'
  })
  const named = new Map<string, StandardLevel>()
  for (const [at, { type }] of taken.entries()) {
    const [level, before] = [placed[at] ?? 'standard', named.get(type)]
    const isHigher = !before || STANDARD_LEVELS.indexOf(level) < STANDARD_LEVELS.indexOf(before)
    if (type !== '' && isHigher) named.set(type, level)
  }
  const levelOf = (t: SequencedStandard, at: number): StandardLevel =>
    STANDARD_LEVELS.find((level) => level === t.type.toLowerCase()) ??
    named.get(t.type) ??
    placed[at] ??
    'standard'
  return new Map(taken.map((t, at) => [t.id, levelOf(t, at)]))
}

const inSequence = (list: readonly SequencedStandard[]) => [...list].sort((a, b) => a.sequence - b.sequence)

function leftOut(relations: readonly Json[]): readonly ShelfRow[] {
  const counts = new Map<string, number>()
  for (const r of relations) {
    const type = textIn(r, 'associationType') || 'without a type'
    if (type !== 'isChildOf' && type !== 'precedes') counts.set(type, (counts.get(type) ?? 0) + 1)
  }
  return [...counts].map(([name, count]) => ({
    where: 'CFAssociations',
    what: name,
    outcome: 'refused',
    because: [{ code: 'relation-left-out', name, count }],
  }))
}
