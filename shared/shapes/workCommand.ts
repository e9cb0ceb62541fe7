import { z } from 'zod'
import type { AssignmentId, ClassId, PieceId, ResourceId, UserId } from '#core/base'
import { ASSIGNMENT_STATES, MOST_IN_STEP, MOST_PIECES, WORK_ACTS } from '#core/work'
import type { AssignmentTarget, Draft, WorkCommand, WorkPiece, WorkSetting, WorksCommand } from '#core/work'
import { id } from './makers'
import type { Makers } from './makers'
import { versionShapes } from './versions'
import { workShapes } from './work'

/** What a teacher sets for an assignment, and acts on it. */
export function workCommandShapes(m: Makers) {
  const { window, rules, pieceParts, overrides, ownRules, target, about, ruledGroup } = workShapes(m)
  const { choices } = versionShapes(m)
  const assignmentTarget = m.object({
    target,
    overrides,
    rules: ownRules.optional(),
    versions: choices.optional(),
  }) satisfies z.ZodType<AssignmentTarget>
  const piece = m.object({
    id: id<PieceId>(),
    resourceId: id<ResourceId>(),
    revision: m.whole(1, 100_000),
    ...pieceParts.shape,
  }) satisfies z.ZodType<WorkPiece>
  const draft = m.object({
    pieces: m.list(piece, MOST_PIECES),
    title: m.line(120),
    note: m.prose(1000),
    about,
    isFirst: z.boolean(),
    inTurn: z.boolean(),
    window,
    rules,
    targets: m.list(assignmentTarget, 300),
    exceptIds: m.list(id<UserId>(), 300),
    overCeiling: m.list(id<UserId>(), 1000).default([]),
    newcomers: z.boolean(),
    teams: m.list(m.list(id<UserId>(), 40), 300),
  }) satisfies z.ZodType<Draft>
  const setting = draft.extend({
    state: z.enum(ASSIGNMENT_STATES),
    notFor: m.list(id<ClassId>(), 1000),
    ruled: m.list(ruledGroup, 300),
  }) satisfies z.ZodType<WorkSetting>
  const workCommand = m.object({
    kind: z.literal('work'),
    what: z.enum(WORK_ACTS),
    assignmentId: id<AssignmentId>(),
    from: setting.nullable(),
    to: setting.nullable(),
  }) satisfies z.ZodType<WorkCommand>
  const worksCommand = m.object({
    kind: z.literal('works'),
    what: z.enum(WORK_ACTS),
    steps: m.list(workCommand, MOST_IN_STEP),
  }) satisfies z.ZodType<WorksCommand>
  return { draft, workCommand, worksCommand }
}
