import { z } from 'zod'
import type { ClassId, GroupId, Instant, ResourceId, TrailId, UserId } from '#core/base'
import type {
  Layer,
  StepSuggestion,
  StepThresholds,
  SupportEffect,
  SupportWeek,
  Trail,
  TrailPoint,
  TrailUse,
} from '#core/versions'
import { WIRE } from '../shapes/makers'
import { versionShapes } from '../shapes/versions'
import { contract, id } from './define'

const { layer, trails, thresholds, trailId } = versionShapes(WIRE)
const ofPiece = z.strictObject({ resourceId: id<ResourceId>() })
const ofTrail = ofPiece.extend({ trailId })
/** Changes that the asker has seen; 0: there was nothing yet. */
const seen = WIRE.whole(0)

/** The layers that a school has laid over a piece, each for a trail. */
export interface PieceVersions {
  readonly trails: readonly Trail[]
  readonly layers: readonly {
    readonly trailId: TrailId
    readonly layer: Layer
    readonly version: number
    /** The asker may take it off. */
    readonly mayDrop: boolean
  }[]
}
export const ShowVersions = contract<PieceVersions>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/resources/:resourceId/versions',
  params: ofPiece,
})
/** Lays support over a piece for the learners on a trail. */
export const KeepLayer = contract<{ readonly version: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/resources/:resourceId/versions/:trailId',
  params: ofTrail,
  body: z.strictObject({ version: seen, layer }),
})
/** Takes a layer off a piece. */
export const DropLayer = contract<{ readonly version: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/resources/:resourceId/versions/:trailId/drop',
  params: ofTrail,
  body: z.strictObject({ version: seen }),
})

export interface TrailSettings {
  /** From least support to most. */
  readonly trails: readonly (Trail & TrailUse)[]
  readonly thresholds: StepThresholds
  readonly version: number
  readonly maySet: boolean
}
export const ShowTrailSettings = contract<TrailSettings>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/trails',
})
export const SetTrailSettings = contract<{ readonly version: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/trails',
  body: z.strictObject({ trails, thresholds, version: seen }),
})

export interface TrailRow {
  readonly learnerId: UserId
  readonly name: string
  readonly trailId: TrailId
  /** Their own trail, and not the class's. */
  readonly isOwn: boolean
  readonly points: readonly (TrailPoint & { readonly title: string })[]
  readonly next: StepSuggestion
}
export interface TrailSheet {
  readonly classId: ClassId
  readonly name: string
  readonly zone: string
  readonly trails: readonly Trail[]
  readonly thresholds: StepThresholds
  readonly usual: TrailId | null
  readonly groups: readonly {
    readonly id: GroupId
    readonly name: string
    readonly learnerIds: readonly UserId[]
  }[]
  readonly rows: readonly TrailRow[]
  readonly weeks: readonly SupportWeek[]
  readonly effects: readonly SupportEffect[]
  readonly now: Instant
}
const ofClass = z.strictObject({ classId: id<ClassId>() })
/** A class's learners with their trails, what they had, and what the scores suggest. */
export const ShowTrailSheet = contract<TrailSheet>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/trails',
  params: ofClass,
})
/** Puts learners of a class on trails from now on. */
export const SetTrails = contract<{ readonly moved: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/trails',
  params: ofClass,
  body: z.strictObject({
    usual: trailId.nullable(),
    /** The usual trail that was shown. */
    seenUsual: trailId.nullable(),
    /** `seen`: the trail that was shown. */
    learners: WIRE.list(z.strictObject({ learnerId: id<UserId>(), trailId, seen: trailId }), 300),
  }),
})
