import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { asId, isoDay } from '#core/base'
import type { GroupId, PieceId, ResourceId, TrailId } from '#core/base'
import type { Assignment, LearnerWork } from '#core/work'
import type { ClassRecord, ResourceRecord } from '#db/repositories'
import {
  addAssignment,
  addClass,
  addPlan,
  addResource,
  addUsers,
  addYear,
  assignmentById,
  classById,
  learnerWorkOf,
  plansById,
  replaceLearnerWork,
  resourceById,
  saveClass,
  undoable,
  addToJournal,
  dropJournalOf,
  historyOf,
  userById,
  yearsById,
} from '#db/repositories'
import { NO_ACCOMMODATION } from '#core/availability'
import { AS_PLANNED } from '#core/pacing'
import { EMPTY_LAYER } from '#core/versions'
import type { ClassPacing, PacingCommand } from '#core/pacing'
import { bodyOf, readOnce } from '../../db/rows/body'
import { fromClass, toClass } from '../../db/rows/calendarRows'
import {
  assignmentBody,
  classBody,
  commandBody,
  layerBody,
  planBody,
  resourceBody,
  yearBody,
} from '../../db/rows/bodies'
import {
  P1,
  PLAIN_WORK,
  aCheck,
  aLesson,
  aPlan,
  aYear,
  at,
  closure,
  ids,
  multiple,
  numeric,
  onDays,
  piecesOf,
  rules,
  single,
  text,
} from '../support/made'
import { aBench, aTeacher } from '../support/world'

describe('whole values come back as they went in', () => {
  it('school year, plan and class with all that can be set', async () => {
    const bench = await aBench()
    const { schoolId, userId } = await aTeacher(bench, 'Tess')
    const year = aYear({
      rotation: {
        labels: ['A', 'B'],
        advance: 'date',
        overrides: [{ on: isoDay('2026-09-02'), label: 'B' }],
      },
      terms: [{ name: 'One', firstOn: isoDay('2026-08-31'), lastOn: isoDay('2026-10-01') }],
      notes: [
        closure('2026-09-07', '2026-09-08', { kind: 'short', factorRatio: 0.5, classIds: [ids.class('c')] }),
      ],
    })
    const plan = {
      ...aPlan([
        aLesson('a', 1.5),
        aLesson('b', 2, {
          kind: 'test',
          weight: 'optional',
          bookLessonId: 'W1.1',
          fixed: { kind: 'on', on: isoDay('2026-10-14') },
          notAfterBreak: true,
        }),
        aLesson('c', 1, { length: { unit: 'minutes', min: 20, typical: 45, max: 90 } }),
      ]),
      parts: [{ id: 'p', title: 'Autumn', term: 1 }],
    }
    const full: ClassPacing = {
      lengths: { [ids.lesson('a')]: 4 },
      left: { [ids.lesson('b')]: 'not-covered' },
      fixed: {
        [ids.lesson('a')]: { kind: 'within', fromOn: isoDay('2026-10-01'), throughOn: isoDay('2026-10-09') },
        [ids.lesson('b')]: 'free',
      },
      added: { [ids.lesson('x')]: aLesson('x', 1) },
      records: {
        [ids.lesson('a')]: {
          outcome: 'under-way',
          held: [{ on: isoDay('2026-09-02'), startMinute: 540, halves: 1 }],
          moreHalves: 3,
        },
      },
      order: ['b', 'x', 'a'].map(ids.lesson),
      through: { on: isoDay('2026-09-02'), startMinute: 540, halves: 1 },
      begins: { on: isoDay('2026-09-04'), startMinute: 510, halves: 2 },
      baseline: { agreedAt: at('09-01T00:00'), lessons: { [ids.lesson('a')]: [[isoDay('2026-09-02'), 2]] } },
      changes: [
        { kind: 'cancel', on: isoDay('2026-09-09'), startMinute: 540, why: 'Snow' },
        { kind: 'minutes', on: isoDay('2026-09-10'), startMinute: 540, minutes: 20, why: 'Drill' },
      ],
    }
    const record: ClassRecord = {
      id: ids.class('c'),
      schoolId,
      yearId: year.id,
      name: 'C',
      shortName: 'C',
      course: 'S',
      joinCode: 'abcdefg',
      joinOpen: true,
      archivedAt: null,
      archivedBy: null,
      planId: plan.id,
      position: 3,
      version: 1,
      pattern: [
        ...onDays(1),
        {
          day: { label: 'A' },
          startMinute: 600,
          minutes: 45,
          fromOn: isoDay('2026-10-01'),
          throughOn: isoDay('2026-11-01'),
        },
      ],
      pacing: full,
    }
    await bench.deps.store.write(async (tx) => {
      await addYear(tx, year, schoolId)
      await addPlan(tx, { plan, schoolId, ownerId: userId, bookId: null, version: 1 })
      await addClass(tx, record)
    })
    const { read } = bench.deps.store
    expect((await yearsById(read, [year.id])).get(year.id)?.year).toEqual(year)
    expect((await plansById(read, [plan.id])).get(plan.id)?.plan).toEqual(plan)
    expect(await classById(read, record.id)).toEqual(record)
    expect(toClass(fromClass(record) as never)).toEqual(record)
  })

  it('a piece with every kind of item', async () => {
    const bench = await aBench()
    const resource = aCheck([single('1'), multiple('2'), numeric('3'), text('4')], {
      standards: ['TH.1'],
      content: '**Bold** & <b>plain</b>',
    })
    const record: ResourceRecord = {
      resource,
      schoolId: null,
      ownerId: null,
      bookId: null,
      bookLessonId: null,
      position: 2,
      isShared: true,
      revision: 3,
    }
    await bench.deps.store.write((tx) => addResource(tx, record))
    expect(await resourceById(bench.deps.store.read, resource.id)).toMatchObject({ resource })
  })

  it('an assignment with targets and overrides, and a learner’s own terms with reasons', async () => {
    const bench = await aBench()
    const { schoolId, userId } = await aTeacher(bench, 'Tess')
    const resource = aCheck([single('1')])
    const learner = {
      id: ids.user('l'),
      schoolId,
      name: 'L',
      signIn: 'l',
      passwordHash: '',
      mustChangePassword: false,
      role: 'learner' as const,
      office: false,
      accommodation: { timeFactor: 1.5, extraAttempts: 1, extraDays: 2 },
      grade: 8,
      createdAt: at('09-01T00:00'),
    }
    const year = aYear()
    const room: ClassRecord = {
      id: ids.class('c'),
      schoolId,
      yearId: year.id,
      name: 'C',
      shortName: 'C',
      course: 'S',
      joinCode: 'abcdefg',
      joinOpen: true,
      archivedAt: null,
      archivedBy: null,
      planId: null,
      position: 0,
      version: 1,
      pattern: onDays(1),
      pacing: AS_PLANNED,
    }
    const anchor = {
      kind: 'anchor' as const,
      lessonId: ids.lesson('a'),
      edge: 'last' as const,
      offset: -2,
      step: 'days' as const,
      at: { minuteOfDay: 900 },
    }
    const record: Assignment = {
      id: ids.work('w'),
      schoolId,
      authorId: userId,
      pieces: [
        ...piecesOf(resource.id),
        {
          id: asId<PieceId>('p2'),
          resourceId: resource.id,
          revision: 1,
          when: 'after',
          handIn: 'together',
          leastMinutes: 4,
          window: { opens: anchor, due: null },
          rules: { maxAttempts: null, kept: 'mean' },
        },
      ],
      title: 'T',
      note: 'N',
      about: {
        objective: 'O',
        outcomes: ['One', 'Two'],
        instructions: '**Read**',
        link: 'https://meet.example/a',
        heading: 'H',
        category: 'Checks',
        isRecommended: true,
      },
      isFirst: true,
      inTurn: true,
      state: 'published',
      notFor: [ids.class('c')],
      ruled: [{ groupId: asId<GroupId>('g'), learnerIds: [learner.id] }],
      newcomers: false,
      teams: [[learner.id, ids.user('other')]],
      version: 1,
      createdAt: at('09-01T00:00'),
      publishedAt: at('09-02T00:00'),
      window: {
        listed: null,
        opens: anchor,
        due: { kind: 'day', on: isoDay('2026-09-10') },
        closes: { kind: 'time', on: isoDay('2026-09-11'), minuteOfDay: 960 },
        putAway: null,
      },
      rules: rules({
        late: { percentPerDay: 10, per: 'instructional-day', floorPercent: 50 },
        timeLimitMinutes: 30,
      }),
      exceptIds: [learner.id],
      overCeiling: [learner.id],
      targets: [
        {
          target: { kind: 'class', classId: room.id },
          overrides: { window: { due: null, opens: anchor }, maxAttempts: null, timeLimitMinutes: 10 },
        },
        { target: { kind: 'learner', learnerId: learner.id }, overrides: {} },
      ],
    }
    const row: LearnerWork = {
      assignmentId: record.id,
      learnerId: learner.id,
      pieceId: P1,
      classId: room.id,
      terms: {
        listed: null,
        opens: at('09-03T00:00'),
        due: at('09-10T00:00'),
        closes: at('09-11T00:00'),
        putAway: null,
        maxAttempts: null,
        timeLimitMinutes: 45,
      },
      rules: { passPercent: null, help: ['hints', 'calculator'] },
      version: {
        trailId: asId<TrailId>('guided'),
        instead: { resourceId: asId<ResourceId>('other'), revision: 2 },
      },
      because: [
        { field: 'due', level: 'accommodation', sourceId: null },
        { field: 'opens', level: 'class', sourceId: room.id },
      ],
    }
    await bench.deps.store.write(async (tx) => {
      await addUsers(tx, [learner])
      await addYear(tx, year, schoolId)
      await addClass(tx, room)
      await addResource(tx, {
        resource,
        schoolId: null,
        ownerId: null,
        bookId: null,
        bookLessonId: null,
        position: 0,
        isShared: true,
        revision: 1,
      })
      await addAssignment(tx, record)
      await replaceLearnerWork(tx, record.id, [row])
    })
    const { read } = bench.deps.store
    expect(await assignmentById(read, record.id)).toEqual(record)
    expect(await learnerWorkOf(read, [record.id])).toEqual([row])
    expect(await userById(read, learner.id)).toEqual(learner)
  })

  it('every planning act in the journal', async () => {
    const bench = await aBench()
    const { schoolId, userId } = await aTeacher(bench, 'Tess')
    const year = aYear()
    const room: ClassRecord = {
      id: ids.class('c'),
      schoolId,
      yearId: year.id,
      name: 'C',
      shortName: 'C',
      course: 'S',
      joinCode: 'abcdefg',
      joinOpen: true,
      archivedAt: null,
      archivedBy: null,
      planId: null,
      position: 0,
      version: 1,
      pattern: onDays(1),
      pacing: AS_PLANNED,
    }
    const [of, lesson, held] = [
      { classId: room.id, lessonId: ids.lesson('a') },
      aLesson('a', 1, { fixed: { kind: 'not-after', on: isoDay('2026-10-01') } }),
      { on: isoDay('2026-09-07'), startMinute: 540, halves: 1 },
    ]
    const commands: Exclude<PacingCommand, { kind: 'together' }>[] = [
      { kind: 'length', ...of, from: null, to: 4 },
      {
        kind: 'meeting',
        classId: room.id,
        on: isoDay('2026-09-07'),
        startMinute: 540,
        from: null,
        to: { kind: 'cancel', on: isoDay('2026-09-07'), startMinute: 540, why: 'Snow' },
      },
      { kind: 'lesson', ...of, part: 'left', from: null, to: 'let-go' },
      { kind: 'lesson', ...of, part: 'fixed', from: 'free', to: { kind: 'on', on: isoDay('2026-10-01') } },
      {
        kind: 'lesson',
        ...of,
        part: 'records',
        from: null,
        to: { outcome: 'covered', held: [held], moreHalves: 0 },
      },
      { kind: 'lesson', ...of, part: 'added', from: null, to: lesson },
      { kind: 'class', classId: room.id, part: 'order', from: null, to: [lesson.id] },
      { kind: 'class', classId: room.id, part: 'through', from: held, to: null },
      {
        kind: 'class',
        classId: room.id,
        part: 'baseline',
        from: null,
        to: { agreedAt: at('09-01T00:00'), lessons: { [lesson.id]: [[isoDay('2026-09-07'), 2]] } },
      },
      {
        kind: 'note',
        yearId: year.id,
        from: null,
        to: closure('2026-09-07', '2026-09-07', { kind: 'event', fromMinute: 540, untilMinute: 600 }),
      },
      {
        kind: 'year',
        yearId: year.id,
        from: year,
        to: {
          ...year,
          rotation: {
            labels: ['A', 'B'],
            advance: 'date',
            overrides: [{ on: isoDay('2026-09-07'), label: 'B' }],
          },
        },
      },
      { kind: 'pattern', classId: room.id, from: [], to: onDays(1) },
      {
        kind: 'plan',
        planId: aPlan([]).id,
        lessons: [{ lessonId: lesson.id, from: null, to: lesson }],
        order: { from: [], to: [lesson.id] },
        units: null,
        parts: { from: [], to: [{ id: 'p', title: 'Autumn', term: 1 }] },
      },
    ]
    const all: PacingCommand[] = [
      ...commands,
      { kind: 'together', purpose: { code: 'ripple', way: 'tighten', cause: 'Snow' }, commands },
      { kind: 'together', purpose: { code: 'took', lessonId: lesson.id }, commands: commands.slice(0, 1) },
    ]
    await bench.deps.store.write(async (tx) => {
      await addYear(tx, year, schoolId)
      await addClass(tx, room)
    })
    for (const command of all) {
      await bench.deps.store.write((tx) =>
        addToJournal(tx, { schoolId, touches: [room.id], actorId: userId, at: at('09-01T00:00'), command }),
      )
      expect((await undoable(bench.deps.store.read, userId)).undo?.command).toEqual(command)
    }
    expect(await historyOf(bench.deps.store.read, schoolId, [room.id], 50)).toHaveLength(all.length)
    expect(await historyOf(bench.deps.store.read, schoolId, ['other'], 50)).toEqual([])
    await bench.deps.store.write((tx) => dropJournalOf(tx, room.id))
    expect((await undoable(bench.deps.store.read, userId)).undo).toBeNull()
  })
})

describe('what a row may not hold', () => {
  it('refuses bodies of another version or shape as a defect, without their content', () => {
    const body = JSON.stringify({ v: 1, ...aYear(), firstOn: '2026-02-31' })
    expect(() => yearBody.read(body)).toThrow(/years\.body/)
    expect(() => yearBody.read('{"v":99}')).toThrow(/years\.body/)
    expect(() => yearBody.read('not json')).toThrow(/years\.body/)
  })

  it('reads bodies of an older version through their steps', () => {
    const { fixed: _, notAfterBreak: __, ...lesson } = aLesson('a', 2)
    const { id: ___, parts: ____, ...plan } = aPlan([aLesson('a', 2)])
    const [{ partId: _____, ...unit }] = plan.units as [(typeof plan.units)[number]]
    const old = { v: 1, ...plan, units: [unit], lessons: [lesson] }
    expect(planBody.read(JSON.stringify(old))).toMatchObject({
      parts: [],
      units: [{ partId: null }],
      lessons: [{ id: lesson.id, fixed: null, notAfterBreak: false }],
    })
    const room = JSON.stringify({ v: 1, pattern: [], lengths: { [lesson.id]: 3 }, changes: [] })
    expect(classBody.read(room)).toEqual({ ...AS_PLANNED, pattern: [], lengths: { [lesson.id]: 3 } })
    const { begins, ...second } = AS_PLANNED
    expect(begins).toBeNull()
    expect(classBody.read(JSON.stringify({ v: 2, pattern: [], ...second }))).toEqual({
      ...AS_PLANNED,
      pattern: [],
    })
    const change = { lessonId: lesson.id, from: null, to: lesson }
    const act = {
      v: 1,
      kind: 'plan',
      planId: aPlan([]).id,
      lessons: [change],
      order: null,
      units: null,
      parts: null,
    }
    expect(commandBody.read(JSON.stringify(act))).toMatchObject({
      lessons: [{ from: null, to: { fixed: null, notAfterBreak: false } }],
    })
    expect(JSON.parse(planBody.print(planBody.read(JSON.stringify(old)))).v).toBe(2)
  })

  it('reads work of an older version: all items, no help, nothing said besides', () => {
    const { items: _, help: __, passPercent: ___, ...then } = rules()
    const window = { listed: null, opens: null, due: null, closes: null, putAway: null }
    const now = { window, rules: rules(), ...PLAIN_WORK, notFor: [], ruled: [] }
    expect(assignmentBody.read(JSON.stringify({ v: 1, window, rules: then }))).toEqual(now)
    expect(assignmentBody.read(JSON.stringify({ v: 2, window, rules: then, notFor: [] }))).toEqual(now)
    const setting = { pieces: [], title: 'T', note: '', window, rules: then, targets: [], exceptIds: [] }
    const act = {
      v: 2,
      kind: 'work',
      what: 'made',
      assignmentId: 'w',
      from: null,
      to: { ...setting, state: 'held', notFor: [] },
    }
    expect(commandBody.read(JSON.stringify(act))).toMatchObject({
      from: null,
      to: { ...PLAIN_WORK, rules: rules() },
    })
    const { hint: ____, ...item } = single('1')
    const resource = { v: 1, standards: [], content: '', items: [item] }
    expect(resourceBody.read(JSON.stringify(resource)).items).toEqual([single('1')])
  })

  it('reads the same text once, and forgets what it took in first', () => {
    const read: string[] = []
    const plain = bodyOf('test', z.object({ n: z.number() }))
    const counted = { ...plain, read: (text: string) => (read.push(text), plain.read(text)) }
    const body = readOnce(counted, 2)
    const [one, two, three] = [1, 2, 3].map((n) => body.print({ n })) as [string, string, string]
    expect([one, one, two, one].map((t) => body.read(t).n)).toEqual([1, 1, 2, 1])
    expect(read).toEqual([one, two])
    body.read(three)
    body.read(one)
    expect(read).toEqual([one, two, three, one])
  })

  it('keeps a class only over the version that was seen', async () => {
    const bench = await aBench()
    const { schoolId } = await aTeacher(bench, 'Tess')
    const year = aYear()
    const room: ClassRecord = {
      id: ids.class('c'),
      schoolId,
      yearId: year.id,
      name: 'C',
      shortName: 'C',
      course: 'S',
      joinCode: 'abcdefg',
      joinOpen: true,
      archivedAt: null,
      archivedBy: null,
      planId: null,
      position: 0,
      version: 1,
      pattern: onDays(1),
      pacing: AS_PLANNED,
    }
    await bench.deps.store.write(async (tx) => {
      await addYear(tx, year, schoolId)
      await addClass(tx, room)
    })
    expect(await bench.deps.store.write((tx) => saveClass(tx, { ...room, name: 'First' }))).toBe(true)
    expect(await bench.deps.store.write((tx) => saveClass(tx, { ...room, name: 'Second' }))).toBe(false)
    expect(await classById(bench.deps.store.read, room.id)).toMatchObject({ name: 'First', version: 2 })
    expect(NO_ACCOMMODATION.timeFactor).toBe(1)
  })

  it('reads a version that had one organiser, or none', () => {
    const { organisers: _, ...layer } = EMPTY_LAYER
    const old = (organiser: unknown) =>
      layerBody.read(JSON.stringify({ v: 1, ...layer, organiser })).organisers
    const web = { kind: 'web', centre: 'Heat', branches: 2, filled: {} }
    expect([old(web), old(null)]).toEqual([[web], []])
  })
})
