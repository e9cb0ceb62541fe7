import type { ResourceKind, ResourceRole } from '#core/library'
import type { When } from '#core/work'
import type { PieceCard } from '#shared/contracts/library'
import { count } from './numbers'

export const KIND_WORDS: Record<ResourceKind, string> = {
  reading: 'Reading',
  video: 'Video',
  'worked-example': 'Worked example',
  'practice-set': 'Practice set',
  check: 'Check',
  test: 'Test',
  'writing-task': 'Writing task',
  'word-list': 'Word list',
  'read-aloud': 'Read-aloud passage',
  page: 'Page to fill in',
  project: 'Project',
  link: 'Link',
  file: 'File',
}
export const ROLE_WORDS: Record<ResourceRole, string> = {
  core: 'core',
  reteach: 'to reteach',
  practice: 'for practice',
  extension: 'to go further',
  example: 'example',
}

export const WHEN_WORDS: Record<When, string> = {
  before: 'before class',
  in: 'in class',
  after: 'after class',
}

/** 'Check · 12 min · 8 items'. */
export function sayPiece(p: Pick<PieceCard, 'kind' | 'minutes' | 'itemCount' | 'role'>): string {
  return [
    KIND_WORDS[p.kind],
    ...(p.role === 'core' ? [] : [ROLE_WORDS[p.role]]),
    `${p.minutes} min`,
    ...(p.itemCount > 0 ? [count(p.itemCount, 'item')] : []),
  ].join(' · ')
}
