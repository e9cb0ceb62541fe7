import { z } from 'zod'
import type { AssignmentId, Instant, IsoDay, ResourceId } from '#core/base'
import type { Target } from '#core/audience'
import { MOST_LAID } from '#core/placing'
import type { PlacedStone } from '#core/placing'
import { WIRE, day } from '../shapes/makers'
import { workShapes } from '../shapes/work'
import { contract, id, version } from './define'

const { target } = workShapes(WIRE)
const MOST_COLUMNS = 60
const targets = WIRE.list(target, MOST_COLUMNS)

/** A class or group; `meetingDays` are those in the stretch. */
export interface PlacingColumn {
  readonly key: string
  readonly target: Target
  readonly name: string
  readonly learners: number
  readonly meetingDays: readonly IsoDay[]
}
export interface Placing {
  readonly now: Instant
  readonly zone: string
  readonly columns: readonly PlacingColumn[]
  /** School days of the stretch, with what closes one. */
  readonly days: readonly { readonly on: IsoDay; readonly closedBy: string | null }[]
  readonly stones: readonly PlacedStone[]
}
/** What lies in a stretch of time for classes and groups. Changes nothing; asked with a body, for there may be many. */
export const ShowPlacing = contract<Placing>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/placing',
  body: z.strictObject({ targets, from: day, through: day }),
})

interface Done {
  readonly works: number
}
/** Each piece becomes work of its own, held until it is published. `stays`: meetings afterwards; null: no end. */
export const LayPieces = contract<Done>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/placing/lay',
  body: z.strictObject({
    targets,
    pieces: WIRE.list(z.strictObject({ resourceId: id<ResourceId>(), on: day }), MOST_LAID),
    stays: WIRE.whole(1, 200).nullable(),
  }),
})
const ofWork = { assignmentId: id<AssignmentId>(), version }
/** `alone`: only for this class or group; else for all that it lies together for. */
export const MovePlaced = contract<Done>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/placing/move',
  body: z.strictObject({ ...ofWork, target, on: day, alone: z.boolean() }),
})
/** `target` null: from everybody. */
export const TakePlaced = contract<Done>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/placing/take',
  body: z.strictObject({ ...ofWork, target: target.nullable() }),
})
