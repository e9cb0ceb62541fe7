import type { ResourceKind } from './types'

/** Whether pieces of a kind have items: they need some, may have some, or have none. */
export type ItemsOfKind = 'needed' | 'possible' | 'none'

const ITEMS: Record<ResourceKind, ItemsOfKind> = {
  reading: 'possible',
  video: 'possible',
  'worked-example': 'none',
  'practice-set': 'needed',
  check: 'needed',
  test: 'needed',
  'writing-task': 'needed',
  'word-list': 'possible',
  'read-aloud': 'possible',
  page: 'needed',
  project: 'possible',
  link: 'none',
  file: 'none',
}

/** What items pieces of a kind have. */
export function itemsOfKind(kind: ResourceKind): ItemsOfKind {
  return ITEMS[kind]
}

/** Kinds made to be answered and to score themselves. */
export function isScored(kind: ResourceKind): boolean {
  return kind === 'check' || kind === 'test' || kind === 'practice-set'
}

/** Kinds that have an address; a film may be a file instead. */
export function hasLink(kind: ResourceKind): boolean {
  return kind === 'video' || kind === 'link'
}

/** An address that may be opened by whoever is given it: https, with a host, no name or password in it. */
export function isWebAddress(text: string): boolean {
  if (!URL.canParse(text)) return false
  const { protocol, hostname, username, password } = new URL(text)
  return protocol === 'https:' && hostname.includes('.') && username === '' && password === ''
}

const TAKES_FILES: ReadonlySet<ResourceKind> = new Set(['project', 'page', 'writing-task'])

/** Whether learners may hand in files for pieces of a kind. */
export function takesFiles(kind: ResourceKind): boolean {
  return TAKES_FILES.has(kind)
}

/** Whether a further try goes on with what was given before: a text is revised, a page is one's own copy. */
export function isRevised(kind: ResourceKind): boolean {
  return kind === 'writing-task' || kind === 'page'
}

/** Whether tries at pieces of a kind are counted: what nobody scores is done as often as one likes. */
export function hasCountedTries(kind: ResourceKind): boolean {
  return isScored(kind) || kind === 'writing-task'
}
