import { groupBy } from '../base'
import type { ResourceId } from '../base'

/** What a teacher has put into their tray, in order, and as many minutes as it shall hold at most. */
export interface Tray {
  readonly pieces: readonly ResourceId[]
  /** Minutes; null: no limit. */
  readonly limit: number | null
  /** What was gathered and set aside, to be gone on with later; no two of one name. */
  readonly aside: readonly Gathering[]
}
/** Pieces that were gathered for something, such as a unit. */
export interface Gathering {
  readonly name: string
  readonly pieces: readonly ResourceId[]
}
export const EMPTY_TRAY: Tray = { pieces: [], limit: null, aside: [] }
/** As many pieces as a tray holds. */
export const MOST_IN_TRAY = 200
/** As many gatherings as lie beside it. */
export const MOST_ASIDE = 30

/** What a tray looks at of a piece; `topic` is where it belongs, such as a unit of a textbook. */
export interface InTray {
  readonly id: ResourceId
  readonly minutes: number
  readonly topic: string
}
/** Pieces and minutes of a topic, or of all. */
export interface TraySum {
  readonly topic: string
  readonly count: number
  readonly minutes: number
}

/** The tray with pieces put in at its end; those that are in it stay where they are. */
export function putIn(tray: Tray, ids: readonly ResourceId[]): Tray {
  const known = new Set(tray.pieces)
  const added = [...new Set(ids)].filter((id) => !known.has(id))
  return { ...tray, pieces: [...tray.pieces, ...added].slice(0, MOST_IN_TRAY) }
}

/** The tray without pieces. */
export function takeOut(tray: Tray, ids: readonly ResourceId[]): Tray {
  return { ...tray, pieces: tray.pieces.filter((id) => !ids.includes(id)) }
}

/** What is done with a tray; `order` names the pieces in the order in which they shall stand. */
export type TrayAct =
  | { readonly kind: 'put-in' | 'take-out' | 'order'; readonly pieces: readonly ResourceId[] }
  | { readonly kind: 'limit'; readonly minutes: number | null }
  /** `set-aside`: all that is in the tray, under a name; `take-up`: back into it; `forget`: for good. */
  | { readonly kind: 'set-aside' | 'take-up' | 'forget'; readonly name: string }

/** A tray after an act. */
export function afterTrayAct(tray: Tray, act: TrayAct): Tray {
  switch (act.kind) {
    case 'put-in':
      return putIn(tray, act.pieces)
    case 'take-out':
      return takeOut(tray, act.pieces)
    case 'limit':
      return { ...tray, limit: act.minutes }
    case 'set-aside':
      return setAside(tray, act.name)
    case 'take-up': {
      const found = tray.aside.find((g) => g.name === act.name)
      return found ? putIn(without(tray, act.name), found.pieces) : tray
    }
    case 'forget':
      return without(tray, act.name)
    case 'order': {
      // what another page has put in meanwhile stays, behind what was ordered here
      const known = act.pieces.filter((id) => tray.pieces.includes(id))
      return putIn({ ...tray, pieces: known }, tray.pieces)
    }
  }
}

/** Joins a gathering of that name; nothing is set aside under no name, or where there is no room for it. */
function setAside(tray: Tray, named: string): Tray {
  const name = named.trim()
  const known = tray.aside.find((g) => g.name === name)
  const isFull = !known && tray.aside.length >= MOST_ASIDE
  if (name === '' || tray.pieces.length === 0 || isFull) return tray
  const { pieces } = putIn({ ...EMPTY_TRAY, pieces: known?.pieces ?? [] }, tray.pieces)
  const aside = [...tray.aside.filter((g) => g !== known), { name, pieces }]
  return { ...tray, pieces: [], aside }
}

function without(tray: Tray, name: string): Tray {
  return { ...tray, aside: tray.aside.filter((g) => g.name !== name) }
}

/** Count and minutes by topic, in the order in which topics first come, and in all; `over` minutes above the limit. */
export function traySums(
  pieces: readonly InTray[],
  limit: Tray['limit'],
): { readonly topics: readonly TraySum[]; readonly all: TraySum; readonly over: number } {
  const sum = (topic: string, list: readonly InTray[]): TraySum => ({
    topic,
    count: list.length,
    minutes: list.reduce((n, p) => n + p.minutes, 0),
  })
  const topics = [...groupBy(pieces, (p) => p.topic)].map(([topic, list]) => sum(topic, list))
  const all = sum('', pieces)
  return { topics, all, over: limit === null ? 0 : Math.max(0, all.minutes - limit) }
}

/** So many separate pieces at once are a lot for a learner. */
export const MANY_AT_ONCE = 5

/** The short codes in a text that was typed or pasted: words parted by anything that is no letter or digit. */
export function codesIn(text: string): readonly string[] {
  const codes = text
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter((code) => code !== '')
  return [...new Set(codes)].slice(0, MOST_IN_TRAY)
}
