import { z } from 'zod'
import type { ItemId, PieceId, ResourceId, TrailId } from '#core/base'
import {
  MARK_LOOKS,
  MOST_CELLS,
  MOST_IN_PART,
  MOST_ORGANISERS,
  MOST_SORTS,
  MOST_TRAILS,
} from '#core/versions'
import type {
  FilledCells,
  GivenVersion,
  KeptItems,
  Layer,
  LayerCommand,
  Organiser,
  StepThresholds,
  Trail,
  VersionChoice,
} from '#core/versions'
import { MOST_PIECES } from '#core/work'
import { id } from './makers'
import type { Makers } from './makers'

/** Support layers, trails, and what is given to whom. */
export function versionShapes(m: Makers) {
  const words = m.list(m.line(80), MOST_IN_PART)
  const few = m.whole(0, MOST_CELLS)
  const filled = z
    .record(m.line(20), m.prose(200))
    .refine((of) => Object.keys(of).length <= MOST_CELLS, 'is too long') as unknown as z.ZodType<
    FilledCells,
    FilledCells
  >
  const organiser = z.discriminatedUnion('kind', [
    m.object({
      kind: z.literal('table'),
      columns: m.list(m.line(60), MOST_CELLS),
      rows: m.list(m.line(60), MOST_CELLS),
      filled,
    }),
    m.object({ kind: z.literal('web'), centre: m.line(120), branches: few, filled }),
    m.object({ kind: z.literal('time-line'), points: few, filled }),
    m.object({ kind: z.literal('claim'), reasons: few, filled }),
  ]) satisfies z.ZodType<Organiser>
  const items = z.discriminatedUnion('kind', [
    m.object({ kind: z.literal('all') }),
    m.object({ kind: z.literal('chosen'), itemIds: m.list(id<ItemId>(), 100) }),
    m.object({ kind: z.literal('share'), percent: m.whole(1, 100) }),
  ]) satisfies z.ZodType<KeptItems>
  const mark = m.object({ sort: m.line(20), quote: m.line(600), nth: m.whole(1, 500) })
  const legendEntry = m.object({ id: m.line(20), name: m.line(40), look: z.enum(MARK_LOOKS) })
  const glossaryEntry = m.object({ word: m.line(80), meaning: m.prose(400), translation: m.prose(120) })
  const layer = m.object({
    wordBank: words,
    glossary: m.list(glossaryEntry, MOST_IN_PART),
    starters: m.list(m.line(200), 20),
    frames: m.list(m.object({ id: m.line(20), text: m.line(600) }), 20),
    legend: m.list(legendEntry, MOST_SORTS),
    marks: m.list(mark, MOST_IN_PART),
    organisers: m.list(organiser, MOST_ORGANISERS),
    hints: m.list(m.object({ itemId: id<ItemId>(), hint: m.line(1000) }), 100),
    steps: m.list(m.line(300), 20),
    items,
    example: m.prose(10_000),
    readAloud: z.boolean(),
    largerType: z.boolean(),
    translation: m.object({ language: m.line(12), instructions: m.prose(4000) }).nullable(),
  }) satisfies z.ZodType<Layer>
  const trailId = id<TrailId>()
  const layerCommand = m.object({
    kind: z.literal('layer'),
    resourceId: id<ResourceId>(),
    trailId,
    title: m.prose(200),
    from: layer.nullable(),
    to: layer.nullable(),
  }) satisfies z.ZodType<LayerCommand>
  const trails = m.list(m.object({ id: trailId, name: m.line(30) }), MOST_TRAILS + 1) satisfies z.ZodType<
    readonly Trail[]
  >
  // sense is made of these by the core, which names the one to correct
  const thresholds = m.object({
    lessFrom: z.number(),
    lessTimes: z.number(),
    moreAtOnce: z.number(),
    moreBelow: z.number(),
    moreTimes: z.number(),
    stuckTimes: z.number(),
  }) satisfies z.ZodType<StepThresholds>
  const parallel = { resourceId: id<ResourceId>(), revision: m.whole(1) }
  const givenVersion = m.object({
    trailId,
    instead: m.object(parallel).nullable(),
  }) satisfies z.ZodType<GivenVersion>
  const versionChoice = z.discriminatedUnion('kind', [
    m.object({ kind: z.literal('trail'), trailId }),
    m.object({ kind: z.literal('parallel'), ...parallel }),
  ]) satisfies z.ZodType<VersionChoice>
  const choices = z
    .record(id<PieceId>(), versionChoice)
    .refine((of) => Object.keys(of).length <= MOST_PIECES, 'is too long')
  return { layer, layerCommand, trails, thresholds, givenVersion, versionChoice, choices, trailId }
}
