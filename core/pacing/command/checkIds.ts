import { assertNever } from '../../base'
import type { PacingRefusal } from '../refusals'
import type { PacingCommand, SingleCommand } from './types'
import { singlesOf } from './command'

/**
 * Whether what an act names and what it brings are the same thing: a lesson, meeting, note or year under another
 * one's id would change that one unseen, and could not be taken back.
 */
export function checkIds(command: PacingCommand): PacingRefusal | null {
  return singlesOf(command).every(agrees) ? null : { code: 'pacing/ids-disagree', field: 'to' }
}

function agrees(one: SingleCommand): boolean {
  switch (one.kind) {
    case 'note':
      return one.from === null || one.to === null || one.from.id === one.to.id
    case 'year':
      return one.from.id === one.yearId && one.to.id === one.yearId
    case 'meeting':
      return [one.from, one.to].every(
        (c) => c === null || (c.on === one.on && c.startMinute === one.startMinute),
      )
    case 'lesson':
      return one.part !== 'added' || isOf(one.lessonId, one.from, one.to)
    case 'plan':
      return (
        new Set(one.lessons.map((l) => l.lessonId)).size === one.lessons.length &&
        one.lessons.every((l) => isOf(l.lessonId, l.from, l.to))
      )
    case 'length':
    case 'class':
    case 'pattern':
      return true
    default:
      return assertNever(one)
  }
}

type HasId = { readonly id: string } | null

function isOf(id: string, from: HasId, to: HasId): boolean {
  return [from, to].every((value) => value === null || value.id === id)
}
