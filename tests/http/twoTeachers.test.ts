import { beforeAll, describe, expect, it } from 'vitest'
import { isFor } from '#core/access'
import type { Actor } from '#core/access'
import type { ClassId, IsoDay, LessonId } from '#core/base'
import { EMPTY_LAYER } from '#core/versions'
import type { Draft } from '#core/work'
import { KeepFiling, ShowFiling } from '#shared/contracts/filing'
import {
  ChangePiece,
  LookInside,
  MakePiece,
  SetClassShelf,
  ShowClassShelf,
  ShowShelf,
} from '#shared/contracts/library'
import { DoCommand, ShowDesk } from '#shared/contracts/pacing'
import { Regrade } from '#shared/contracts/regrading'
import { LayPieces, MovePlaced, ShowPlacing, TakePlaced } from '#shared/contracts/placing'
import { LayPlan, MakePlan } from '#shared/contracts/plans'
import {
  ChangeSeries,
  ClearSeries,
  MakeSeries,
  ReleaseSeries,
  RemoveSeries,
  ShowSeries,
} from '#shared/contracts/series'
import { AddStanding, ChangeStanding, ShowStanding } from '#shared/contracts/standing'
import {
  GradeLearners,
  MakeClass,
  SaveGroup,
  SetAccommodation,
  SetJoining,
  SetMember,
  ShowClass,
  ShowOverview,
} from '#shared/contracts/teaching'
import {
  DropLayer,
  KeepLayer,
  SetTrailSettings,
  SetTrails,
  ShowTrailSettings,
  ShowTrailSheet,
  ShowVersions,
} from '#shared/contracts/versions'
import { ActOnMany, Assign, ChangeWork, PublishWork, ShowWork, WithdrawWork } from '#shared/contracts/work'
import { PIECES } from '../../demo/content'
import { CONTRACTS } from '../support/contracts'
import { PLAIN_PIECE, PLAIN_WORK, piecesOf, rules } from '../support/made'
import { withMoreTeachers } from '../support/moreTeachers'
import { aServer, signedIn } from '../support/server'
import type { Agent } from '../support/server'
import { NOT_SHARED } from './notShared'

/** Two who teach 8 A, two who look after the school's trails, and one teacher in two windows. */
let imani: Agent, cora: Agent, again: Agent, ruth: Agent, oskar: Agent
let classId: ClassId
beforeAll(async () => {
  const server = await aServer({ file: await withMoreTeachers() })
  const people = ['imani', 'cora', 'imani', 'ruth', 'oskar'].map((who) => signedIn(server, who))
  ;[imani, cora, again, ruth, oskar] = (await Promise.all(people)) as [Agent, Agent, Agent, Agent, Agent]
  const rooms = (await imani.call(ShowOverview)).value?.classes ?? []
  classId = rooms.find((c) => c.name === 'Science 8 A')?.id as ClassId
})

type Reply = Awaited<ReturnType<Agent['call']>>
const TOLD = ['access/changed-meanwhile', 'pacing/changed-meanwhile']
/** The first act was done; the second hears that something else stands now. */
function told(first: Reply, second: Reply): void {
  expect(first.ok, first.text).toBe(true)
  expect([second.status, TOLD.includes(second.error?.code ?? '')], second.text).toEqual([409, true])
}
/** Both were done, and neither is lost: said by what stands. */
function bothDone(first: Reply, second: Reply): void {
  expect(first.ok, first.text).toBe(true)
  expect(second.ok, second.text).toBe(true)
}
const must = <T>(value: T | null | undefined): T => {
  if (value === null || value === undefined) throw new Error('the demo lacks what is tried')
  return value
}
const page = async () => must((await imani.call(ShowClass, { params: { classId } })).value)
const piece = async () =>
  must((await imani.call(ShowShelf)).value?.pieces.find((p) => !p.own && p.kind === 'check'))
async function draft(title: string): Promise<Draft> {
  const { id: resourceId, revision } = await piece()
  const pieces = piecesOf(resourceId).map((p) => ({ ...p, revision }))
  const targets = [{ target: { kind: 'class', classId } as const, overrides: {} }]
  const window = { listed: null, opens: null, due: null, closes: null, putAway: null }
  return { ...PLAIN_WORK, title, note: '', pieces, window, rules: rules(), targets, exceptIds: [] }
}
async function held(title: string) {
  const made = await imani.call(Assign, { body: { draft: await draft(title), publish: false } })
  const params = { assignmentId: must(made.value).assignmentId }
  return { params, seen: must((await imani.call(ShowWork, { params })).value) }
}
async function series(title: string) {
  const { id: resourceId } = await piece()
  const rows = [
    {
      id: 'r1',
      resourceId,
      own: { opensOn: '2026-10-26' as IsoDay, throughOn: '2026-10-30' as IsoDay },
      others: [],
    },
  ]
  const targets = [{ kind: 'class', classId } as const]
  const body = {
    title,
    classId,
    rule: { kind: 'explicit' } as const,
    rows,
    targets,
    rules: rules(),
  }
  const made = must((await imani.call(MakeSeries, { body: { series: body as never } })).value)
  const listed = must((await imani.call(ShowSeries, { params: { classId } })).value)
  return { params: { seriesId: made.seriesId }, ...must(listed.series.find((s) => s.id === made.seriesId)) }
}

/** By the address of each contract: the same thing, at once, from what both saw. */
const PROBES: Readonly<Record<string, () => Promise<void>>> = {
  '/api/classes/:classId/accommodation': async () => {
    const { id: learnerId, accommodation, grade, startsOn } = must((await page()).learners[3])
    const seen = { ...accommodation, grade, startsOn }
    const set = (who: Agent, part: object) =>
      who.call(SetAccommodation, { params: { classId }, body: { learnerId, ...seen, ...part, seen } })
    bothDone(await set(imani, { timeFactor: 1.5 }), await set(cora, { extraDays: 2 }))
    const now = must((await page()).learners.find((l) => l.id === learnerId))
    expect(now.accommodation).toMatchObject({ timeFactor: 1.5, extraDays: 2 })
    const next = { ...now.accommodation, grade, startsOn }
    const other = (who: Agent, timeFactor: number) =>
      who.call(SetAccommodation, {
        params: { classId },
        body: { learnerId, ...next, timeFactor, seen: next },
      })
    told(await other(imani, 1.25), await other(cora, 2))
    expect((await page()).learners.find((l) => l.id === learnerId)?.accommodation.timeFactor).toBe(1.25)
  },
  '/api/classes/:classId/filing': async () => {
    const { filing, version } = must((await imani.call(ShowFiling, { params: { classId } })).value)
    const add = (who: Agent, name: string) => {
      const body = { version, filing: { ...filing, headings: [...filing.headings, name] }, renamed: [] }
      return who.call(KeepFiling, { params: { classId }, body })
    }
    told(await add(imani, 'Labs'), await add(cora, 'Outings'))
  },
  '/api/classes/:classId/grades': async () => {
    const [one, two] = must((await page()).learners.slice(4))
    const put = (who: Agent, grade: number) => {
      const body = {
        learnerIds: [must(one).id, must(two).id],
        grade,
        seen: [must(one).grade, must(two).grade],
      }
      return who.call(GradeLearners, { params: { classId }, body })
    }
    told(await put(imani, 7), await put(cora, 9))
    expect((await page()).learners.find((l) => l.id === one?.id)?.grade).toBe(7)
  },
  '/api/classes/:classId/groups': async () => {
    const { groups } = await page()
    const { id: groupId, name, classIds, rule } = must(groups.find((g) => g.rule === null))
    const seen = { name, classIds: [...classIds], rule, learnerIds: null }
    const set = (who: Agent, part: object) =>
      who.call(SaveGroup, {
        params: { classId },
        body: { groupId, alsoIn: [...classIds], name, rule, learnerIds: null, seen, ...part },
      })
    told(await set(imani, { name: 'Called by one' }), await set(cora, { name: 'Called by the other' }))
    const grades = { kind: 'grade', grades: [8] } as const
    const now = (await page()).groups.find((g) => g.id === groupId)
    bothDone(
      await set(imani, { name: 'And', seen: { ...seen, name: 'Called by one' } }),
      await set(cora, { name: 'Called by one', rule: grades, seen: { ...seen, name: 'Called by one' } }),
    )
    expect(now?.name).toBe('Called by one')
    expect((await page()).groups.find((g) => g.id === groupId)).toMatchObject({ name: 'And', rule: grades })
  },
  '/api/classes/:classId/members': async () => {
    const { learners } = await page()
    const made = await imani.call(SaveGroup, {
      params: { classId },
      body: { groupId: null, alsoIn: [], name: 'Ticked', learnerIds: [], rule: null, seen: null },
    })
    const { groupId } = must(made.value)
    const tick = (who: Agent, at: number) =>
      who.call(SetMember, {
        params: { classId },
        body: { groupId, learnerId: must(learners[at]).id, isIn: true },
      })
    const [first, second] = await Promise.all([tick(imani, 0), tick(cora, 1)])
    bothDone(first, second)
    const members = (await page()).learners.filter((l) => l.groupIds.includes(groupId))
    expect(members.map((l) => l.id).sort()).toEqual([learners[0]?.id, learners[1]?.id].sort())
  },
  '/api/classes/:classId/joining': async () => {
    const { joinCode, joinOpen } = await page()
    const seen = { joinCode, joinOpen }
    const renew = (who: Agent) => who.call(SetJoining, { params: { classId }, body: { act: 'renew', seen } })
    const first = await renew(imani)
    told(first, await renew(cora))
    expect((await page()).joinCode).toBe(first.value?.joinCode)
    const closed = { joinCode: must(first.value).joinCode, joinOpen: true }
    const act = (who: Agent, what: 'close' | 'renew') =>
      who.call(SetJoining, { params: { classId }, body: { act: what, seen: closed } })
    // another code would let newcomers in again where a colleague has closed the class
    told(await act(imani, 'close'), await act(cora, 'renew'))
  },
  '/api/classes/:classId/shelf': async () => {
    const seen = must((await imani.call(ShowClassShelf, { params: { classId } })).value)
    const set = (who: Agent, filter: object, from = seen) =>
      who.call(SetClassShelf, { params: { classId }, body: { shelf: { ...from, filter }, seen: from } })
    bothDone(
      await set(imani, { ...seen.filter, grade: ['8'] }),
      await set(cora, { ...seen.filter, kind: ['check'] }),
    )
    const now = must((await imani.call(ShowClassShelf, { params: { classId } })).value)
    expect(now.filter).toMatchObject({ grade: ['8'], kind: ['check'] })
    told(
      await set(imani, { ...now.filter, grade: ['7'] }, now),
      await set(cora, { ...now.filter, grade: ['9'] }, now),
    )
  },
  '/api/classes/:classId/trails': async () => {
    const sheet = must((await imani.call(ShowTrailSheet, { params: { classId } })).value)
    const [row] = sheet.rows
    const others = sheet.trails.map((t) => t.id).filter((id) => id !== row?.trailId)
    const put = (who: Agent, at: number) => {
      const step = { learnerId: must(row).learnerId, trailId: must(others[at]), seen: must(row).trailId }
      return who.call(SetTrails, {
        params: { classId },
        body: { usual: null, seenUsual: sheet.usual, learners: [step] },
      })
    }
    told(await put(imani, 0), await put(cora, 1))
    const usual = (who: Agent, at: number) => {
      const body = {
        usual: must(sheet.trails.filter((t) => t.id !== sheet.usual)[at]).id,
        seenUsual: sheet.usual,
        learners: [],
      }
      return who.call(SetTrails, { params: { classId }, body })
    }
    told(await usual(imani, 0), await usual(cora, 1))
  },
  '/api/desk/command': async () => {
    const desk = must((await imani.call(ShowDesk)).value)
    const plan = desk.plans.find((p) => p.id === desk.classes.find((c) => c.id === classId)?.planId)
    const lessonId = must(plan?.lessons.at(-1)).id as LessonId
    const set = (who: Agent, to: number) =>
      who.call(DoCommand, {
        body: { kind: 'length', classId, lessonId, from: null, to } as never,
      })
    told(await set(imani, 4), await set(cora, 6))
  },
  '/api/placing/move': async () => {
    const targets = [{ kind: 'class', classId } as const]
    const [from, through] = ['2026-10-26', '2026-11-06'] as [IsoDay, IsoDay]
    const stones = async () =>
      must((await imani.call(ShowPlacing, { body: { targets, from, through } })).value).stones
    const before = (await stones()).map((s) => s.assignmentId)
    const pieces = [{ resourceId: (await piece()).id, on: '2026-10-27' as IsoDay }]
    const laid = await imani.call(LayPieces, { body: { targets, pieces, stays: 1 } })
    expect(laid.ok, laid.text).toBe(true)
    const { assignmentId, version } = must((await stones()).find((s) => !before.includes(s.assignmentId)))
    const move = (who: Agent, on: string) => {
      const body = { assignmentId, version, target: must(targets[0]), on: on as IsoDay, alone: false }
      return who.call(MovePlaced, { body })
    }
    told(await move(imani, '2026-10-29'), await move(cora, '2026-11-03'))
  },
  '/api/placing/take': async () => {
    const { params, seen } = await held('Taken by two')
    const take = (who: Agent) =>
      who.call(TakePlaced, { body: { ...params, version: seen.version, target: null } })
    told(await imani.call(PublishWork, { params, body: { version: seen.version } }), await take(cora))
  },
  '/api/plans/:planId/lay': async () => {
    const years = must((await imani.call(ShowOverview)).value).years
    const room = await imani.call(MakeClass, {
      body: {
        yearId: must(years[0]).year.id,
        name: 'Two plans',
        shortName: '2P',
        course: 'C',
        pattern: [{ day: { weekday: 1 }, startMinute: 540, minutes: 50 }] as never,
      } as never,
    })
    const made = async (title: string) =>
      must(
        (await imani.call(MakePlan, { body: { title, course: 'C', text: 'Waves,Pulse,1' } as never })).value,
      ).planId
    const lay = async (who: Agent, title: string) =>
      who.call(LayPlan, {
        params: { planId: (await made(title)) as never },
        body: { classIds: [must(room.value).classId], from: null, seen: [null] },
      })
    told(await lay(imani, 'First'), await lay(again, 'Second'))
  },
  '/api/plans/:planId/standing/:standingId': async () => {
    const desk = must((await imani.call(ShowDesk)).value)
    const planId = must(desk.classes.find((c) => c.id === classId)?.planId)
    const lessonId = must(desk.plans.find((p) => p.id === planId)?.lessons[0]).id
    const {
      targets: _to,
      newcomers: _new,
      teams: _teams,
      exceptIds: _but,
      overCeiling: _over,
      ...one
    } = await draft('Stands')
    const added = await imani.call(AddStanding, {
      params: { planId },
      body: { pieces: [{ ...one, lessonId }] },
    })
    const standingId = must(added.value?.standingIds[0])
    const list = must((await imani.call(ShowStanding, { params: { planId } })).value)
    const { version, piece } = must(list.standing.find((s) => s.id === standingId))
    const change = (who: Agent, to: string) =>
      who.call(ChangeStanding, {
        params: { planId, standingId },
        body: { version, piece: { ...piece, title: to } },
      })
    told(await change(imani, 'One'), await change(again, 'Other'))
  },
  '/api/resources/:resourceId': async () => {
    const body = {
      title: 'Own',
      code: '',
      kind: 'reading',
      role: 'core',
      minutes: 5,
      grade: 8,
      ...PLAIN_PIECE,
      content: 'Read.',
      items: [],
    } as never
    const params = { resourceId: must((await imani.call(MakePiece, { body })).value).resourceId }
    const { resource, revision } = must((await imani.call(LookInside, { params })).value)
    const { id: _, ...written } = resource
    const change = (who: Agent, title: string) =>
      who.call(ChangePiece, { params, body: { ...written, title, revision } as never })
    told(await change(imani, 'One'), await change(again, 'Other'))
  },
  '/api/resources/:resourceId/versions/:trailId': async () => {
    const { id: resourceId } = await piece()
    const params = { resourceId, trailId: 'guided' as never }
    const layers = must((await imani.call(ShowVersions, { params: { resourceId } })).value).layers
    const version = layers.find((l) => l.trailId === params.trailId)?.version ?? 0
    const keep = (who: Agent, word: string) =>
      who.call(KeepLayer, { params, body: { version, layer: { ...EMPTY_LAYER, wordBank: [word] } } })
    told(await keep(imani, 'crest'), await keep(cora, 'trough'))
  },
  '/api/resources/:resourceId/versions/:trailId/drop': async () => {
    const { id: resourceId } = await piece()
    const params = { resourceId, trailId: 'marked' as never }
    const stands = (await imani.call(ShowVersions, { params: { resourceId } })).value?.layers
    const version = stands?.find((l) => l.trailId === params.trailId)?.version ?? 0
    const layer = { ...EMPTY_LAYER, wordBank: ['pulse'] }
    const kept = await imani.call(KeepLayer, { params, body: { version, layer } })
    told(kept, await cora.call(DropLayer, { params, body: { version } }))
  },
  '/api/series/:seriesId': async () => {
    const { params, version, series: of } = await series('Changed by two')
    const change = (who: Agent, title: string) =>
      who.call(ChangeSeries, { params, body: { version, series: { ...of, title } as never } })
    told(await change(imani, 'One'), await change(cora, 'Other'))
  },
  ...Object.fromEntries(
    (
      [
        ['release', ReleaseSeries],
        ['clear', ClearSeries],
        ['remove', RemoveSeries],
      ] as const
    ).map(([act, contract]) => [
      `/api/series/:seriesId/${act}`,
      async () => {
        const { params, version, series: of } = await series(`To ${act}`)
        const body = { version, series: { ...of, title: 'Changed' } as never }
        told(
          await imani.call(ChangeSeries, { params, body }),
          await cora.call(contract, { params, body: { version } }),
        )
      },
    ]),
  ),
  '/api/trails': async () => {
    const { trails, thresholds, version } = must((await ruth.call(ShowTrailSettings)).value)
    const name = (who: Agent, first: string) => {
      const named = trails.map(({ id, name: was }, i) => ({ id, name: i === 0 ? first : was }))
      return who.call(SetTrailSettings, { body: { trails: named as never, thresholds, version } })
    }
    told(await name(ruth, 'One'), await name(oskar, 'Other'))
  },
  '/api/work/:assignmentId': async () => {
    const { params, seen } = await held('Changed by two')
    const change = (who: Agent, note: string) =>
      who.call(ChangeWork, {
        params,
        body: { version: seen.version, draft: { ...seen.draft, note } as never, publish: false },
      })
    const second = [await change(imani, 'One'), await change(cora, 'Other')] as const
    told(...second)
    expect(second[1].error).toMatchObject({ by: { isSelf: false } })
  },
  '/api/work/:assignmentId/regrade': async () => {
    const { params, seen } = await held('Put right by two')
    const { id } = await piece()
    const itemId = must(PIECES.find((p) => p.resource.id === id)?.resource.items[0]).id
    const mend = (who: Agent, kind: 'credit' | 'dropped') => {
      const of = { pieceId: seen.draft.pieces[0]?.id as never, itemId, mending: { kind } }
      return who.call(Regrade, { params, body: { version: seen.version, ...of } })
    }
    told(await mend(imani, 'credit'), await mend(cora, 'dropped'))
  },
  '/api/work/:assignmentId/publish': async () => {
    const { params, seen } = await held('Published by two')
    const changed = { ...seen.draft, note: 'Other' } as never
    const first = await imani.call(ChangeWork, {
      params,
      body: { version: seen.version, draft: changed, publish: false },
    })
    told(first, await cora.call(PublishWork, { params, body: { version: seen.version } }))
  },
  '/api/work/:assignmentId/withdraw': async () => {
    const { params, seen } = await held('Withdrawn by two')
    const first = await imani.call(PublishWork, { params, body: { version: seen.version } })
    told(first, await cora.call(WithdrawWork, { params, body: { version: seen.version } }))
  },
  '/api/work-at-once': async () => {
    const { params, seen } = await held('At once by two')
    const first = await imani.call(PublishWork, { params, body: { version: seen.version } })
    const works = [{ ...params, version: seen.version }]
    told(first, await cora.call(ActOnMany, { body: { works, act: { kind: 'withdraw' } } }))
  },
}
/** Tried with texts that were handed in: tests/usecases/scoring.test.ts. */
const ELSEWHERE = ['/api/evidence/release/:assignmentId', '/api/tries/:attemptId/draft-score']

describe('two teachers at the same thing', () => {
  it.each(Object.keys(PROBES))('%s: the second hears what stands, or both are done', async (path) => {
    await PROBES[path]?.()
  })

  it('leaves no writing act out', () => {
    const paths = CONTRACTS.filter((c) => c.method === 'POST' && isFor(c.for, { role: 'teacher' } as Actor))
    const known = [...Object.keys(PROBES), ...Object.keys(NOT_SHARED), ...ELSEWHERE]
    const open = ['/api/sign-in', '/api/sign-up', '/api/join']
    expect(paths.map((c) => c.path).filter((p) => !known.includes(p) && !open.includes(p))).toEqual([])
  })
})
