import { addDays, groupBy, ok, refuse } from '#core/base'
import type { Instant, IsoDay, Result } from '#core/base'
import type { Teacher } from '#core/access'
import { keyOf } from '#core/audience'
import type { Target } from '#core/audience'
import { resolveWindow } from '#core/availability'
import { schoolDays } from '#core/calendar'
import { MOST_DAYS, placedFor } from '#core/placing'
import type { LiesAt, LaidDays, PlacedStone, PlacingRefusal } from '#core/placing'
import type { Assignment } from '#core/work'
import { assignmentIdsNear, assignmentsById, begunBy, formName, formsInShort } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { columnsFor } from './columns'
import type { PlacingColumn } from './columns'

/** What a teacher places in which time, for whom. */
export interface PlacingOf {
  readonly targets: readonly Target[]
  readonly from: IsoDay
  readonly through: IsoDay
}

/** A stretch of time with what lies in it for classes, groups and learners: from which day learners have what. */
export async function showPlacing(deps: Pick<Deps, 'store' | 'clock'>, actor: Teacher, of: PlacingOf) {
  const stretch = checkStretch(of)
  if (!stretch.ok) return stretch
  const tx = deps.store.read
  const columns = await columnsFor(tx, actor, of.targets)
  if (!columns.ok) return columns
  const classIds = [...new Set(columns.value.map((c) => c.ground.record.id))]
  const near = await assignmentsById(tx, await assignmentIdsNear(tx, classIds))
  const works = near.filter((w) => w.state !== 'withdrawn')
  const placed = works.flatMap((work) => {
    const at = columns.value.flatMap((c) => liesIn(work, c, of))
    return at.length > 0 ? [{ work, at }] : []
  })
  const ids = placed.map((p) => p.work.id)
  const begun = await begunBy(tx, ids)
  const forms = await formsInShort(
    tx,
    placed.flatMap((p) => p.work.pieces),
  )
  const minutesOf = ({ pieces }: Assignment) =>
    pieces.reduce((sum, p) => sum + (forms.get(formName(p))?.minutes ?? 0), 0)
  const [first] = columns.value
  return ok({
    now: deps.clock.now(),
    zone: first?.ground.year.zone ?? 'UTC',
    columns: columns.value.map(({ key, target, name, learnerIds, meetingDays }) => ({
      key,
      target,
      name,
      learners: learnerIds.length,
      meetingDays: meetingDays.filter((on) => of.from <= on && on <= of.through),
    })),
    days: first ? daysOf(first, of) : [],
    stones: placed.map(({ work, at }): PlacedStone => ({
      assignmentId: work.id,
      version: work.version,
      title: work.title,
      state: work.state,
      resourceIds: work.pieces.map((p) => p.resourceId),
      minutes: minutesOf(work),
      begun: begun.get(work.id)?.size ?? 0,
      at,
    })),
  })
}

/** Refused when a stretch ends before it begins, or is longer than a school year. */
function checkStretch({ from, through }: PlacingOf): Result<true, PlacingRefusal> {
  return from <= through && through < addDays(from, MOST_DAYS)
    ? ok(true)
    : refuse({ code: 'placing/bad-stretch', field: 'from', most: MOST_DAYS })
}

/** School days of the stretch; with what closes one. */
function daysOf({ ground }: PlacingColumn, { from, through }: PlacingOf) {
  return schoolDays(ground.year)
    .filter((d) => from <= d.on && d.on <= through)
    .map(({ on, closedBy }) => ({ on, closedBy }))
}

function liesIn(work: Assignment, column: PlacingColumn, of: PlacingOf): readonly LiesAt[] {
  const { key, target } = column
  if (target.kind === 'class' && work.notFor.includes(target.classId)) return []
  const whole = liesFor(work, column, key, of).map((at): LiesAt => ({ ...at, key, whose: '' }))
  const [own] = whole
  const isApart = (at: Lies) => at.opensOn !== own?.opensOn || at.throughOn !== own.throughOn
  const parts = column.parts.flatMap(({ key: part, name }) =>
    liesFor(work, column, part, of)
      .filter(isApart)
      .map((at) => ({ at, name })),
  )
  // those who have it on the same days stand together
  const together = [...groupBy(parts, ({ at }) => `${at.opensOn} ${at.throughOn ?? ''}`).values()]
  return [
    ...whole,
    ...together.flatMap((list): readonly LiesAt[] => {
      const [first] = list
      return first ? [{ ...first.at, key, isByDays: false, whose: sayWho(list.map((p) => p.name)) }] : []
    }),
  ]
}
type Lies = Omit<LiesAt, 'key' | 'whose'>

/** Where work lies for one of its targets within the stretch; nothing where it does not. */
function liesFor(
  work: Assignment,
  { ground }: PlacingColumn,
  key: string,
  { from, through }: PlacingOf,
): readonly Lies[] {
  const own = work.targets.find((t) => keyOf(t.target) === key)
  if (!own) return []
  const placed = placedFor(work, key)
  const days = placed ?? resolvedDays(work, own.overrides.window ?? {}, ground)
  if (days === null || days.opensOn < from || days.opensOn > through) return []
  return [{ isOwn: false, ...days, isByDays: placed !== null }]
}

const MOST_NAMED = 2
function sayWho(names: readonly string[]): string {
  return names.length <= MOST_NAMED ? names.join(', ') : `${names[0]} and ${names.length - 1} more`
}

function resolvedDays(
  { window, publishedAt, createdAt }: Assignment,
  own: Partial<Assignment['window']>,
  { ground }: PlacingColumn['ground'],
): Pick<LaidDays, 'opensOn' | 'throughOn'> | null {
  const resolved = resolveWindow({ ...window, ...own }, ground)
  if (!resolved.ok) return null
  const { opens, listed, due, closes } = resolved.value
  const from = opens ?? listed ?? publishedAt ?? createdAt
  const until = due ?? closes
  const dayOf = (at: Instant) => ground.zone.local(at).on
  return { opensOn: dayOf(from), throughOn: until === null ? null : dayOf((until - 1) as Instant) }
}
