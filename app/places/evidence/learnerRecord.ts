import { pieceName } from '#core/attempts'
import type { UserId } from '#core/base'
import { bandOf } from '#core/evidence'
import type { Cell } from '#core/evidence'
import type { ByCategory } from '#core/filing'
import type { ClassGrid, ClassPractice, GridColumn } from '#shared/contracts/evidence'
import type { MapColumn, StandardsMap } from '#shared/contracts/standardsMap'

/** All that a class's pages know of one learner, on one page; nothing of anybody else. */
export interface LearnerRecord {
  readonly name: string
  readonly whole: ByCategory | null
  /** What they have, in the order of its due dates. */
  readonly work: readonly { readonly column: GridColumn; readonly cell: Cell }[]
  /** What of it is missing. */
  readonly missing: number
  /** Standards that they were asked for, in the plan's order. */
  readonly standards: readonly {
    readonly column: MapColumn
    readonly standing: StandardsMap['standings'][number]
  }[]
  /** Of these, where they stand below 60 %. */
  readonly weak: readonly string[]
  /** What was taught and they have not been asked for. */
  readonly unseen: readonly MapColumn[]
  /** What they practised of their own choice. */
  readonly practised: readonly {
    readonly title: string
    readonly times: number
    readonly ratio: number | null
  }[]
}

/** One learner's record; null: they are not in the class. */
export function learnerRecord(
  learnerId: UserId,
  of: { readonly grid: ClassGrid; readonly map: StandardsMap; readonly practice: ClassPractice },
): LearnerRecord | null {
  const learner = of.grid.learners.find((l) => l.id === learnerId)
  if (!learner) return null
  const cells = new Map(
    of.grid.cells.filter((c) => c.learnerId === learnerId).map((c) => [pieceName(c), c] as const),
  )
  const work = of.grid.columns.flatMap((column) => {
    const cell = cells.get(pieceName(column))
    return cell && cell.state !== 'not-for-them' ? [{ column, cell }] : []
  })
  const own = new Map(
    of.map.standings.filter((s) => s.learnerId === learnerId).map((s) => [s.code, s] as const),
  )
  const standards = of.map.columns.flatMap((column) => {
    const standing = own.get(column.code)
    return standing ? [{ column, standing }] : []
  })
  return {
    name: learner.name,
    whole: of.grid.wholes.find((w) => w.learnerId === learnerId) ?? null,
    work,
    missing: work.filter((w) => w.cell.state === 'missing').length,
    standards,
    weak: standards.filter((s) => bandOf(s.standing.share) === 'low').map((s) => s.column.code),
    unseen: of.map.columns.filter((c) => c.taughtAt !== null && !own.has(c.code)),
    practised: of.practice.books
      .flatMap((b) => b.lessons.flatMap((l) => l.pieces))
      .flatMap(({ title, learners }) => {
        const done = learners.find((l) => l.id === learnerId)
        return done ? [{ title, times: done.times, ratio: done.ratio }] : []
      }),
  }
}
