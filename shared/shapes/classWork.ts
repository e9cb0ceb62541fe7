import { z } from 'zod'
import type { RosterCommand } from '#core/audience'
import type { ClassId, GroupId, LessonId, PlanId, ResourceId, SeriesId, StandingId, UserId } from '#core/base'
import type { Filing, FilingCommand } from '#core/filing'
import { SERIES_ACTS } from '#core/series'
import type { Series, SeriesCommand, SeriesRow, SeriesRule } from '#core/series'
import type { StandingCommand, StandingPiece, StandingSetting } from '#core/standing'
import { MOST_IN_STEP } from '#core/work'
import { day, id, weekday } from './makers'
import type { Makers } from './makers'
import { versionShapes } from './versions'
import { workShapes } from './work'
import { workCommandShapes } from './workCommand'

/** More rows than a series may have are taken in, so that the refusal can say how many there are. */
const MOST_SENT = 5000

/** Series, a plan's standing work, and acts on them. */
export function classWorkShapes(m: Makers) {
  const { rules, target } = workShapes(m)
  const { draft, workCommand } = workCommandShapes(m)
  const { choices } = versionShapes(m)

  // sense is made of steps by the core, which names the field to correct
  const rule = z.discriminatedUnion('kind', [
    m.object({
      kind: z.literal('meetings'),
      from: day,
      every: m.number(undefined, 5000),
      stays: m.number(undefined, 5000).nullable(),
    }),
    m.object({
      kind: z.literal('weekly'),
      from: day,
      weekday,
      every: m.number(undefined, 5000),
      stays: m.number(undefined, 5000).nullable(),
    }),
    m.object({ kind: z.literal('explicit') }),
  ]) satisfies z.ZodType<SeriesRule>
  const days = m.object({ opensOn: day.nullable(), throughOn: day.nullable() }).partial()
  const row = m.object({
    id: m.line(64),
    resourceId: id<ResourceId>(),
    own: days,
    others: m.list(m.object({ target, days }), 60),
    only: m.list(target, 60).optional(),
  }) satisfies z.ZodType<SeriesRow>
  const series = m.object({
    title: m.line(120),
    classId: id<ClassId>(),
    rule,
    rows: m.list(row, MOST_SENT),
    targets: m.list(target, 300),
    rules,
  }) satisfies z.ZodType<Series>
  const seriesCommand = m.object({
    kind: z.literal('series'),
    what: z.enum(SERIES_ACTS),
    seriesId: id<SeriesId>(),
    from: series.nullable(),
    to: series.nullable(),
    works: m.list(workCommand, MOST_IN_STEP),
  }) satisfies z.ZodType<SeriesCommand>

  const standingSetting = draft.omit({
    targets: true,
    exceptIds: true,
    overCeiling: true,
    newcomers: true,
    teams: true,
  }) satisfies z.ZodType<StandingSetting>
  const standing = standingSetting.extend({
    lessonId: id<LessonId>(),
    versions: choices.optional(),
  }) satisfies z.ZodType<StandingPiece>
  const standingCommand = m.object({
    kind: z.literal('standing'),
    planId: id<PlanId>(),
    standingId: id<StandingId>(),
    from: standing.nullable(),
    to: standing.nullable(),
  }) satisfies z.ZodType<StandingCommand>
  const filing = m.object({
    headings: m.list(m.prose(60), 100),
    categories: m.list(m.object({ name: m.prose(60), weight: m.number(), most: m.number().nullable() }), 100),
  }) satisfies z.ZodType<Filing>
  const filingCommand = m.object({
    kind: z.literal('filing'),
    classId: id<ClassId>(),
    from: filing,
    to: filing,
    works: m.list(workCommand, MOST_IN_STEP),
  }) satisfies z.ZodType<FilingCommand>
  const learners = m.list(id<UserId>(), 2000)
  const groupId = id<GroupId>()
  const rosterCommand = m.object({
    kind: z.literal('roster'),
    classId: id<ClassId>(),
    learnerIds: learners,
    members: m.list(m.object({ groupId, learnerIds: learners }), 500),
    madeGroups: m.list(m.object({ groupId, name: m.prose(60) }), 500),
    grades: m.list(m.object({ learnerId: id<UserId>(), from: m.number().nullable(), to: m.number() }), 2000),
  }) satisfies z.ZodType<RosterCommand>
  return {
    filing,
    filingCommand,
    rosterCommand,
    series,
    seriesCommand,
    standing,
    standingSetting,
    standingCommand,
  }
}
