import type { Brand } from './brand'

export type SchoolId = Brand<string, 'SchoolId'>
export type UserId = Brand<string, 'UserId'>
export type YearId = Brand<string, 'YearId'>
export type ClassId = Brand<string, 'ClassId'>
export type GroupId = Brand<string, 'GroupId'>
export type PlanId = Brand<string, 'PlanId'>
export type UnitId = Brand<string, 'UnitId'>
export type LessonId = Brand<string, 'LessonId'>
export type BookId = Brand<string, 'BookId'>
/** How much support somebody works with: one of a school's own. */
export type TrailId = Brand<string, 'TrailId'>
export type ResourceId = Brand<string, 'ResourceId'>
export type ItemId = Brand<string, 'ItemId'>
export type AssignmentId = Brand<string, 'AssignmentId'>
/** A piece within one assignment. */
export type PieceId = Brand<string, 'PieceId'>
export type AttemptId = Brand<string, 'AttemptId'>
/** Pieces released one after another. */
export type SeriesId = Brand<string, 'SeriesId'>
/** A piece of a plan's standing work. */
export type StandingId = Brand<string, 'StandingId'>
/** Attempt rules under a name. */
export type PresetId = Brand<string, 'PresetId'>
/** A comment that a teacher keeps. */
export type CommentId = Brand<string, 'CommentId'>
/** A file that is kept: a picture, a sheet, what a learner handed in. */
export type FileId = Brand<string, 'FileId'>
/** A page that was opened, by a name that no other has. */
export type PageId = Brand<string, 'PageId'>

const SHAPE = /^[A-Za-z0-9_-]{1,64}$/

/**
 * True for text that may be an id: 1 to 64 letters, digits, `-` or `_`. Names that every object knows are none:
 * values are kept by id, and `__proto__` would be found among any of them.
 */
export function isId(text: string): boolean {
  return SHAPE.test(text) && !(text in Object.prototype)
}

/**
 * Brands text as an id; text that cannot be one is a defect, since outside text goes through the contracts
 * first.
 */
export function asId<Id extends Brand<string, string>>(text: string): Id {
  if (!isId(text)) throw new Error('not an id')
  return text as Id
}
