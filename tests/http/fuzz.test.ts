import { existsSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { beforeAll, describe, expect, it, vi } from 'vitest'
import type { AnyContract } from '#shared/contracts/contract'
import { StartTry } from '#shared/contracts/learning'
import { ShowShelf } from '#shared/contracts/library'
import { ListMyWork } from '#shared/contracts/myWork'
import { ShowDesk } from '#shared/contracts/pacing'
import { ShowClass } from '#shared/contracts/teaching'
import { ListWork } from '#shared/contracts/work'
import { CONTRACTS } from '../support/contracts'
import { cpuMsOf } from '../support/cpu'
import { Agent, aServer, signedIn } from '../support/server'
import type { Running } from '../support/server'
import { fuzzer, inAddress } from '../support/fuzz'
import type { Known } from '../support/fuzz'
import { aFolder } from '../support/world'

const SEED = 20_261_126
const A_ROUTE = 2000
const AT_ONCE = 12
/** Of processor that one answer may take. */
const MOST_CPU_MS = 2000
const MOST_MEGABYTES = 30
const TELLS_HEAP = fileURLToPath(new URL('../support/tellsHeap.mjs', import.meta.url))

/** What would take the ground from under the others comes last. */
const ENDS_SOMETHING = [
  '/api/classes/:classId/remove-learner',
  '/api/classes/:classId/reset-password',
  '/api/tries/:attemptId/hand-in',
  '/api/take-away',
  '/api/bring-back',
  '/api/me/end-sessions',
  '/api/sign-out',
]
const last = (r: AnyContract) => ENDS_SOMETHING.indexOf(r.path)
const IN_ORDER = [...CONTRACTS].sort((a, b) => last(a) - last(b))

const TOLD_IN = join(aFolder(), 'heap')
/**
 * Megabytes the server still needs once its heap is cleared. (What the process holds is no measure: the engine
 * keeps pages for as long as the machine has some to spare, so that figure says more about the machine.)
 */
async function heapOf({ pid }: Running): Promise<number> {
  rmSync(TOLD_IN, { force: true })
  process.kill(pid, 'SIGUSR2')
  const told = await vi.waitUntil(() => existsSync(TOLD_IN) && readFileSync(TOLD_IN, 'utf8'), 10_000)
  return Number(told) / 1_000_000
}

let server: Running
let known: Known
let people: readonly Agent[]
let before = 0

beforeAll(async () => {
  server = await aServer('demo', {
    NODE_OPTIONS: `--import "${TELLS_HEAP}"`,
    HEAP_TOLD_IN: TOLD_IN,
  })
  const teacher = await signedIn(server, 'imani')
  const learner = await signedIn(server, 'noa')
  people = [teacher, teacher, teacher, learner, learner, new Agent(server)]
  const desk = (await teacher.call(ShowDesk)).value
  const classIds = desk?.classes.map((c) => c.id) ?? []
  const room = (await teacher.call(ShowClass, { params: { classId: classIds[0] as never } })).value
  const list = (await teacher.call(ListWork)).value?.work ?? []
  const mine = (await learner.call(ListMyWork)).value?.work ?? []
  const shelf = (await teacher.call(ShowShelf)).value
  const open = mine.find((w) => w.pieces.some((p) => p.mayTry && p.itemCount > 0))
  const started = await learner.call(StartTry, {
    params: { assignmentId: open?.id as never },
    body: { pieceId: (open?.pieces.find((p) => p.mayTry && p.itemCount > 0)?.pieceId ?? 'p1') as never },
  })
  const lessons = desk?.plans.flatMap((p) => p.lessons.map((l) => l.id)) ?? []
  known = {
    classId: classIds,
    planId: desk?.plans.map((p) => p.id) ?? [],
    yearId: [desk?.year?.id],
    lessonId: lessons,
    order: lessons,
    unitId: desk?.plans.flatMap((p) => p.units.map((u) => u.id)) ?? [],
    learnerId: room?.learners.map((l) => l.id) ?? [],
    exceptId: room?.learners.map((l) => l.id) ?? [],
    groupId: room?.groups.map((g) => g.id) ?? [],
    assignmentId: [...list.map((w) => w.id), ...mine.map((w) => w.id)],
    resourceId: shelf?.pieces.map((p) => p.id) ?? [],
    bookId: shelf?.books.map((b) => b.id) ?? [],
    pieceId: ['p1', 'p2'],
    revision: [1, 2],
    attemptId: [started.value?.attemptId],
    itemId: started.value?.items.map((i) => i.id) ?? [],
    version: [1, 2, 3],
    code: [room?.joinCode, 'nothing'],
    text: [
      'Name\nAna Reyes\nBo Lund',
      'Waves,Pulse,1\n,Echo,2',
      'BEGIN:VCALENDAR\nEND:VCALENDAR',
      'a\tb\n1\t2',
    ],
    signIn: ['imani', 'noa', 'nobody'],
    country: ['US', 'DE', 'XX'],
  }
  before = await heapOf(server)
})

/** Everything that shows what was written: none of it may break on what it reads. */
async function readAll(): Promise<void> {
  const [teacher, , , learner] = people as readonly [Agent, Agent, Agent, Agent]
  const reads = async (who: Agent, path: string) => {
    const { status } = await who.raw('GET', path)
    expect([path, status < 500]).toEqual([path, true])
  }
  for (const path of [
    '/api/overview',
    '/api/desk',
    '/api/desk/history',
    '/api/work',
    '/api/recipients',
    '/api/shelf',
  ])
    await reads(teacher, path)
  for (const id of known.classId ?? [])
    for (const path of ['', '/file?kind=calendar', '/file?kind=layout'])
      await reads(teacher, `/api/classes/${id}${path}`)
  for (const id of known.planId ?? []) await reads(teacher, `/api/plans/${id}`)
  for (const id of known.assignmentId ?? []) {
    await reads(teacher, `/api/work/${id}`)
    await reads(learner, `/api/my-work/${id}`)
  }
  await reads(learner, '/api/my-work')
}

/** Where a write that was acknowledged can be read, by what it answered. */
const READ_BY: Readonly<Record<string, (id: string) => string>> = {
  planId: (id) => `/api/plans/${id}`,
  classId: (id) => `/api/classes/${id}`,
  assignmentId: (id) => `/api/work/${id}`,
  resourceId: (id) => `/api/resources/${id}`,
}

interface Sent {
  readonly who: Agent
  readonly method: string
  readonly path: string
  readonly body: string | undefined
}
const said = ({ path, body }: Sent) => `${path} ${(body ?? '').slice(0, 600)}`

/**
 * What takes the server long, out of requests that were answered late: each is asked again alone, and counts by the
 * server's own time of processor. What was late only because others, or other programs, were in its way is not slow.
 */
async function slowAmong(late: readonly Sent[]): Promise<readonly string[]> {
  const slow: string[] = []
  for (const sent of late.slice(0, 2 * AT_ONCE)) {
    const before = cpuMsOf(server)
    await sent.who.raw(sent.method, sent.path, sent.body)
    const took = cpuMsOf(server) - before
    if (took > MOST_CPU_MS) slow.push(`${took} ms: ${said(sent)}`)
  }
  return slow
}

describe('whatever is sent', () => {
  it.each(IN_ORDER.map((r) => [`${r.method} ${r.path}`, r] as const))(
    '%s: is answered, soon, and never by a defect',
    { timeout: 480_000 },
    async (name, route) => {
      const fuzz = fuzzer(SEED + name.length, known)
      const late: Sent[] = []
      const broken: string[] = []
      const made: { readonly who: Agent; readonly path: string }[] = []
      const send = async (): Promise<void> => {
        const hostile = fuzz.one([0, 0, 0.02, 0.1, 0.4])
        const params = fuzz.value(route.params, hostile) as Record<string, unknown> | null
        const query = fuzz.value(route.query, hostile) as Record<string, unknown> | null
        const path = route.path.replace(/:(\w+)/g, (_, key: string) =>
          encodeURIComponent(inAddress(params?.[key] ?? 'x')),
        )
        const asked = new URLSearchParams(
          Object.entries(query ?? {}).map(([k, v]) => [k, inAddress(v)] as [string, string]),
        )
        if (fuzz.random() < 0.9 && route.method === 'GET' && !/:|\?/.test(route.path)) asked.set('x', 'y')
        const who = fuzz.one(people)
        const sent: Sent = {
          who,
          method: route.method,
          path: asked.size ? `${path}?${asked}` : path,
          body: route.method === 'POST' ? JSON.stringify(fuzz.value(route.body, hostile) ?? null) : undefined,
        }
        const began = performance.now()
        const { status, text } = await who.raw(sent.method, sent.path, sent.body)
        if (status >= 500 && status !== 503) broken.push(`${status} ${said(sent)}`)
        if (performance.now() - began > MOST_CPU_MS) late.push(sent)
        if (status !== 200 || route.method === 'GET') return
        for (const [key, at] of Object.entries(READ_BY)) {
          const id = /^\{/.test(text) && (JSON.parse(text) as Record<string, unknown>)[key]
          if (typeof id === 'string' && made.length < 200 && who !== people[3])
            made.push({ who, path: at(id) })
        }
      }
      for (let sent = 0; sent < A_ROUTE; sent += AT_ONCE)
        await Promise.all(Array.from({ length: Math.min(AT_ONCE, A_ROUTE - sent) }, send))
      expect(broken.slice(0, 3)).toEqual([])
      expect(await slowAmong(late)).toEqual([])
      for (const { who, path } of made)
        expect([path, (await who.raw('GET', path)).status]).toEqual([path, 200])
      if (route.method === 'POST') await readAll()
    },
  )

  it('leaves the server as small as it was, and without a defect in its log', async () => {
    expect((await heapOf(server)) - before).toBeLessThan(MOST_MEGABYTES)
    expect(server.errors()).toBe('')
  })
})
