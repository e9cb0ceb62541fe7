import { describe, expect, it } from 'vitest'
import { asId, mustBeOk } from '#core/base'
import type { AssignmentId, PieceId, ResourceId } from '#core/base'
import type { Learner } from '#core/access'
import { momentsOf } from '#core/work'
import { handIn, saveAnswers, startTry } from '#usecases/learning/tries'
import { listMyWork } from '#usecases/learning/myWork'
import { showMyPiece } from '#usecases/learning/myPiece'
import { changePiece } from '#usecases/library/changePiece'
import { lookInside, makePiece } from '#usecases/library/shelf'
import { previewRipple } from '#usecases/pacing/previewRipple'
import { showGrid, showItems } from '#usecases/evidence/evidence'
import { changeWork } from '#usecases/work/changeWork'
import { showWork } from '#usecases/work/showWork'
import { PLAIN_PIECE, aChange, at, piecesOf, single } from '../support/made'
import { aDraft, aSchool, aTeacher, anchored, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

const [P1, P2] = [asId<PieceId>('p1'), asId<PieceId>('p2')]

/** An own reading and an own check of two questions. */
async function twoOwnPieces(school: TestSchool) {
  const make = async (part: Partial<Parameters<typeof makePiece>[2]>) =>
    mustBeOk(
      await makePiece(school.deps, school.teacher, {
        title: 'Own check',
        code: '',
        kind: 'check',
        role: 'core',
        minutes: 10,
        grade: 8,
        ...PLAIN_PIECE,
        content: '',
        items: [single('1'), single('2')],
        ...part,
      }),
      'own piece',
    ).resourceId
  const reading = await make({ title: 'Own reading', kind: 'reading', content: 'Read me.', items: [] })
  return { reading, check: await make({}) }
}

/** A reading due before lesson 1.2 and a check in class, published to both classes. */
async function readThenCheck(school: TestSchool, leastMinutes = 0) {
  const { reading, check } = await twoOwnPieces(school)
  const [first, second] = piecesOf(reading, check)
  const lesson = school.lesson('1.2')
  const pieces = [
    { ...second!, window: { opens: anchored(lesson, 'first') } },
    { ...first!, when: 'before' as const, leastMinutes, window: momentsOf('before', lesson) },
  ]
  const id = await publish(school, {
    pieces,
    window: { ...aDraft(school).window, due: anchored(lesson, 'last') },
  })
  return { id, reading, check, pieces }
}
const shown = async (school: TestSchool, id: AssignmentId, pieceId: PieceId | null, who = school.ann) =>
  mustBeOk(await showMyPiece(school.deps, who, { assignmentId: id, pieceId }), 'piece')
const begin = async (school: TestSchool, who: Learner, id: AssignmentId, pieceId: PieceId) =>
  mustBeOk(await startTry(school.deps, who, { assignmentId: id, pieceId }), 'start')
const finish = (
  school: TestSchool,
  who: Learner,
  attemptId: Awaited<ReturnType<typeof begin>>['attemptId'],
) => handIn(school.deps, who, { attemptId, saves: [] })

describe('an assignment of a reading and a check', () => {
  it('is one card with its steps in order, each with its own dates', async () => {
    const school = await aSchool()
    const { id } = await readThenCheck(school)
    const [card] = mustBeOk(await listMyWork(school.deps, school.ann), 'list').work
    // lesson 1.2 is held in class A on Wed 2 and Fri 4 Sep; it is Tue 1 Sep
    expect(card).toMatchObject({ id, place: 'now', done: 0, dueAt: at('09-02T15:00'), minutes: 20 })
    expect(card?.pieces.map((p) => [p.pieceId, p.when, p.place])).toEqual([
      [P1, 'before', 'now'],
      [P2, 'in', 'next'],
    ])
    const code = (await startTry(school.deps, school.ann, { assignmentId: id, pieceId: P2 })).error?.code
    expect(code).toBe('attempts/not-open-yet')
  })

  it('is read by the learner’s word, once, and done when all of it is', async () => {
    const school = await aSchool()
    const { id } = await readThenCheck(school)
    const reading = await begin(school, school.ann, id, P1)
    const first = mustBeOk(await finish(school, school.ann, reading.attemptId), 'read')
    expect(mustBeOk(await finish(school, school.ann, reading.attemptId), 'again')).toEqual(first)
    const again = await startTry(school.deps, school.ann, { assignmentId: id, pieceId: P1 })
    expect(again.error?.code).toBe('attempts/none-left')
    school.clock.set(at('09-02T15:10'))
    expect((await shown(school, id, null)).piece.pieceId).toBe(P2)
    const open = await begin(school, school.ann, id, P2)
    const right = single('1')
    const choice = right.kind === 'single' ? right.right : null
    const saves = [aChange('1', { kind: 'single', choice })]
    mustBeOk(await handIn(school.deps, school.ann, { attemptId: open.attemptId, saves }), 'in')
    const { work } = await shown(school, id, P2)
    expect(work).toMatchObject({ done: 2, handedInAt: at('09-02T15:10') })
    expect(work.ratio).toBeCloseTo(0.5)
    const grid = mustBeOk(await showGrid(school.deps, school.teacher, school.a.classId), 'grid')
    expect(grid.columns.map((c) => [c.pieceTitle, c.isRead, c.handedIn])).toEqual([
      ['Own reading', true, 1],
      ['Own check', false, 1],
    ])
    const items = mustBeOk(
      await showItems(school.deps, school.teacher, { assignmentId: id, classId: null, pieceId: null }),
      'items',
    )
    expect([items.pieceId, items.tries]).toEqual([P2, 1])
  })

  it('is not done before its least time, and a window that closes does not read for anybody', async () => {
    const school = await aSchool()
    const { id } = await readThenCheck(school, 5)
    const { attemptId } = await begin(school, school.ann, id, P1)
    school.clock.set(at('09-01T12:04'))
    expect((await finish(school, school.ann, attemptId)).error).toMatchObject({
      code: 'attempts/too-soon',
      from: at('09-01T12:05'),
    })
    expect((await shown(school, id, P1)).reading?.doneFrom).toEqual(at('09-01T12:05'))
    school.clock.set(at('09-20T12:00'))
    expect((await shown(school, id, P1)).piece).toMatchObject({ handedInAt: null, place: 'done' })
    expect((await finish(school, school.ann, attemptId)).error?.code).toBe('attempts/closed')
  })

  it('is listed by a ripple that moves only the reading', async () => {
    const school = await aSchool()
    const { check, reading } = await twoOwnPieces(school)
    const [first, second] = piecesOf(reading, check)
    const before = momentsOf('before', school.lesson('1.2'))
    const id = await publish(school, {
      pieces: [{ ...first!, when: 'before', window: before }, second!],
      window: { ...aDraft(school).window, due: through('2026-09-30') },
    })
    const longer = { classId: school.a.classId, lessonId: school.lesson('1.1'), from: null, to: 4 }
    const { classes } = mustBeOk(
      await previewRipple(school.deps, school.teacher, { kind: 'length', ...longer }),
      'ripple',
    )
    // two meetings instead of one: lesson 1.2 begins on Fri 4 instead of Wed 2 Sep
    expect(classes[0]?.ways[0]?.work).toMatchObject([
      { assignmentId: id, dueAt: at('09-02T15:00'), newDueAt: at('09-04T15:00'), stuck: false },
    ])
  })

  it('can lose a piece that nobody has begun, and keeps the one that somebody has', async () => {
    const school = await aSchool()
    const { id, pieces } = await readThenCheck(school)
    const { attemptId } = await begin(school, school.ann, id, P1)
    mustBeOk(await finish(school, school.ann, attemptId), 'read')
    const draft = mustBeOk(await showWork(school.deps, school.teacher, id), 'show').draft
    const change = (version: number, next: typeof pieces) =>
      changeWork(school.deps, school.teacher, {
        assignmentId: id,
        version,
        draft: { ...draft, pieces: next },
        publish: false,
      })
    const [check, reading] = pieces
    expect((await change(1, [check!])).error).toMatchObject({ code: 'work/already-begun', pieceId: P1 })
    mustBeOk(await change(1, [reading!]), 'without the check')
    expect((await shown(school, id, null)).work.pieces.map((p) => p.pieceId)).toEqual([P1])
    expect((await change(2, [])).error?.code).toBe('work/already-begun')
  })
})

describe('a piece that is changed after it was given out', () => {
  const written = (items = [single('1'), single('3')]) => ({
    title: 'Own check, better',
    code: '',
    kind: 'check' as const,
    role: 'core' as const,
    minutes: 12,
    grade: 8,
    ...PLAIN_PIECE,
    content: '',
    items,
  })
  const change = (school: TestSchool, resourceId: ResourceId, revision: number, actor = school.teacher) =>
    changePiece(school.deps, actor, { resourceId, revision, piece: written() })

  it('takes the place of what was there while nobody has it', async () => {
    const school = await aSchool()
    const { check } = await twoOwnPieces(school)
    expect(mustBeOk(await change(school, check, 1), 'change')).toEqual({ revision: 2, isNewForm: false })
    const inside = mustBeOk(await lookInside(school.deps, school.teacher, check), 'inside')
    expect(inside.resource.title).toBe('Own check, better')
  })

  it('stays what it was for who has begun, and comes to the others when the teacher says so', async () => {
    const school = await aSchool()
    const { check } = await twoOwnPieces(school)
    const id = await publish(school, { pieces: piecesOf(check) })
    const ann = await begin(school, school.ann, id, P1)
    expect(mustBeOk(await change(school, check, 1), 'change')).toEqual({ revision: 2, isNewForm: true })
    expect((await shown(school, id, P1)).open?.items.map((i) => i.id)).toEqual(['1', '2'])
    const taken = { attemptId: ann.attemptId, saves: [aChange('2', { kind: 'single', choice: null })] }
    expect((await saveAnswers(school.deps, school.ann, taken)).ok).toBe(true)

    const draft = mustBeOk(await showWork(school.deps, school.teacher, id), 'show').draft
    const offer = (revision: number) =>
      changeWork(school.deps, school.teacher, {
        assignmentId: id,
        version: 1,
        draft: { ...draft, pieces: draft.pieces.map((p) => ({ ...p, revision })) },
        publish: false,
      })
    expect((await offer(3)).error).toMatchObject({ code: 'access/not-found', what: 'piece' })
    mustBeOk(await offer(2), 'offer')
    expect((await begin(school, school.ben, id, P1)).items.map((i) => i.id)).toEqual(['1', '3'])
    expect((await shown(school, id, P1)).open?.items.map((i) => i.id)).toEqual(['1', '2'])
    mustBeOk(await finish(school, school.ann, ann.attemptId), 'in')
    // a second try goes on with the form that Ann knows, so that her scores can be compared
    expect((await begin(school, school.ann, id, P1)).items.map((i) => i.id)).toEqual(['1', '2'])
    expect((await shown(school, id, P1)).seen[0]?.items.map((i) => i.item.id)).toEqual(['1', '2'])
  })

  it('ends by the clock a check that has since become a reading', async () => {
    const school = await aSchool()
    const { check } = await twoOwnPieces(school)
    const window = { ...aDraft(school).window, due: through('2026-09-02') }
    const id = await publish(school, { pieces: piecesOf(check), window })
    await begin(school, school.ann, id, P1)
    const reading = { ...written([]), kind: 'reading' as const, content: 'Only this.' }
    const input = { resourceId: check, revision: 1, piece: reading }
    mustBeOk(await changePiece(school.deps, school.teacher, input), 'change')
    school.clock.set(at('09-05T12:00'))
    const { seen, open } = await shown(school, id, P1)
    expect([open, seen[0]?.endedBy, seen[0]?.items.length]).toEqual([null, 'closing', 2])
  })

  it('is changed by who wrote it, as it stood when they opened it', async () => {
    const school = await aSchool()
    const { check } = await twoOwnPieces(school)
    expect((await change(school, check, 1, school.stranger)).error?.code).toBe('access/not-found')
    expect((await change(school, school.check, 1)).error?.code).toBe('access/denied')
    await publish(school, { pieces: piecesOf(check) })
    mustBeOk(await change(school, check, 1), 'first')
    expect((await change(school, check, 1)).error).toMatchObject({ code: 'access/changed-meanwhile', now: 2 })
    const other = await aTeacher(school, 'Otto')
    expect((await change(school, check, 2, other)).error?.code).toBe('access/not-found')
  })
})
