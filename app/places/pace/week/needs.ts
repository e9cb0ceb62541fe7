import type { ClassId } from '#core/base'
import type { WeekAhead, WeekNeeds } from '#shared/contracts/week'
import { sayList } from '~/shared/words/lists'
import { count } from '~/shared/words/numbers'

export type NeedKind =
  'publish' | 'score' | 'plan' | 'series' | 'queue' | 'late' | 'stuck' | 'load' | 'people'

/** A line of what needs the teacher, and where it is done. */
export interface NeedLine {
  readonly key: string
  readonly kind: NeedKind
  readonly text: string
  readonly about: string
  readonly act: string
  readonly to: { readonly path: string; readonly query?: Readonly<Record<string, string>> }
}

const MOST_NAMES = 3

/** 'Bo, Ana and 4 more'. */
export function sayNames(names: readonly string[]): string {
  const shown = names.slice(0, MOST_NAMES)
  const more = names.length - shown.length
  return sayList(more > 0 ? [...shown, `${more} more`] : shown)
}

/** What needs the teacher in a week: what waits for an act first, then people to look at. */
export function needsOf(week: WeekAhead, needs: WeekNeeds): readonly NeedLine[] {
  const nameOf = new Map(week.classes.map((c) => [c.classId, c.shortName]))
  return [
    ...heldIn(week),
    ...needs.toScore.map((w): NeedLine => ({
      key: `score ${w.assignmentId} ${w.pieceId} ${w.classId}`,
      kind: 'score',
      text: [
        ...(w.texts > 0 ? [`${count(w.texts, 'text')} to score`] : []),
        ...(w.scored > 0 ? [`${count(w.scored, 'score')} to release`] : []),
      ].join(', '),
      about: `${w.title}, ${nameOf.get(w.classId) ?? ''}`,
      act: w.texts > 0 ? 'Score' : 'Release',
      to: {
        path: '/evidence/queue',
        query: { work: w.assignmentId, piece: w.pieceId, class: w.classId },
      },
    })),
    ...needs.classes.flatMap((of) => linesOf(of)),
    ...needs.queued.map((q): NeedLine => ({
      key: `queue ${q.assignmentId} ${q.classId}`,
      kind: 'queue',
      text: [
        ...(q.tooLate > 0 ? [`${count(q.tooLate, 'learner')} waited in vain`] : []),
        ...(q.waits > 0 ? [`${count(q.waits, 'learner waits', 'learners wait')} for room`] : []),
      ].join(', '),
      about: `${q.title}, ${nameOf.get(q.classId) ?? ''}`,
      act: 'Queue',
      to: { path: `/work/${q.assignmentId}` },
    })),
    ...needs.late.map((l): NeedLine => ({
      key: `late ${l.assignmentId} ${l.classId}`,
      kind: 'late',
      text: `${count(l.learners, 'learner')} late`,
      about: `${l.title}, ${nameOf.get(l.classId) ?? ''}`,
      act: 'Look',
      to: { path: '/evidence', query: { class: l.classId, work: l.assignmentId } },
    })),
  ].toSorted((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind))
}

/** What is done by the teacher, and whom to look at, each in the order of its urgency. */
const ACTS: readonly NeedKind[] = ['publish', 'score', 'plan', 'series', 'queue']
const PEOPLE: readonly NeedKind[] = ['stuck', 'late', 'load', 'people']
const ORDER = [...ACTS, ...PEOPLE]

/** Whether it waits for something that the teacher does, rather than for a look. */
export function isAct({ kind }: NeedLine): boolean {
  return ACTS.includes(kind)
}

function linesOf(of: WeekNeeds['classes'][number]): readonly NeedLine[] {
  const line = (kind: NeedKind, part: Omit<NeedLine, 'key' | 'kind'>): NeedLine => ({
    key: `${kind} ${of.classId}`,
    kind,
    ...part,
  })
  const query = { class: of.classId as string }
  return [
    ...(of.offers > 0
      ? [
          line('plan', {
            text: `${count(of.offers, 'change')} of the plan`,
            about: `offered to ${of.name}`,
            act: 'Answer',
            to: { path: `/classes/standing/${of.planId}` },
          }),
        ]
      : []),
    ...(of.unreleased.length > 0
      ? [
          line('series', {
            text: 'A series with rows that are not released',
            about: `${sayNames(of.unreleased)}, ${of.name}`,
            act: 'Give days',
            to: { path: '/pace/series', query },
          }),
        ]
      : []),
    ...(of.stuck.length > 0
      ? [
          line('stuck', {
            text: `${count(of.stuck.length, 'learner')} long at the most support`,
            about: `${sayNames(of.stuck)}, ${of.name}`,
            act: 'Trails',
            to: { path: '/classes/trails', query },
          }),
        ]
      : []),
    ...(of.heavy.length > 0
      ? [
          line('load', {
            text: `${count(of.heavy.length, 'learner')} over the limits this week`,
            about: `${sayNames(of.heavy)}, ${of.name}`,
            act: 'Load',
            to: { path: '/pace/load', query },
          }),
        ]
      : []),
    ...(of.ownTerms.length > 0
      ? [
          line('people', {
            text: `${count(of.ownTerms.length, 'learner')} with terms of their own`,
            about: `${sayNames(of.ownTerms)}, ${of.name}`,
            act: 'Roster',
            to: { path: `/classes/${of.classId}` },
          }),
        ]
      : []),
  ]
}

/** Work that is held and would open or be due in the week, or that hangs on one of its lessons; each once. */
function heldIn(week: WeekAhead): readonly NeedLine[] {
  const titles = new Map<string, { readonly title: string; readonly classes: Set<ClassId> }>()
  const note = (id: string, title: string, classId: ClassId) => {
    const known = titles.get(id) ?? { title, classes: new Set<ClassId>() }
    known.classes.add(classId)
    titles.set(id, known)
  }
  for (const { classId, days } of week.classes)
    for (const day of days) {
      for (const m of day.moments) if (m.isHeld) note(m.assignmentId, m.title, classId)
      for (const l of day.meetings.flatMap((m) => m.lessons))
        for (const x of l.missing) if (x.code === 'held') note(x.assignmentId, x.title, classId)
    }
  const nameOf = new Map(week.classes.map((c) => [c.classId, c.shortName]))
  return [...titles].map(([id, { title, classes }]) => ({
    key: `publish ${id}`,
    kind: 'publish' as const,
    text: `“${title}” is held`,
    about: [...classes].map((c) => nameOf.get(c) ?? '').join(', '),
    act: 'Publish',
    to: { path: `/work/${id}` },
  }))
}
