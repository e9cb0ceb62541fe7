import { z } from 'zod'
import type {
  AssignmentId,
  ClassId,
  GroupId,
  Instant,
  IsoDay,
  ResourceId,
  SeriesId,
  UserId,
} from '#core/base'
import type { ResourceKind } from '#core/library'
import type { Series, SeriesDays } from '#core/series'
import { WIRE } from '../shapes/makers'
import { classWorkShapes } from '../shapes/classWork'
import { contract, id, version } from './define'

const { series } = classWorkShapes(WIRE)

/** What became of a row: work that is held or published, with how many have it and have begun. */
export interface ReleasedRow {
  readonly rowId: string
  readonly assignmentId: AssignmentId
  readonly state: 'held' | 'published'
  readonly learners: number
  readonly begun: number
}
export interface KeptSeries {
  readonly id: SeriesId
  readonly version: number
  readonly series: Series
  readonly rows: readonly ReleasedRow[]
}
/** A piece that a row hands out. */
export interface SeriesPiece {
  readonly id: ResourceId
  readonly code: string
  readonly title: string
  readonly kind: ResourceKind
  readonly minutes: number
  readonly revision: number
}
/** All from which a class's series are laid out, with the core that the server uses. */
export interface ClassSeries {
  readonly classId: ClassId
  readonly name: string
  readonly zone: string
  readonly firstOn: IsoDay
  readonly now: Instant
  readonly mayChange: boolean
  readonly days: SeriesDays
  readonly lessons: readonly {
    readonly number: string
    readonly title: string
    readonly firstOn: IsoDay
    readonly lastOn: IsoDay
  }[]
  readonly learners: readonly { readonly id: UserId; readonly name: string }[]
  readonly groups: readonly { readonly id: GroupId; readonly name: string }[]
  readonly series: readonly KeptSeries[]
  readonly pieces: readonly SeriesPiece[]
}
export const ShowSeries = contract<ClassSeries>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/series',
  params: z.strictObject({ classId: id<ClassId>() }),
})

/** `rows`: how many rows' work was touched; `version`: the series' own since. */
interface Done {
  readonly seriesId: SeriesId
  readonly rows: number
  readonly version: number
}
const ofSeries = z.strictObject({ seriesId: id<SeriesId>() })
const mostBytes = 2_000_000

export const MakeSeries = contract<Done>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/series',
  body: z.strictObject({ series }),
  mostBytes,
})
export const ChangeSeries = contract<Done>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/series/:seriesId',
  params: ofSeries,
  body: z.strictObject({ version, series }),
  mostBytes,
})
/** Publishes every row that has both days and is not released. */
export const ReleaseSeries = contract<Done>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/series/:seriesId/release',
  params: ofSeries,
  body: z.strictObject({ version }),
})
/** Takes back all rows that nobody has begun, to start over. */
export const ClearSeries = contract<Done>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/series/:seriesId/clear',
  params: ofSeries,
  body: z.strictObject({ version }),
})
export const RemoveSeries = contract<Done>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/series/:seriesId/remove',
  params: ofSeries,
  body: z.strictObject({ version }),
})
