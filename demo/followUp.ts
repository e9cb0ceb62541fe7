import { addMinutes, asId, groupBy, isoDay, mustBeOk, parseInstant, seedOf } from '#core/base'
import type { ClassId, Instant, PageId, PieceId, UserId } from '#core/base'
import { pieceName } from '#core/attempts'
import { NO_WINDOW } from '#core/availability'
import { zoneOf } from '#core/calendar'
import { asOneWork, proposeFollowUp } from '#core/followUp'
import { NO_ABOUT, plainPiece } from '#core/work'
import type { Draft, LearnerWork } from '#core/work'
import { assignmentsById, learnerWorkOf, publishedIdsOf } from '#db/repositories'
import { simulatedAnswers, simulatedLearner } from '#standins/learners'
import { showFollowUp } from '#usecases/evidence/followUp'
import type { Deps } from '#usecases/ground/deps'
import { handIn, startTry } from '#usecases/learning/tries'
import { givenPiece } from '#usecases/settling/givenPiece'
import { assign } from '#usecases/work/assign'
import { PIECES } from './content'
import type { Demo, DemoSchool } from './demo'
import { RULES } from './rules'
import { DEMO_NOW, SEED, YEAR } from './scenario'

/** A check of a class that was followed up, and when. It is its own second check. */
const FOLLOWED = { section: '7D', check: 'mat204', on: isoDay('2026-10-05') } as const
/** So many of ten have done theirs. */
const DONE = 8

const zone = zoneOf(YEAR.zone)

/** Weeks ago a class was given what each missed in a check, and the check again; most have done it. */
export async function followUpCheck(
  deps: Deps,
  { teacher, classes }: DemoSchool,
  clock: Demo['clock'],
): Promise<void> {
  const classId = classes.get(FOLLOWED.section) as ClassId
  const tx = deps.store.read
  const again = pieceOf(FOLLOWED.check)
  const works = await assignmentsById(tx, await publishedIdsOf(tx, classId))
  const check = works.find((w) => w.pieces.some((p) => p.resourceId === again.id))
  if (!check) throw new Error('the class was not given the check')
  const pieceId = check.pieces.at(-1)?.id ?? asId<PieceId>('p1')
  const of = { assignmentId: check.id, pieceId }
  clock.set(zone.at(FOLLOWED.on, 16 * 60 + 40))
  const page = mustBeOk(await showFollowUp(deps, teacher, { classId, ...of }), 'follow-up')
  const terms = { most: 2, mostMinutes: null, reach: 'level', extend: false } as const
  const { proposals } = proposeFollowUp(page.learners, page.ground, terms)
  const { learnerIds, pieces } = asOneWork(proposals)
  const given = pieces.map((p, i) => ({
    ...plainPiece({ resourceId: p.pieceId, revision: 1 }, { id: asId<PieceId>(`p${i + 1}`) }),
    onlyIds: p.onlyIds,
  }))
  const draft: Draft = {
    pieces: [
      ...given,
      plainPiece({ resourceId: again.id, revision: 1 }, { id: asId<PieceId>(`p${given.length + 1}`) }),
    ],
    title: `After ${check.title}`,
    note: '',
    about: { ...NO_ABOUT, category: 'Practice', heading: 'Practice', followsUp: of },
    isFirst: false,
    inTurn: true,
    newcomers: true,
    teams: [],
    window: { ...NO_WINDOW, due: { kind: 'day', on: isoDay('2026-10-09') } },
    rules: RULES.practice,
    targets: learnerIds.map((learnerId) => ({ target: { kind: 'learner', learnerId }, overrides: {} })),
    exceptIds: [],
    overCeiling: [],
  }
  const { assignmentId } = mustBeOk(await assign(deps, teacher, { draft, publish: true }), draft.title)
  const rows = groupBy(await learnerWorkOf(tx, [assignmentId]), (r) => r.learnerId)
  for (const [i, [learnerId, own]] of [...rows].entries())
    if (i % 10 < DONE) {
      clock.set(zone.at(isoDay('2026-10-07'), 17 * 60 + i))
      for (const row of own) await doPiece(deps, clock, { learnerId, schoolId: teacher.schoolId }, row)
    }
  clock.set(parseInstant(DEMO_NOW) as Instant)
}

/** A learner does one piece, better than at first. */
async function doPiece(
  deps: Deps,
  clock: Demo['clock'],
  of: { readonly learnerId: UserId; readonly schoolId: DemoSchool['teacher']['schoolId'] },
  row: LearnerWork,
): Promise<void> {
  const learner = { userId: of.learnerId, schoolId: of.schoolId, role: 'learner', office: false } as const
  const started = await startTry(deps, learner, row)
  if (!started.ok) return
  const asked = new Set(started.value.items.map((i) => i.id))
  const { resource } = await givenPiece(deps.store.read, row)
  const person = simulatedLearner(seedOf(`${SEED} ${of.learnerId} ${pieceName(row)}`))
  const able = { ...person, ability: person.ability + 0.6 }
  const answers = simulatedAnswers(
    able,
    resource.items.filter((i) => asked.has(i.id)),
    1,
  )
  clock.set(addMinutes(deps.clock.now(), 6))
  const writer = asId<PageId>('demo')
  const saves = [...answers].map(([itemId, answer], i) => ({ itemId, answer, from: 0, writer, edit: i + 1 }))
  mustBeOk(await handIn(deps, learner, { attemptId: started.value.attemptId, saves }), 'hand in')
}

const pieceOf = (code: string) => {
  const found = PIECES.find((p) => p.resource.code === code)
  if (!found) throw new Error(`no piece ${code}`)
  return found.resource
}
