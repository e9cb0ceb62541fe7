import { z } from 'zod'
import type { AssignmentId, ClassId, GroupId, ItemId, LessonId, PieceId, UserId } from '#core/base'
import { HARDNESSES, HELPS, ITEM_ORDERS, KEPT, LATE_PER, REVEALS } from '#core/attempts'
import type { AttemptRules, AttemptScore, Correction, ItemChoice, Share } from '#core/attempts'
import { GRADES, LEVELS } from '#core/audience'
import type { GroupRule, Target } from '#core/audience'
import { LIMIT_FIELDS, WINDOW_FIELDS } from '#core/availability'
import type { Moment, Overrides, WindowSpec } from '#core/availability'
import { HAND_INS, MOST_PIECES, OWN_RULE_FIELDS, WHENS } from '#core/work'
import type { About, OwnRules, RuledGroup, WorkBecause, WorkPiece } from '#core/work'
import { itemShapes } from './items'
import { day, id } from './makers'
import type { Makers } from './makers'

/** Windows, attempt rules, targets, and what comes of them. */
export function workShapes(m: Makers) {
  const minuteOfDay = m.whole(0, 1440)
  const place = z.union([z.enum(['class-start', 'class-end', 'end-of-day']), m.object({ minuteOfDay })])
  const moment = z.discriminatedUnion('kind', [
    m.object({
      kind: z.literal('anchor'),
      lessonId: id<LessonId>(),
      edge: z.enum(['first', 'last']),
      offset: m.whole(-400, 400),
      step: z.enum(['meetings', 'days']),
      at: place,
    }),
    m.object({ kind: z.literal('day'), on: day }),
    m.object({ kind: z.literal('time'), on: day, minuteOfDay }),
    m.object({ kind: z.literal('meeting'), on: day, minuteOfDay, count: m.whole(1, 400), at: place }),
  ]) satisfies z.ZodType<Moment>
  const window = m.object({
    listed: moment.nullable(),
    opens: moment.nullable(),
    due: moment.nullable(),
    closes: moment.nullable(),
    putAway: moment.nullable(),
  }) satisfies z.ZodType<WindowSpec>

  const share = m.object({
    standard: m.line(40).nullable(),
    hardness: z.enum(HARDNESSES).nullable(),
    count: z.number(),
  }) satisfies z.ZodType<Share>
  const itemChoice = z.discriminatedUnion('kind', [
    m.object({ kind: z.literal('all') }),
    m.object({ kind: z.literal('drawn'), shares: m.list(share, 20), again: z.enum(['same', 'new']) }),
    m.object({ kind: z.literal('adaptive'), most: z.number(), untilError: z.number().nullable() }),
  ]) satisfies z.ZodType<ItemChoice>
  const rules = m.object({
    // sense is made of these by the core, which names the field to correct
    maxAttempts: m.number(undefined, 50).nullable(),
    kept: z.enum(KEPT),
    waitMinutes: m.number(undefined, 20_160),
    timeLimitMinutes: m.number(undefined, 600).nullable(),
    order: z.enum(ITEM_ORDERS),
    feedback: z.enum(REVEALS),
    answers: z.enum(REVEALS),
    late: m.object({ percentPerDay: z.number(), per: z.enum(LATE_PER), floorPercent: z.number() }).nullable(),
    items: itemChoice,
    help: m.list(z.enum(HELPS), HELPS.length),
    passPercent: z.number().nullable(),
  }) satisfies z.ZodType<AttemptRules>
  const { shape } = rules
  /** What a piece does differently; a rule that is absent is the assignment's. */
  const { item } = itemShapes(m)
  const ofItem = { itemId: id<ItemId>(), revision: m.whole(1, 1_000_000) }
  const correction = z.discriminatedUnion('kind', [
    m.object({ ...ofItem, kind: z.literal('key'), item }),
    m.object({ ...ofItem, kind: z.literal('dropped') }),
    m.object({ ...ofItem, kind: z.literal('credit') }),
  ]) satisfies z.ZodType<Correction>
  const pieceParts = m.object({
    when: z.enum(WHENS),
    handIn: z.enum(HAND_INS),
    leastMinutes: m.whole(0, 600),
    window: window.partial(),
    rules: m.object(shape).partial(),
    onlyIds: m.list(id<UserId>(), 1000).optional(),
    corrections: m.list(correction, 1000).optional(),
  }) satisfies z.ZodType<Omit<WorkPiece, 'id' | 'resourceId' | 'revision'>>
  // all of them, whatever is added: one that were left out here would never reach a learner
  const ownShape = Object.fromEntries(OWN_RULE_FIELDS.map((field) => [field, shape[field]]))
  const ownRules = m.object(ownShape as Pick<typeof shape, keyof OwnRules>).partial() satisfies z.ZodType<
    Partial<OwnRules>
  >
  const overrides = m.object({
    window: window.partial().optional(),
    maxAttempts: m.whole(1, 50).nullable().optional(),
    timeLimitMinutes: m.whole(1, 600).nullable().optional(),
    moreTries: z
      .record(id<PieceId>(), m.whole(1, 50))
      .refine((of) => Object.keys(of).length <= MOST_PIECES, 'is too long')
      .optional(),
  }) satisfies z.ZodType<Overrides>
  const target = z.discriminatedUnion('kind', [
    m.object({ kind: z.literal('class'), classId: id<ClassId>() }),
    m.object({ kind: z.literal('group'), groupId: id<GroupId>() }),
    m.object({ kind: z.literal('learner'), learnerId: id<UserId>() }),
  ]) satisfies z.ZodType<Target>

  const ruledGroup = m.object({
    groupId: id<GroupId>(),
    learnerIds: m.list(id<UserId>(), 1000),
  }) satisfies z.ZodType<RuledGroup>
  // sense is made of these by the core, which names the part to correct
  const groupRule = z.discriminatedUnion('kind', [
    m.object({
      kind: z.literal('standing'),
      standards: m.list(m.line(40), 40),
      from: z.number().nullable(),
      below: z.number().nullable(),
      leastItems: z.number(),
    }),
    m.object({ kind: z.literal('grade'), grades: m.list(z.number(), GRADES.length) }),
  ]) satisfies z.ZodType<GroupRule>
  const because = m.object({
    field: z.enum([...WINDOW_FIELDS, ...LIMIT_FIELDS, ...OWN_RULE_FIELDS, 'version']),
    level: z.enum(LEVELS),
    sourceId: m.prose(64).nullable(),
  }) satisfies z.ZodType<WorkBecause>
  const about = m.object({
    objective: m.prose(300),
    outcomes: m.list(m.line(300), 12),
    instructions: m.prose(10_000),
    link: m.prose(500),
    heading: m.prose(60),
    category: m.prose(60),
    isRecommended: z.boolean().default(false),
    followsUp: m.object({ assignmentId: id<AssignmentId>(), pieceId: id<PieceId>() }).optional(),
  }) satisfies z.ZodType<About>
  const itemScore = m.object({
    itemId: id<ItemId>(),
    points: z.number(),
    of: z.number(),
    waits: z.literal(true).optional(),
    comment: z.string().optional(),
    levels: m.list(z.number(), 100).optional(),
  })
  const score = m.object({
    points: z.number(),
    of: z.number(),
    ratio: z.number(),
    lateDays: z.number(),
    deductedRatio: z.number(),
    items: m.list(itemScore, 1000),
    estimate: m.object({ ability: z.number(), error: z.number() }).optional(),
    waiting: z.number().optional(),
  }) satisfies z.ZodType<AttemptScore>
  const scoreDraft = m.object({
    levels: m.list(z.number().nullable(), 100),
    comment: m.prose(2000),
    again: z.boolean(),
  })
  return {
    moment,
    window,
    rules,
    correction,
    pieceParts,
    overrides,
    ownRules,
    target,
    ruledGroup,
    groupRule,
    because,
    about,
    score,
    scoreDraft,
  }
}
