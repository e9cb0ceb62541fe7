import { READY_RULES } from '#core/attempts'
import { isoDay, mustBeOk } from '#core/base'
import type { ClassId, PlanId } from '#core/base'
import type { Series, SeriesRule } from '#core/series'
import { standingOf } from '#db/repositories'
import type { Deps } from '#usecases/ground/deps'
import { mailNotices } from '#usecases/notices/mailNotices'
import { keepFiling } from '#usecases/filing/keepFiling'
import { makeSeries } from '#usecases/series/keepSeries'
import { releaseSeries } from '#usecases/series/releaseSeries'
import { changeStanding } from '#usecases/standing/keepStanding'
import { layStanding } from '#usecases/standing/layStanding'
import { MORE_PRACTICE, giveMorePractice } from './ceiling'
import { PIECES } from './content'
import { LAB_PAGES } from './pages'
import type { DemoSchool } from './demo'

/** Series that run beside the lessons of one class; of one, a row has no last day yet. */
const SERIES: readonly {
  readonly section: string
  readonly title: string
  readonly rule: SeriesRule
  readonly pieces: readonly string[]
  readonly openEnded?: number
}[] = [
  {
    section: '8C',
    title: 'Words week by week',
    rule: { kind: 'weekly', from: isoDay('2026-10-26'), weekday: 1, every: 2, stays: null },
    pieces: ['vib601', 'wav601', 'snd611', 'lgt611'],
  },
  {
    section: '8C',
    title: 'Practice beside class',
    rule: { kind: 'meetings', from: isoDay('2026-10-27'), every: 3, stays: 2 },
    pieces: ['snd103', 'snd203', 'snd303', 'snd403', 'snd503', 'snd603', 'snd616'],
    openEnded: 7,
  },
]

/** A unit of which two classes have the standing work, and the check that the plan changed since. */
const STANDING = {
  course: 'Science 8',
  unit: 'W5',
  sections: ['8B', '8C'],
  changed: 'col102',
} as const

const FILING = {
  headings: ['Tests', 'Writing', LAB_PAGES, 'Practice', 'In pairs'],
  categories: [
    { name: 'Tests', weight: 40, most: null },
    { name: 'Checks', weight: 30, most: null },
    { name: 'Writing', weight: 20, most: null },
    { name: 'Practice', weight: 10, most: null },
    { name: 'Projects', weight: 0, most: null },
    MORE_PRACTICE,
  ],
}

/**
 * What runs by itself: two series in one class, work that waits for room in another, and a unit's standing work laid on
 * two, changed in the plan since.
 */
export async function runClassWork(deps: Deps, school: DemoSchool): Promise<void> {
  for (const of of SERIES) await beginSeries(deps, school, of)
  await fileUnderNames(deps, school)
  await giveMorePractice(deps, school)
  await layUnit(deps, school)
  // what is known by now has gone out by mail
  while ((await mailNotices(deps)) > 0);
}

/** Headings in the order in which learners look for them, and what counts how much. */
async function fileUnderNames(deps: Deps, { teacher, classes }: DemoSchool): Promise<void> {
  for (const classId of classes.values())
    mustBeOk(
      await keepFiling(deps, teacher, { classId, version: 0, filing: FILING, renamed: [] }),
      'headings and categories',
    )
}

async function beginSeries(
  deps: Deps,
  { teacher, classes }: DemoSchool,
  of: (typeof SERIES)[number],
): Promise<void> {
  const classId = classes.get(of.section) as ClassId
  const series: Series = {
    title: of.title,
    classId,
    rule: of.rule,
    rows: of.pieces.map((code, i) => ({
      id: `row-${i + 1}`,
      resourceId: pieceOf(code).id,
      own: i + 1 === of.openEnded ? { throughOn: null } : {},
      others: [],
    })),
    targets: [{ kind: 'class', classId }],
    rules: READY_RULES.practice,
  }
  const { seriesId } = mustBeOk(await makeSeries(deps, teacher, { series }), of.title)
  mustBeOk(await releaseSeries(deps, teacher, { seriesId, version: 1 }), of.title)
}

/** The plan's check is due a meeting later since it was laid: each class is asked. */
async function layUnit(deps: Deps, { teacher, classes, plans }: DemoSchool): Promise<void> {
  const planId = plans.get(STANDING.course) as PlanId
  const standing = await standingOf(deps.store.read, [planId])
  const codes = new Set<string>(
    PIECES.filter((p) => p.lesson?.startsWith(STANDING.unit)).map((p) => p.resource.id),
  )
  const inUnit = standing.filter((s) => codes.has(s.piece.pieces[0]?.resourceId ?? ''))
  const standingIds = inUnit.map((s) => s.id)
  const sections = STANDING.sections.map((key) => ({ classId: classes.get(key) as ClassId, standingIds }))
  mustBeOk(await layStanding(deps, teacher, { planId, classes: sections, publish: true }), 'standing')
  const check = inUnit.find((s) => s.piece.pieces[0]?.resourceId === pieceOf(STANDING.changed).id)
  const due = check?.piece.window.due
  if (!check || due?.kind !== 'anchor') throw new Error('the demo has no standing work to change')
  const window = { ...check.piece.window, due: { ...due, offset: due.offset + 1 } }
  const changed = { planId, standingId: check.id, version: check.version, piece: { ...check.piece, window } }
  mustBeOk(await changeStanding(deps, teacher, changed), 'standing changed')
}

const pieceOf = (code: string) => {
  const found = PIECES.find((p) => p.resource.code === code)
  if (!found) throw new Error(`no piece ${code}`)
  return found.resource
}
