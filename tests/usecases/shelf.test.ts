import { describe, expect, it } from 'vitest'
import { asId, mustBeOk } from '#core/base'
import type { BookId, Instant, ResourceId } from '#core/base'
import type { Item } from '#core/library'
import {
  addBook,
  addPointer,
  addResource,
  addStandards,
  bookById,
  plansById,
  savePlan,
} from '#db/repositories'
import { showGrid } from '#usecases/evidence/evidence'
import { findPiece } from '#usecases/learning/findPiece'
import { checkPractice, openPractice, showPractice } from '#usecases/learning/practice'
import { setClassShelf, showClassShelf } from '#usecases/library/classShelf'
import { changePiece } from '#usecases/library/changePiece'
import { drawCheck } from '#usecases/library/drawCheck'
import { setPointer, showGuide } from '#usecases/library/guide'
import type { PointsFrom } from '#usecases/library/guide'
import { copyPiece, dropPiece, sharePiece, showDifference } from '#usecases/library/ownPieces'
import { showClassPractice } from '#usecases/evidence/practice'
import { setRoute } from '#usecases/library/practiceRoutes'
import { lookInside, makePiece } from '#usecases/library/shelf'
import { showStandard } from '#usecases/library/standards'
import { showShelfNow } from '#usecases/library/shelfNow'
import { changeTray, readCodes, showTray } from '#usecases/library/tray'
import { PLAIN_PIECE, aCheck, at, extended, piecesOf, rules, single } from '../support/made'
import { aColleague, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const on = (id: string, standard: string, difficulty = 2): Item => ({ ...single(id), standard, difficulty })

async function make(school: TestSchool, items: readonly Item[], part: { readonly code?: string } = {}) {
  const piece = { title: 'Own', kind: 'check', role: 'core', minutes: 10, grade: 8, code: '' } as const
  return mustBeOk(
    await makePiece(school.deps, school.teacher, { ...PLAIN_PIECE, ...piece, ...part, items }),
    'make',
  ).resourceId
}

/** a ← b, under a domain. */
const framework = (school: TestSchool) =>
  school.deps.store.write((tx) =>
    addStandards(
      tx,
      [
        { code: 'D', text: 'Domain', level: 'domain', parent: null, requires: [] },
        { code: 'D.1', text: 'First', level: 'standard', parent: 'D', requires: [] },
        { code: 'D.2', text: 'Second', level: 'standard', parent: 'D', requires: ['D.1'] },
      ],
      { schoolId: school.teacher.schoolId, frameworkId: null },
    ),
  )

describe('the tray', () => {
  it('is the teacher’s own, and keeps what was put in', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const [a, b] = [await make(school, [single('1')]), await make(school, [single('1')])]
    mustBeOk(await changeTray(deps, teacher, { kind: 'put-in', pieces: [a, b, a] }), 'put')
    mustBeOk(await changeTray(deps, teacher, { kind: 'limit', minutes: 15 }), 'limit')
    expect(mustBeOk(await showTray(deps, teacher), 'tray')).toEqual({ pieces: [a, b], limit: 15, aside: [] })
    mustBeOk(await changeTray(deps, teacher, { kind: 'order', pieces: [b] }), 'order')
    // what the page did not know of stays, behind
    expect(mustBeOk(await showTray(deps, teacher), 'tray').pieces).toEqual([b, a])
    mustBeOk(await changeTray(deps, teacher, { kind: 'take-out', pieces: [b] }), 'take')
    expect(mustBeOk(await showTray(deps, teacher), 'tray').pieces).toEqual([a])
    expect(mustBeOk(await showTray(deps, await aColleague(school)), 'tray').pieces).toEqual([])
  })

  it('takes nothing that is not open to them, and loses what is gone', async () => {
    const school = await aSchool()
    const { deps, teacher, stranger } = school
    const a = await make(school, [single('1')])
    const refused = await changeTray(deps, stranger, { kind: 'put-in', pieces: [a] })
    expect(refused.error?.code).toBe('access/not-found')
    expect(mustBeOk(await showTray(deps, stranger), 'tray').pieces).toEqual([])
    mustBeOk(await changeTray(deps, teacher, { kind: 'put-in', pieces: [a] }), 'put')
    mustBeOk(await dropPiece(deps, teacher, a), 'drop')
    expect(mustBeOk(await showTray(deps, teacher), 'tray').pieces).toEqual([])
  })

  it('reads short codes in their order, and names those that are nowhere', async () => {
    const school = await aSchool()
    await make(school, [single('1')], { code: 'rope01' })
    await make(school, [single('1')], { code: 'tank02' })
    const read = mustBeOk(await readCodes(school.deps, school.teacher, 'TANK02, nope9\nrope01'), 'read')
    expect(read.found.map((p) => p.code)).toEqual(['tank02', 'rope01'])
    expect(read.unknown).toEqual(['nope9'])
    const ofOther = mustBeOk(await readCodes(school.deps, school.stranger, 'rope01'), 'read')
    expect(ofOther).toMatchObject({ found: [], unknown: ['rope01'] })
  })
})

describe('a standard', () => {
  it('says what it needs, what needs it, and which pieces serve it', async () => {
    const school = await aSchool()
    await framework(school)
    const a = await make(school, [on('1', 'D.1'), on('2', 'D.1'), on('3', 'D.2')])
    await make(school, [on('1', 'D.2')])
    const page = mustBeOk(await showStandard(school.deps, school.teacher, 'd.1'), 'page')
    expect(page.path.map((s) => s.code)).toEqual(['D'])
    expect(page.nodes.map((n) => [n.standard.code, n.steps])).toEqual([
      ['D.1', 0],
      ['D.2', -1],
    ])
    expect(page.pieces.map((p) => p.id)).toEqual([a])
    expect(page.itemCount).toBe(2)
    expect((await showStandard(school.deps, school.teacher, 'D.9')).error?.code).toBe('access/not-found')
    expect((await showStandard(school.deps, school.stranger, 'D.1')).error?.code).toBe('access/not-found')
  })
})

describe('a check that is drawn', () => {
  it('has as many of each standard, the same for the same seed, and says what is short', async () => {
    const school = await aSchool()
    // the same names in two pieces are two items
    await make(school, [on('1', 'D.1', 1), on('2', 'D.1', 5), on('3', 'D.2')])
    await make(school, [{ ...on('1', 'D.1', 1), stem: 'Another?' }, on('2', 'D.1', 3)])
    // what a test asks once more is no further question
    await make(school, [on('1', 'D.1', 1), on('3', 'D.2')])
    const draw = async (part: object = {}) =>
      mustBeOk(
        await drawCheck(school.deps, school.teacher, {
          standards: ['D.1', 'D.2'],
          perStandard: 2,
          mix: null,
          seed: '1',
          ...part,
        }),
        'draw',
      )
    const drawn = await draw()
    expect(drawn.items.map((d) => d.item.standard)).toEqual(['D.1', 'D.1', 'D.2'])
    expect(drawn.short).toEqual([{ standard: 'D.2', missing: 1 }])
    expect(await draw()).toEqual(drawn)
    const all = await draw({ standards: ['D.1'], perStandard: 4 })
    expect(all.items).toHaveLength(4)
    const easy = await draw({ standards: ['D.1'], mix: { easy: 100, middle: 0, hard: 0 } })
    expect(easy.items.map((d) => d.item.difficulty)).toEqual([1, 1])
    const ofOther = { standards: ['D.1'], perStandard: 1, mix: null, seed: '' }
    expect((await drawCheck(school.deps, school.stranger, ofOther)).value.items).toEqual([])
  })
})

describe('own pieces', () => {
  it('are copied from any piece, under a code of their own', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const first = mustBeOk(await copyPiece(deps, teacher, school.check), 'copy').resourceId
    const second = mustBeOk(await copyPiece(deps, teacher, school.check), 'copy').resourceId
    const inside = async (id: ResourceId) => mustBeOk(await lookInside(deps, teacher, id), 'inside')
    expect((await inside(first)).resource).toMatchObject({ code: 'chk101v2', title: 'Check (copy)' })
    expect((await inside(second)).resource.code).toBe('chk101v3')
    expect(await inside(first)).toMatchObject({ mayEdit: true, isShared: false, source: 'own' })
    expect((await copyPiece(deps, school.stranger, first)).error?.code).toBe('access/not-found')
  })

  it('are shared and taken back by their writer alone; work that has them keeps them', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const resourceId = await make(school, [single('1')])
    const colleague = await aColleague(school)
    const share = (who: typeof teacher, isShared: boolean) => sharePiece(deps, who, { resourceId, isShared })
    expect((await lookInside(deps, colleague, resourceId)).error?.code).toBe('access/not-found')
    expect((await share(colleague, true)).error?.code).toBe('access/not-found')
    mustBeOk(await share(teacher, true), 'share')
    expect((await lookInside(deps, colleague, resourceId)).value?.source).toBe('school')
    expect((await share(colleague, false)).error?.code).toBe('access/denied')
    await publish(school, { pieces: piecesOf(resourceId) })
    mustBeOk(await share(teacher, false), 'take back')
    // it goes to the colleague's class, too
    expect((await lookInside(deps, colleague, resourceId)).ok).toBe(true)
  })

  it('go for good, but not while work has them', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const [used, free] = [await make(school, [single('1')]), await make(school, [single('1')])]
    await publish(school, { pieces: piecesOf(used) })
    expect((await dropPiece(deps, teacher, used)).error).toMatchObject({
      code: 'library/piece-in-use',
      works: 1,
    })
    expect((await dropPiece(deps, await aColleague(school), free)).error?.code).toBe('access/not-found')
    expect((await dropPiece(deps, teacher, school.check)).error?.code).toBe('access/denied')
    mustBeOk(await dropPiece(deps, teacher, free), 'drop')
    expect((await lookInside(deps, teacher, free)).error?.code).toBe('access/not-found')
    expect((await lookInside(deps, teacher, used)).ok).toBe(true)
  })

  it('say what differs from a former form', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const resourceId = await make(school, [single('1'), single('2')])
    await publish(school, { pieces: piecesOf(resourceId) })
    const { id: _, ...piece } = mustBeOk(await lookInside(deps, teacher, resourceId), 'inside').resource
    const next = { ...piece, minutes: 12, items: [single('1', { right: 'a' })] }
    mustBeOk(await changePiece(deps, teacher, { resourceId, revision: 1, piece: next }), 'change')
    const told = mustBeOk(await showDifference(deps, teacher, { resourceId, revision: 1 }), 'difference')
    expect(told).toMatchObject({ revision: 2 })
    expect(told.changes.map((c) => c.kind)).toEqual(['minutes', 'item-changed', 'item-gone'])
    const of = { resourceId, revision: 1 }
    expect((await showDifference(deps, school.stranger, of)).error?.code).toBe('access/not-found')
  })
})

describe('a class’s shelf', () => {
  it('has textbooks and a usual narrowing, set by who runs the class', async () => {
    const school = await aSchool()
    const { deps, teacher, a } = school
    const bookId = asId<BookId>('book')
    const book = { id: bookId, title: 'Book', course: 'Science', grade: 8, units: [], benchmarks: [] }
    await deps.store.write((tx) => addBook(tx, book, null, 1))
    const { classId } = a
    expect(mustBeOk(await showClassShelf(deps, teacher, classId), 'shelf')).toEqual({
      bookIds: [],
      filter: {},
    })
    const shelf = { bookIds: [bookId, bookId], filter: { grade: ['8'] } }
    mustBeOk(await setClassShelf(deps, teacher, { classId, shelf }), 'set')
    const kept = { bookIds: [bookId], filter: { grade: ['8'] } }
    expect(mustBeOk(await showClassShelf(deps, teacher, classId), 'shelf')).toEqual(kept)
    const unknown = { ...shelf, bookIds: [asId<BookId>('nowhere')] }
    expect((await setClassShelf(deps, teacher, { classId, shelf: unknown })).error?.code).toBe(
      'access/not-found',
    )
    expect(mustBeOk(await showClassShelf(deps, teacher, classId), 'shelf')).toEqual(kept)
    for (const who of [school.stranger, await aColleague(school)])
      expect((await setClassShelf(deps, who, { classId, shelf })).error?.code).toBe('access/not-found')
  })
})

describe('guide pointers', () => {
  it('lead from a check or a standard to a piece, and are taken out again', async () => {
    const school = await aSchool()
    const { deps, teacher, check } = school
    const to = await make(school, [single('1')])
    const ofStandard = await make(school, [on('1', 'D.1')])
    const point = (from: PointsFrom, isOn: boolean, who = teacher) =>
      setPointer(deps, who, { from, to, isOn })
    const guide = async (id: ResourceId) => mustBeOk(await showGuide(deps, teacher, id), 'guide').pointers
    mustBeOk(await point({ kind: 'piece', resourceId: check }, true), 'point')
    mustBeOk(await point({ kind: 'piece', resourceId: check }, true), 'point twice')
    mustBeOk(await point({ kind: 'standard', code: 'D.1' }, true), 'point')
    expect((await guide(check)).map((p) => [p.standard, p.to.id])).toEqual([[null, to]])
    expect((await guide(ofStandard)).map((p) => [p.standard, p.to.id])).toEqual([['D.1', to]])
    mustBeOk(await point({ kind: 'piece', resourceId: check }, false), 'take out')
    expect(await guide(check)).toEqual([])
    const other = await point({ kind: 'piece', resourceId: check }, true, school.stranger)
    expect(other.error?.code).toBe('access/not-found')
  })

  it('of a textbook are taken out for one school, and put back', async () => {
    const school = await aSchool()
    const { deps, teacher, check, stranger } = school
    const to = await bookPiece(school, 'practice-set')
    await deps.store.write((tx) =>
      addPointer(tx, {
        id: 'shipped',
        schoolId: null,
        fromPiece: check,
        fromStandard: null,
        toPiece: to,
        isOff: false,
      }),
    )
    const guide = async (who = teacher) =>
      mustBeOk(await showGuide(deps, who, check), 'guide').pointers.length
    const from = { kind: 'piece', resourceId: check } as const
    expect([await guide(), await guide(stranger)]).toEqual([1, 1])
    mustBeOk(await setPointer(deps, teacher, { from, to, isOn: false }), 'out')
    expect([await guide(), await guide(stranger)]).toEqual([0, 1])
    mustBeOk(await setPointer(deps, teacher, { from, to, isOn: true }), 'back')
    expect(await guide()).toBe(1)
  })
})

/** A piece of a textbook that is open to all. */
async function bookPiece(school: TestSchool, kind: 'practice-set' | 'check') {
  const { deps } = school
  const bookId = asId<BookId>('waves')
  const lesson = { id: 'W1.1', number: 'W1.1', title: 'Waves', typicalMeetings: 1, kind: 'lesson' } as const
  const units = [{ number: 'W1', title: 'Waves', lessons: [lesson] }]
  const id = asId<ResourceId>(`book-${kind}`)
  await deps.store.write(async (tx) => {
    if (!(await bookById(tx, bookId)))
      await addBook(
        tx,
        { id: bookId, title: 'Waves', course: 'Science', grade: 8, units, benchmarks: [] },
        null,
        1,
      )
    await addResource(tx, {
      resource: aCheck([single('1'), extended('2')], { id, kind, code: kind.slice(0, 5) }),
      schoolId: null,
      ownerId: null,
      bookId,
      bookLessonId: 'W1.1',
      position: 1,
      isShared: true,
      revision: 1,
    })
  })
  return id
}

describe('the shelf before anything is chosen', () => {
  it('says at which textbook lesson classes are, and what was given last', async () => {
    const school = await aSchool()
    const { deps, teacher, clock } = school
    const [record] = (await plansById(deps.store.read, [school.planId])).values()
    if (!record) throw new Error('no plan')
    const lessons = record.plan.lessons.map((l) => ({ ...l, bookLessonId: `W${l.number}` }))
    await deps.store.write((tx) => savePlan(tx, { ...record, plan: { ...record.plan, lessons } }))
    const [older, newer] = [await make(school, [single('1')]), await make(school, [single('1')])]
    const now = async () => mustBeOk(await showShelfNow(deps, teacher), 'now')
    expect((await now()).given).toEqual([])
    await publish(school, { pieces: piecesOf(older) })
    clock.set((deps.clock.now() + 60_000) as Instant)
    await publish(school, { pieces: piecesOf(newer) })
    expect((await now()).given).toEqual([newer, older])
    clock.set(at('09-04T20:00'))
    expect((await now()).lessons.flatMap((l) => l.classes)).toEqual(['Class A', 'Class B'])
  })
})

describe('a practice route', () => {
  it('opens a textbook to a class, scores at once, and counts nowhere', async () => {
    const school = await aSchool()
    const { deps, teacher, a, ann, cleo } = school
    const practice = await bookPiece(school, 'practice-set')
    const check = await bookPiece(school, 'check')
    const bookId = asId<BookId>('waves')
    const route = (isOpen: boolean, who = teacher) =>
      setRoute(deps, who, { classId: a.classId, bookId, isOpen })
    const routes = async (who = ann) => mustBeOk(await showPractice(deps, who), 'practice').routes
    expect(await routes()).toEqual([])
    expect((await openPractice(deps, ann, practice)).error?.code).toBe('access/not-found')
    for (const who of [school.stranger, await aColleague(school)])
      expect((await route(true, who)).error?.code).toBe('access/not-found')
    mustBeOk(await route(true), 'open')
    mustBeOk(await route(true), 'open twice')
    const [open, ...more] = await routes()
    expect(more).toEqual([])
    expect(open?.units[0]?.lessons[0]?.pieces.map((p) => [p.id, p.times])).toEqual([[practice, 0]])
    // nobody of another class, and no check
    expect(await routes(cleo)).toEqual([])
    expect((await openPractice(deps, cleo, practice)).error?.code).toBe('access/not-found')
    expect((await openPractice(deps, ann, check)).error?.code).toBe('access/not-found')
    const seen = mustBeOk(await openPractice(deps, ann, practice), 'piece')
    expect(JSON.stringify(seen)).not.toMatch(/"right"|"guide"/)
    const itemId = single('1').id
    const answer = { itemId, answer: { kind: 'single', choice: 'a' } } as const
    const done = mustBeOk(
      await checkPractice(deps, ann, { resourceId: practice, answers: [answer] }),
      'check',
    )
    expect(done).toEqual({
      results: [{ itemId, points: 0, of: 1, right: 'Option b', feedback: 'Because.' }],
      ratio: 0,
      times: 1,
      heldBackBy: null,
    })
    const odd = { itemId, answer: { kind: 'single', choice: 'z' } } as const
    const refused = await checkPractice(deps, ann, { resourceId: practice, answers: [odd] })
    expect(refused.error?.code).toBe('attempts/unknown-option')
    expect((await routes())[0]?.units[0]?.lessons[0]?.pieces[0]).toMatchObject({ times: 1, ratio: 0 })
    expect(mustBeOk(await showGrid(deps, teacher, a.classId), 'grid').columns).toEqual([])
    mustBeOk(await route(false), 'close')
    expect(await routes()).toEqual([])
    expect((await checkPractice(deps, ann, { resourceId: practice, answers: [] })).error?.code).toBe(
      'access/not-found',
    )
  })

  it('opens to some learners only, and tells the teacher who practised and where it went wrong', async () => {
    const school = await aSchool()
    const { deps, teacher, a, ann, ben, cleo } = school
    const practice = await bookPiece(school, 'practice-set')
    const of = { classId: a.classId, bookId: asId<BookId>('waves'), isOpen: true }
    const stranger = await setRoute(deps, teacher, { ...of, learnerIds: [cleo.userId] })
    expect(stranger.error).toMatchObject({ code: 'audience/not-in-class', id: cleo.userId })
    mustBeOk(await setRoute(deps, teacher, { ...of, learnerIds: [ann.userId] }), 'open')
    const open = async (who: typeof ann) => (await openPractice(deps, who, practice)).error?.code ?? 'open'
    expect([await open(ann), await open(ben)]).toEqual(['open', 'access/not-found'])
    const itemId = single('1').id
    const answers = [{ itemId, answer: { kind: 'single', choice: 'a' } as const }]
    mustBeOk(await checkPractice(deps, ann, { resourceId: practice, answers }), 'check')
    mustBeOk(await checkPractice(deps, ann, { resourceId: practice, answers }), 'check again')
    const shown = mustBeOk(await showClassPractice(deps, teacher, a.classId), 'practised')
    expect(shown.books).toMatchObject([
      {
        open: { learnerIds: [ann.userId], waits: false },
        lessons: [
          {
            number: 'W1.1',
            pieces: [
              {
                id: practice,
                times: 2,
                mean: 0,
                learners: [{ id: ann.userId, times: 2, ratio: 0 }],
                missed: [{ number: 1, learners: 1 }],
              },
            ],
          },
        ],
      },
    ])
    mustBeOk(await setRoute(deps, teacher, { ...of, isOpen: false }), 'close')
    expect(mustBeOk(await showClassPractice(deps, teacher, a.classId), 'kept').books[0]).toMatchObject({
      open: null,
      lessons: [{}],
    })
  })

  it('tells nothing of what is right while work asks the same and does not show it', async () => {
    const school = await aSchool()
    const { deps, teacher, a, ann, ben } = school
    const practice = await bookPiece(school, 'practice-set')
    mustBeOk(
      await setRoute(deps, teacher, { classId: a.classId, bookId: asId('waves'), isOpen: true }),
      'open',
    )
    const targets = [{ target: { kind: 'learner' as const, learnerId: ann.userId }, overrides: {} }]
    const pieces = piecesOf(practice)
    const given = rules({ answers: 'close' })
    await publish(school, { title: 'At home', pieces, targets, rules: given })
    const answers = [{ itemId: single('1').id, answer: { kind: 'single', choice: 'a' } as const }]
    const check = async (who: typeof ann) =>
      mustBeOk(await checkPractice(deps, who, { resourceId: practice, answers }), 'check')
    expect(await check(ann)).toMatchObject({
      heldBackBy: 'At home',
      results: [{ points: 0, right: '', feedback: '' }],
    })
    expect(await check(ben)).toMatchObject({ heldBackBy: null, results: [{ right: 'Option b' }] })
  })

  it('waits for what comes first where the teacher says so', async () => {
    const school = await aSchool()
    const { deps, teacher, a, ann } = school
    const practice = await bookPiece(school, 'practice-set')
    const of = { classId: a.classId, bookId: asId<BookId>('waves'), isOpen: true }
    mustBeOk(await setRoute(deps, teacher, { ...of, waits: true }), 'open')
    const said = async () => mustBeOk(await showPractice(deps, ann), 'practice').routes[0]?.waitsFor
    expect(await said()).toBeNull()
    await publish(school, { title: 'The check', isFirst: true })
    expect(await said()).toBe('The check')
    // a link in a text leads to where that is said
    expect((await findPiece(deps, ann, practice)).value).toEqual({ place: { kind: 'practice' } })
    const refused = { code: 'attempts/first-things-first', title: 'The check' }
    expect((await openPractice(deps, ann, practice)).error).toMatchObject(refused)
    const sent = { resourceId: practice, answers: [] }
    expect((await checkPractice(deps, ann, sent)).error).toMatchObject(refused)
    mustBeOk(await setRoute(deps, teacher, { ...of, waits: false }), 'open')
    expect((await openPractice(deps, ann, practice)).ok).toBe(true)
  })
})
