import { beforeEach, describe, expect, it } from 'vitest'
import { asId, mustBeOk } from '#core/base'
import type { ItemId, ResourceId, TrailId } from '#core/base'
import { DEFAULT_THRESHOLDS, EMPTY_LAYER } from '#core/versions'
import type { Layer } from '#core/versions'
import { addResource, resourceById, setShared } from '#db/repositories'
import { showGrid, showItems } from '#usecases/evidence/evidence'
import { setTrails, showTrailSheet } from '#usecases/evidence/trailSheet'
import { draftScore } from '#usecases/evidence/draftScore'
import { releaseScores } from '#usecases/evidence/releaseScores'
import { listToScore } from '#usecases/evidence/toScore'
import { redo, showHistory, undo } from '#usecases/journal/journal'
import { showMyPiece } from '#usecases/learning/myPiece'
import { listMyWork } from '#usecases/learning/myWork'
import { handIn, startTry } from '#usecases/learning/tries'
import { changePiece } from '#usecases/library/changePiece'
import { searchShelf } from '#usecases/library/searchShelf'
import { lookInside } from '#usecases/library/shelf'
import { copyPiece, dropPiece } from '#usecases/library/ownPieces'
import { dropLayer, keepLayer, showVersions } from '#usecases/library/versions'
import { listMyNotices } from '#usecases/notices/myNotices'
import { setTrailSettings, showTrailSettings } from '#usecases/teaching/trailSettings'
import { assign } from '#usecases/work/assign'
import { previewWork } from '#usecases/work/previewWork'
import { P1, aChange, aCheck, at, blanks, extended, only, piecesOf, single } from '../support/made'
import { aDraft, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const trail = (name: string) => asId<TrailId>(name)
const [MARKED, GUIDED] = [trail('marked'), trail('guided')]
const ESSAY = asId<ResourceId>('essay')
const SHORT = asId<ResourceId>('short')
const WRITTEN = extended('8').id
const layer = (part: Partial<Layer>): Layer => ({ ...EMPTY_LAYER, ...part })
const ORGANISER = { kind: 'web', centre: 'Waves', branches: 3, filled: { b1: 'They carry energy' } } as const

let school: TestSchool
beforeEach(async () => {
  school = await aSchool()
  const piece = (id: ResourceId, code: string, ownerId: TestSchool['teacher']['userId'] | null) => ({
    resource: aCheck([single('1'), single('2'), extended('8')], {
      id,
      code,
      title: `Piece ${code}`,
      content: 'A wave carries energy. The water stays.',
    }),
    schoolId: ownerId ? school.teacher.schoolId : null,
    ownerId,
    bookId: null,
    bookLessonId: null,
    position: 0,
    isShared: true,
    revision: 1,
  })
  await school.deps.store.write(async (tx) => {
    await addResource(tx, piece(ESSAY, 'ess101', school.teacher.userId))
    await addResource(tx, piece(SHORT, 'sho101', school.teacher.userId))
  })
})

async function lay(trailId: TrailId, part: Partial<Layer>, version = 0) {
  const { deps, teacher } = school
  return keepLayer(deps, teacher, { resourceId: ESSAY, trailId, version, layer: layer(part) })
}
const onTrail = (who: TestSchool['ann'], trailId: TrailId) =>
  setTrails(school.deps, school.teacher, {
    classId: school.a.classId,
    usual: null,
    learners: [{ learnerId: who.userId, trailId }],
  })
const seenBy = async (who: TestSchool['ann'], work: Parameters<typeof only>[0]) =>
  mustBeOk(await showMyPiece(school.deps, who, only(work)), 'piece')

describe('layers of a piece', () => {
  it('are kept, changed as they stood, found by a search, and taken off', async () => {
    const { deps, teacher } = school
    expect((await lay(MARKED, { wordBank: ['energy'] })).value).toEqual({ version: 1 })
    expect(await lay(MARKED, { wordBank: ['water'] })).toMatchObject({
      error: { code: 'access/changed-meanwhile', seen: 0, now: 1 },
    })
    expect((await lay(MARKED, { wordBank: ['water'] }, 1)).value).toEqual({ version: 2 })
    const shown = mustBeOk(await showVersions(deps, teacher, ESSAY), 'versions')
    expect(shown.layers.map((l) => [l.trailId, l.layer.wordBank])).toEqual([[MARKED, ['water']]])
    expect(mustBeOk(await lookInside(deps, teacher, ESSAY), 'inside').versions).toEqual(['marked'])
    const found = async (versions: string) =>
      mustBeOk(
        await searchShelf(deps, teacher, { text: '', filter: { versions: [versions] }, order: 'title' }),
        'search',
      ).pieces.map((p) => p.piece.id)
    expect(await found('versions')).toEqual([ESSAY])
    expect(await found('no-versions')).not.toContain(ESSAY)
    const of = { resourceId: ESSAY, trailId: MARKED, version: 2 }
    expect((await dropLayer(deps, teacher, of)).ok).toBe(true)
    expect(mustBeOk(await showVersions(deps, teacher, ESSAY), 'versions').layers).toEqual([])
    expect(await found('versions')).toEqual([])
  })

  it('are refused with faults, on unknown trails, and to strangers and learners', async () => {
    const { deps, stranger } = school
    const marks = [{ sort: 'a', quote: 'not there', nth: 1 }]
    expect(await lay(MARKED, { marks })).toMatchObject({ error: { code: 'versions/mark-outside-text' } })
    expect(await lay(trail('other'), {})).toMatchObject({ error: { code: 'versions/unknown-trail' } })
    const input = { resourceId: ESSAY, trailId: MARKED, version: 0, layer: EMPTY_LAYER }
    expect(await keepLayer(deps, stranger, input)).toMatchObject({ error: { code: 'access/not-found' } })
    expect(await showVersions(deps, stranger, ESSAY)).toMatchObject({ error: { code: 'access/not-found' } })
  })

  it('are laid, changed and taken off as steps that are taken back', async () => {
    const { deps, teacher } = school
    const bank = async () =>
      mustBeOk(await showVersions(deps, teacher, ESSAY), 'show').layers.map((l) => l.layer.wordBank)
    mustBeOk(await lay(MARKED, { wordBank: ['energy'] }), 'lay')
    mustBeOk(await lay(MARKED, { wordBank: ['water'] }, 1), 'change')
    mustBeOk(await dropLayer(deps, teacher, { resourceId: ESSAY, trailId: MARKED, version: 2 }), 'drop')
    expect(await bank()).toEqual([])
    const back = async () => {
      mustBeOk(await undo(deps, teacher), 'undo')
      return bank()
    }
    expect([await back(), await back(), await back()]).toEqual([[['water']], [['energy']], []])
    mustBeOk(await redo(deps, teacher), 'redo')
    expect(await bank()).toEqual([['energy']])
  })

  it('are said in the history of classes that have the piece, and not taken back over a later change', async () => {
    const { deps, teacher } = school
    await publish(school, { pieces: piecesOf(ESSAY) })
    mustBeOk(await lay(MARKED, { wordBank: ['energy'] }), 'lay')
    const colleague = { ...school.stranger, schoolId: teacher.schoolId }
    const theirs = { resourceId: ESSAY, trailId: MARKED, version: 1, layer: layer({ wordBank: ['water'] }) }
    mustBeOk(await keepLayer(deps, colleague, theirs), 'change')
    const { acts } = mustBeOk(await showHistory(deps, teacher), 'history')
    const said = acts.flatMap(({ by, command }) => (command.kind === 'layer' ? [[by, command.what]] : []))
    expect(said).toEqual([
      ['Sven', 'changed'],
      ['Tess', 'laid'],
    ])
    expect((await undo(deps, teacher)).error?.code).toBe('work/changed-since')
  })

  it('are taken off by who changed them last, the owner of the piece, the lead and the office only', async () => {
    const { deps, teacher, stranger } = school
    const plain = { ...stranger, schoolId: teacher.schoolId, office: false }
    mustBeOk(await lay(MARKED, { wordBank: ['energy'] }), 'lay')
    const of = { resourceId: ESSAY, trailId: MARKED, version: 1 }
    expect((await dropLayer(deps, plain, of)).error?.code).toBe('access/denied')
    expect((await dropLayer(deps, { ...plain, role: 'lead' }, of)).ok).toBe(true)
    mustBeOk(await lay(MARKED, { wordBank: ['energy'] }), 'lay')
    const changed = { ...of, layer: layer({ wordBank: ['water'] }) }
    mustBeOk(await keepLayer(deps, plain, changed), 'change')
    expect((await dropLayer(deps, plain, { ...of, version: 2 })).ok).toBe(true)
  })

  it('stay where they are when somebody who may not see the piece drops them', async () => {
    const { deps, stranger } = school
    const colleague = { ...stranger, schoolId: school.teacher.schoolId }
    mustBeOk(await lay(MARKED, { wordBank: ['energy'] }), 'lay')
    await deps.store.write((tx) => setShared(tx, ESSAY, false))
    const of = { resourceId: ESSAY, trailId: MARKED, version: 1 }
    for (const actor of [colleague, stranger])
      expect(await dropLayer(deps, actor, of)).toMatchObject({ error: { code: 'access/not-found' } })
    expect(mustBeOk(await showVersions(deps, school.teacher, ESSAY), 'show').layers).toHaveLength(1)
  })

  it('are copied with their piece, and change apart from then on', async () => {
    const { deps, teacher } = school
    mustBeOk(await lay(MARKED, { wordBank: ['energy'] }), 'lay')
    const { resourceId } = mustBeOk(await copyPiece(deps, teacher, ESSAY), 'copy')
    const banksOf = async (id: ResourceId) =>
      mustBeOk(await showVersions(deps, teacher, id), 'show').layers.map((l) => [l.trailId, l.layer.wordBank])
    expect(await banksOf(resourceId)).toEqual([[MARKED, ['energy']]])
    mustBeOk(await lay(MARKED, { wordBank: ['water'] }, 1), 'lay')
    expect(await banksOf(resourceId)).toEqual([[MARKED, ['energy']]])
  })

  it('go with a piece that is removed', async () => {
    const { deps, teacher } = school
    await lay(MARKED, { wordBank: ['energy'] })
    expect((await dropPiece(deps, teacher, ESSAY)).ok).toBe(true)
    expect(await resourceById(deps.store.read, ESSAY)).toBeNull()
  })
})

describe('learners get the version of their trail', () => {
  it('each another, none with a name of a trail, and hand in plan and text', async () => {
    const { deps, teacher, ann, ben, cleo, a } = school
    await lay(MARKED, { wordBank: ['energy'] })
    await lay(GUIDED, {
      organisers: [ORGANISER],
      hints: [{ itemId: single('1').id, hint: 'Think of a cork.' }],
    })
    mustBeOk(await onTrail(ann, GUIDED), 'trail')
    mustBeOk(await onTrail(ben, MARKED), 'trail')
    const work = await publish(school, { pieces: piecesOf(ESSAY) })
    const [forAnn, forBen, forCleo] = [
      await seenBy(ann, work),
      await seenBy(ben, work),
      await seenBy(cleo, work),
    ]
    expect(forAnn.support?.organisers).toEqual([ORGANISER])
    expect(forBen.support?.wordBank).toEqual(['energy'])
    expect(forCleo.support).toBeNull()

    const open = mustBeOk(await startTry(deps, ann, only(work)), 'start')
    expect(open.items.map((i) => i.id)).toEqual(['support-planner', single('1').id, single('2').id, WRITTEN])
    expect(open.items[1]).toMatchObject({ hint: 'Think of a cork.' })
    expect(mustBeOk(await startTry(deps, cleo, only(work)), 'start').items).toHaveLength(3)
    expect(JSON.stringify([forAnn, forBen, open])).not.toMatch(/guided|marked|bare|trailId/)

    const plan = aChange('support-planner', { kind: 'blanks', words: { 2: 'The water stays' } })
    const text = aChange('8', { kind: 'extended', text: 'The water stays, energy goes on.' })
    const saves = [plan, aChange('1', { kind: 'single', choice: 'b' }), text]
    mustBeOk(await handIn(deps, ann, { attemptId: open.attemptId, saves }), 'in')
    const of = { ...only(work), classId: a.classId }
    const [toScore] = mustBeOk(await listToScore(deps, teacher, of), 'list').answers
    expect(toScore).toMatchObject({ itemId: WRITTEN, points: null })
    const score = { attemptId: open.attemptId, itemId: WRITTEN, levels: [4], comment: '' }
    mustBeOk(await draftScore(deps, teacher, { ...score, again: false, version: 0 }), 'score')
    mustBeOk(await releaseScores(deps, teacher, of), 'release')
    const seen = (await seenBy(ann, work)).seen[0]
    expect(seen?.items.map((i) => i.item.id)).toEqual([single('1').id, single('2').id, WRITTEN])
    expect(seen?.score).toMatchObject({ points: 5, of: 6 })
  })

  it('asks fewer questions from the beginning of a try on, whatever is changed later', async () => {
    const { deps, ann } = school
    const asked = (itemIds: readonly ItemId[]) => ({ items: { kind: 'chosen', itemIds } as const })
    await lay(GUIDED, asked([single('2').id]))
    mustBeOk(await onTrail(ann, GUIDED), 'trail')
    const work = await publish(school, { pieces: piecesOf(ESSAY) })
    const open = mustBeOk(await startTry(deps, ann, only(work)), 'start')
    expect(open.items.map((i) => i.id)).toEqual([single('2').id])
    mustBeOk(await lay(GUIDED, asked([single('1').id, WRITTEN]), 1), 'layer')
    expect((await seenBy(ann, work)).open?.items.map((i) => i.id)).toEqual([single('2').id])
    const saves = [aChange('2', { kind: 'single', choice: 'b' })]
    mustBeOk(await handIn(deps, ann, { attemptId: open.attemptId, saves }), 'in')
    expect((await seenBy(ann, work)).seen[0]?.score).toMatchObject({ points: 1, of: 1 })
  })

  it('follows trails and layers until somebody has begun', async () => {
    const { ann, ben, deps } = school
    const work = await publish(school, { pieces: piecesOf(ESSAY) })
    expect((await seenBy(ann, work)).support).toBeNull()
    await lay(GUIDED, { steps: ['Read'] })
    mustBeOk(await onTrail(ann, GUIDED), 'trail')
    mustBeOk(await onTrail(ben, GUIDED), 'trail')
    expect((await seenBy(ann, work)).support?.steps).toEqual(['Read'])
    mustBeOk(await startTry(deps, ann, only(work)), 'start')
    for (const who of [ann, ben]) mustBeOk(await onTrail(who, trail('bare')), 'trail')
    expect((await seenBy(ann, work)).support?.steps).toEqual(['Read'])
    expect((await seenBy(ben, work)).support).toBeNull()
  })

  it('shows a changed sentence of the core in every version, and leaves out a mark that is gone', async () => {
    const { deps, teacher, ann, ben } = school
    const legend = [{ id: 'a', name: 'Cause', look: 'line' }] as const
    const marks = [{ sort: 'a', quote: 'The water stays', nth: 1 }]
    await lay(MARKED, { legend, marks })
    await lay(GUIDED, { legend, marks, steps: ['Read'] })
    mustBeOk(await onTrail(ann, GUIDED), 'trail')
    mustBeOk(await onTrail(ben, MARKED), 'trail')
    const core = mustBeOk(await lookInside(deps, teacher, ESSAY), 'inside').resource
    const { id: _, ...piece } = { ...core, content: 'A wave carries energy. All water stays.' }
    mustBeOk(await changePiece(deps, teacher, { resourceId: ESSAY, revision: 1, piece }), 'change')
    const [given] = piecesOf(ESSAY)
    const work = await publish(school, { pieces: [{ ...given!, revision: 2 }] })
    for (const who of [ann, ben]) {
      const seen = await seenBy(who, work)
      expect(seen.content).toContain('All water stays.')
      expect(seen.support?.marks ?? []).toEqual([])
    }
  })
})

describe('in one work only', () => {
  const choosing = (choices: Readonly<Record<string, unknown>>) =>
    aDraft(school, {
      pieces: piecesOf(ESSAY),
      targets: [
        ...aDraft(school).targets,
        ...Object.entries(choices).map(([who, choice]) => ({
          target: { kind: 'learner' as const, learnerId: school[who as 'ann'].userId },
          overrides: {},
          versions: { [P1]: choice as never },
        })),
      ],
    })

  it('a learner gets another version, or another task whose result stands in the same row, marked', async () => {
    const { deps, teacher, ann, ben, a } = school
    await lay(GUIDED, { steps: ['Read'] })
    const draft = choosing({
      ann: { kind: 'trail', trailId: GUIDED },
      ben: { kind: 'parallel', resourceId: SHORT, revision: 1 },
    })
    const preview = mustBeOk(await previewWork(deps, teacher, { assignmentId: null, draft }), 'preview')
    expect(
      preview.who.map((w) => [w.name, w.version?.trailId, w.version?.instead?.resourceId ?? null]),
    ).toEqual([
      ['Ann Ash', GUIDED, null],
      ['Ben Birch', 'bare', SHORT],
      ['Cleo Cedar', 'bare', null],
    ])
    const work = mustBeOk(await assign(deps, teacher, { draft, publish: true }), 'assign').assignmentId
    expect((await seenBy(ann, work)).support?.steps).toEqual(['Read'])
    const cards = async (of: typeof ben) =>
      (await listMyWork(deps, of)).value.work.map((c) => [c.title, c.pieces[0]?.title])
    expect(await cards(ben)).toEqual([['Piece sho101', 'Piece sho101']])
    expect((await cards(ann))[0]).toEqual([draft.title, 'Piece ess101'])
    const news = async (of: typeof ben) =>
      mustBeOk(await listMyNotices(deps, of), 'news').notices.map((n) => n.title)
    expect([await news(ben), await news(ann)]).toEqual([['Piece sho101'], [draft.title]])
    const open = mustBeOk(await startTry(deps, ben, only(work)), 'start')
    const saves = [
      aChange('1', { kind: 'single', choice: 'b' }),
      aChange('2', { kind: 'single', choice: 'b' }),
    ]
    mustBeOk(await handIn(deps, ben, { attemptId: open.attemptId, saves }), 'in')
    const { cells } = mustBeOk(await showGrid(deps, teacher, a.classId), 'grid')
    expect(cells.map((c) => [c.isParallel, c.ratio !== null])).toEqual([
      [false, false],
      [true, true],
    ])
    // the questions of the other task are none of the work's
    const of = { assignmentId: work, classId: a.classId, pieceId: P1 }
    expect(mustBeOk(await showItems(deps, teacher, of), 'items').tries).toBe(0)
    expect(await dropPiece(deps, teacher, SHORT)).toMatchObject({ error: { code: 'library/piece-in-use' } })
  })

  it('keeps the form of another task that somebody was given', async () => {
    const { deps, teacher, ben } = school
    const draft = choosing({ ben: { kind: 'parallel', resourceId: SHORT, revision: 1 } })
    const work = mustBeOk(await assign(deps, teacher, { draft, publish: true }), 'assign').assignmentId
    const core = mustBeOk(await lookInside(deps, teacher, SHORT), 'inside').resource
    const { id: _, ...piece } = { ...core, content: 'Another text.' }
    const changed = await changePiece(deps, teacher, { resourceId: SHORT, revision: 1, piece })
    expect(changed.value).toMatchObject({ isNewForm: true })
    expect((await seenBy(ben, work)).content).toContain('A wave carries energy')
  })

  it('refuses another task without results in common, one that is not theirs, and one that is not there', async () => {
    const { deps, teacher } = school
    const read = asId<ResourceId>('read')
    await deps.store.write((tx) =>
      addResource(tx, {
        resource: { ...aCheck([], { id: read, code: 'rea101' }), kind: 'reading', items: [] },
        schoolId: null,
        ownerId: null,
        bookId: null,
        bookLessonId: null,
        position: 0,
        isShared: true,
        revision: 1,
      }),
    )
    const given = (resourceId: ResourceId, revision = 1) =>
      assign(deps, teacher, {
        draft: choosing({ ann: { kind: 'parallel', resourceId, revision } }),
        publish: true,
      })
    expect(await given(read)).toMatchObject({ error: { code: 'work/other-task-not-alike' } })
    expect(await given(asId('nothing'))).toMatchObject({ error: { code: 'access/not-found' } })
    expect(await given(SHORT, 9)).toMatchObject({ error: { code: 'access/not-found' } })
  })
})

describe('the trail sheet', () => {
  it('has what each learner had, suggests a step, and moves nobody by itself', async () => {
    const { deps, clock, teacher, ann, a } = school
    await lay(GUIDED, { items: { kind: 'chosen', itemIds: [single('1').id, single('2').id] } })
    mustBeOk(await onTrail(ann, GUIDED), 'trail')
    for (const day of ['09-02', '09-04']) {
      const work = await publish(school, { pieces: piecesOf(ESSAY) })
      const open = mustBeOk(await startTry(deps, ann, only(work)), 'start')
      const saves = ['1', '2'].map((id) => aChange(id, { kind: 'single', choice: 'b' }))
      mustBeOk(await handIn(deps, ann, { attemptId: open.attemptId, saves }), 'in')
      clock.set(at(`${day}T18:00`))
    }
    const sheet = async () => mustBeOk(await showTrailSheet(deps, teacher, a.classId), 'sheet')
    const [first, second] = (await sheet()).rows
    expect(first).toMatchObject({ name: 'Ann Ash', trailId: GUIDED, isOwn: true })
    expect(first?.points.map((p) => [p.trailId, p.percent])).toEqual([
      [GUIDED, 100],
      [GUIDED, 100],
    ])
    expect(first?.next).toMatchObject({
      step: 'less',
      to: MARKED,
      reason: 'high-in-a-row',
      percents: [100, 100],
    })
    expect(second).toMatchObject({ name: 'Ben Birch', trailId: 'bare', isOwn: false, points: [] })
    mustBeOk(await onTrail(ann, MARKED), 'step')
    expect((await sheet()).rows[0]?.next).toMatchObject({ step: 'stay', reason: 'no-scores' })
  })

  it('takes learners and trails of its own only, from who teaches the class', async () => {
    const { deps, teacher, stranger, ann, cleo, a } = school
    const set = (who: TestSchool['teacher'], learner: TestSchool['ann'], trailId: TrailId) =>
      setTrails(deps, who, {
        classId: a.classId,
        usual: null,
        learners: [{ learnerId: learner.userId, trailId }],
      })
    expect(await set(teacher, cleo, GUIDED)).toMatchObject({ error: { code: 'access/not-found' } })
    expect(await set(teacher, ann, trail('other'))).toMatchObject({
      error: { code: 'versions/unknown-trail' },
    })
    expect((await set(stranger, ann, GUIDED)).ok).toBe(false)
    expect((await showTrailSheet(deps, stranger, a.classId)).ok).toBe(false)
  })
})

describe('trails of a school', () => {
  const named = (...names: string[]) => names.map((name) => ({ id: trail(name), name }))
  it('are named by the office, and none goes that is in use', async () => {
    const { deps, teacher, ann } = school
    const set = (trails: ReturnType<typeof named>, version: number, thresholds = DEFAULT_THRESHOLDS) =>
      setTrailSettings(deps, teacher, { trails, thresholds, version })
    expect((await set([...named('bare'), { id: GUIDED, name: 'with a hand' }], 0)).value).toEqual({
      version: 1,
    })
    const shown = mustBeOk(await showTrailSettings(deps, teacher), 'settings')
    expect(shown.trails.map((t) => t.name)).toEqual(['bare', 'with a hand'])
    expect(await set(named('bare', 'guided'), 0)).toMatchObject({
      error: { code: 'access/changed-meanwhile' },
    })
    mustBeOk(await onTrail(ann, GUIDED), 'trail')
    expect(await set(named('bare', 'more'), 1)).toMatchObject({
      error: { code: 'versions/trail-in-use', learners: 1, versions: 0 },
    })
    expect(await set(named('bare'), 1)).toMatchObject({ error: { code: 'versions/trail-count' } })
    const bad = { ...DEFAULT_THRESHOLDS, moreBelow: 90 }
    expect(await set(named('bare', 'guided'), 1, bad)).toMatchObject({
      error: { code: 'versions/bad-thresholds', field: 'moreBelow' },
    })
  })

  it('add nothing to a piece over which nothing lies', async () => {
    const { deps, ann } = school
    const cloze = asId<ResourceId>('cloze')
    await deps.store.write((tx) =>
      addResource(tx, {
        resource: aCheck([blanks('7')], { id: cloze, code: 'clo101' }),
        schoolId: null,
        ownerId: null,
        bookId: null,
        bookLessonId: null,
        position: 0,
        isShared: true,
        revision: 1,
      }),
    )
    const work = await publish(school, { pieces: piecesOf(cloze) })
    expect(mustBeOk(await startTry(deps, ann, only(work)), 'start').items).toHaveLength(1)
  })
})
