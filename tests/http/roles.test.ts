import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { beforeAll, describe, expect, it } from 'vitest'
import { ListMyWork } from '#shared/contracts/learning'
import { ShowOverview, ShowClass } from '#shared/contracts/teaching'
import { ListWork } from '#shared/contracts/work'
import { ShowShelf } from '#shared/contracts/library'
import { Agent, aServer, signedIn } from '../support/server'
import type { Running } from '../support/server'

const WHO = ['nobody', 'learner', 'other learner', 'teacher', 'other teacher', 'colleague', 'lead'] as const
type Who = (typeof WHO)[number]
type Outcome = 'in' | 'signed-out' | 'denied' | 'hidden'

/**
 * What a request gets: let in (whatever the act then says), told to sign in, denied, or told there is
 * nothing.
 */
function outcome(status: number, text: string): Outcome {
  const code = (/"code":"([^"]+)"/.exec(text) ?? [])[1] ?? ''
  if (code === 'access/not-signed-in') return 'signed-out'
  if (code === 'access/denied' || code === 'audience/not-your-class') return 'denied'
  return code === 'access/not-found' || code === 'wire/unknown-address' ? 'hidden' : 'in'
}

interface Row {
  readonly route: string
  readonly file: string
  readonly body?: unknown
  readonly expected: readonly Outcome[]
}
const S = 'signed-out',
  D = 'denied',
  H = 'hidden',
  I = 'in'
/**
 * Class 8 A is the teacher's alone; the colleague teaches 8 B; the other teacher is of another school; the
 * learner is Noa of 8 A, the other Linh of 8 C.
 */
const ANY_YEAR = {
  id: 'YEAR',
  name: 'N',
  zone: 'UTC',
  firstOn: '2026-08-24',
  lastOn: '2027-06-11',
  weekdays: [1],
  terms: [],
  notes: [],
  rotation: null,
}
const TABLE: readonly Row[] = [
  // open to everyone
  { route: 'GET /api/demo-people', file: 'demo-people.get.ts', expected: [I, I, I, I, I, I, I] },
  { route: 'POST /api/sign-in', file: 'sign-in.post.ts', body: {}, expected: [I, I, I, I, I, I, I] },
  { route: 'POST /api/sign-up', file: 'sign-up.post.ts', body: {}, expected: [I, I, I, I, I, I, I] },
  { route: 'POST /api/join', file: 'join.post.ts', body: {}, expected: [I, I, I, I, I, I, I] },
  // anyone signed in
  { route: 'GET /api/me', file: 'me.get.ts', expected: [S, I, I, I, I, I, I] },
  // learners
  {
    route: 'POST /api/join-another',
    file: 'join-another.post.ts',
    body: { code: 'nothing' },
    expected: [S, I, I, D, D, D, D],
  },
  { route: 'GET /api/my-work', file: 'my-work/index.get.ts', expected: [S, I, I, D, D, D, D] },
  {
    route: 'GET /api/my-work/WORK',
    file: 'my-work/[assignmentId]/index.get.ts',
    expected: [S, I, H, D, D, D, D],
  },
  {
    route: 'POST /api/my-work/WORK/start',
    file: 'my-work/[assignmentId]/start.post.ts',
    body: {},
    expected: [S, I, H, D, D, D, D],
  },
  {
    route: 'POST /api/tries/TRY/answers',
    file: 'tries/[attemptId]/answers.post.ts',
    body: { saves: [] },
    expected: [S, I, H, H, H, H, H],
  },
  // teachers
  { route: 'GET /api/overview', file: 'overview.get.ts', expected: [S, D, D, I, I, I, I] },
  { route: 'GET /api/shelf', file: 'shelf.get.ts', expected: [S, D, D, I, I, I, I] },
  {
    route: 'GET /api/resources/PIECE',
    file: 'resources/[resourceId].get.ts',
    expected: [S, H, H, I, I, I, I],
  },
  {
    route: 'POST /api/resources',
    file: 'resources/index.post.ts',
    body: {
      title: 'T',
      code: 'x',
      kind: 'check',
      role: 'core',
      minutes: 5,
      grade: 8,
      content: '',
      items: [],
    },
    expected: [S, D, D, I, I, I, I],
  },
  {
    route: 'POST /api/read-closures',
    file: 'read-closures.post.ts',
    body: { text: 'x', firstOn: '2026-08-24', lastOn: '2027-06-11', zone: 'America/Denver' },
    expected: [S, D, D, I, I, I, I],
  },
  {
    route: 'POST /api/read-outline',
    file: 'read-outline.post.ts',
    body: { text: 'a,b,1' },
    expected: [S, D, D, I, I, I, I],
  },
  {
    route: 'POST /api/plans/read-table',
    file: 'plans/read-table.post.ts',
    body: { text: 'Number,Title\na,b' },
    expected: [S, D, D, I, I, I, I],
  },
  { route: 'GET /api/plans/PLAN', file: 'plans/[planId]/index.get.ts', expected: [S, H, H, I, H, I, I] },
  { route: 'GET /api/plans/PLAN/file', file: 'plans/[planId]/file.get.ts', expected: [S, H, H, I, H, I, I] },
  {
    route: 'POST /api/plans/PLAN/copy',
    file: 'plans/[planId]/copy.post.ts',
    body: {},
    expected: [S, H, H, I, H, I, I],
  },
  { route: 'GET /api/desk/history', file: 'desk/history.get.ts', expected: [S, D, D, I, I, I, I] },
  {
    route: 'POST /api/desk/ripple',
    file: 'desk/ripple.post.ts',
    body: { kind: 'length', classId: 'CLASS', lessonId: 'nothing', from: null, to: 2 },
    expected: [S, D, D, I, H, H, D],
  },
  {
    route: 'GET /api/classes/CLASS/feed',
    file: 'classes/[classId]/feed.get.ts',
    expected: [S, H, H, I, H, H, D],
  },
  {
    route: 'POST /api/classes/CLASS/feed',
    file: 'classes/[classId]/feed.post.ts',
    body: { to: 'none' },
    expected: [S, H, H, I, H, H, D],
  },
  {
    route: 'GET /api/classes/CLASS/file?kind=calendar',
    file: 'classes/[classId]/file.get.ts',
    expected: [S, H, H, I, H, H, I],
  },
  {
    route: 'GET /api/feeds/0123456789012345678901',
    file: 'feeds/[token].get.ts',
    expected: [H, H, H, H, H, H, H],
  },
  {
    route: 'POST /api/plans',
    file: 'plans/index.post.ts',
    body: { title: 'T', course: 'C', text: 'a,b,nine' },
    expected: [S, D, D, I, I, I, I],
  },
  {
    route: 'POST /api/plans/adopt',
    file: 'plans/adopt.post.ts',
    body: { bookId: 'nothing' },
    expected: [S, D, D, H, H, H, H],
  },
  {
    route: 'POST /api/plans/PLAN/lay',
    file: 'plans/[planId]/lay.post.ts',
    body: { classIds: ['CLASS'] },
    expected: [S, H, H, I, H, H, D],
  },
  {
    route: 'POST /api/years',
    file: 'years.post.ts',
    body: {
      name: 'N',
      zone: 'Nowhere/At/All',
      firstOn: '2026-08-24',
      lastOn: '2027-06-11',
      weekdays: [1],
      terms: [],
      notes: [],
      rotation: null,
    },
    expected: [S, D, D, I, I, D, I],
  },
  {
    route: 'POST /api/classes',
    file: 'classes.post.ts',
    body: { yearId: 'YEAR', name: 'N', shortName: 'N', course: 'C', pattern: [] },
    expected: [S, D, D, I, H, I, I],
  },
  {
    route: 'GET /api/classes/CLASS',
    file: 'classes/[classId]/index.get.ts',
    expected: [S, H, H, I, H, H, I],
  },
  {
    route: 'POST /api/classes/CLASS/read-roster',
    file: 'classes/[classId]/read-roster.post.ts',
    body: { text: 'A B' },
    expected: [S, H, H, I, H, H, D],
  },
  {
    route: 'POST /api/classes/CLASS/roster',
    file: 'classes/[classId]/roster.post.ts',
    body: { text: ',\nx,y z', skipBad: false },
    expected: [S, H, H, I, H, H, D],
  },
  {
    route: 'GET /api/holidays?firstOn=2026-08-24&lastOn=2027-06-11',
    file: 'holidays.get.ts',
    expected: [S, D, D, I, I, I, I],
  },
  {
    route: 'POST /api/classes/CLASS/groups',
    file: 'classes/[classId]/groups.post.ts',
    body: { groupId: null, name: 'G', learnerIds: ['nobody'] },
    expected: [S, H, H, I, H, H, D],
  },
  {
    route: 'POST /api/classes/CLASS/members',
    file: 'classes/[classId]/members.post.ts',
    body: { groupId: 'nogroup', learnerId: 'nobody', isIn: true },
    expected: [S, H, H, I, H, H, D],
  },
  {
    route: 'POST /api/classes/CLASS/accommodation',
    file: 'classes/[classId]/accommodation.post.ts',
    body: { learnerId: 'nobody', timeFactor: 1, extraAttempts: 0, extraDays: 0 },
    expected: [S, H, H, I, H, H, D],
  },
  { route: 'GET /api/desk', file: 'desk/index.get.ts', expected: [S, D, D, I, I, I, I] },
  {
    route: 'POST /api/desk/command',
    file: 'desk/command.post.ts',
    body: { kind: 'length', classId: 'CLASS', lessonId: 'nothing', from: null, to: 2 },
    expected: [S, H, H, I, H, H, D],
  },
  {
    route: 'POST /api/desk/command',
    file: 'desk/command.post.ts',
    body: { kind: 'pattern', classId: 'CLASS', from: [], to: [] },
    expected: [S, H, H, I, H, H, D],
  },
  {
    route: 'POST /api/desk/command',
    file: 'desk/command.post.ts',
    body: { kind: 'year', yearId: 'YEAR', from: ANY_YEAR, to: ANY_YEAR },
    expected: [S, D, D, I, H, D, I],
  },
  { route: 'POST /api/desk/redo', file: 'desk/redo.post.ts', body: {}, expected: [S, D, D, I, I, I, I] },
  { route: 'POST /api/desk/undo', file: 'desk/undo.post.ts', body: {}, expected: [S, D, D, I, I, I, I] },
  { route: 'GET /api/recipients', file: 'recipients.get.ts', expected: [S, D, D, I, I, I, I] },
  { route: 'GET /api/work', file: 'work/index.get.ts', expected: [S, D, D, I, I, I, I] },
  {
    route: 'POST /api/work',
    file: 'work/index.post.ts',
    body: { publish: false, draft: 'DRAFT' },
    expected: [S, D, D, I, D, D, D],
  },
  {
    route: 'POST /api/work/preview',
    file: 'work/preview.post.ts',
    body: 'DRAFT',
    expected: [S, D, D, I, D, D, D],
  },
  { route: 'GET /api/work/WORK', file: 'work/[assignmentId]/index.get.ts', expected: [S, H, H, I, H, I, H] },
  {
    route: 'POST /api/work/WORK',
    file: 'work/[assignmentId]/index.post.ts',
    body: { version: 99, draft: 'DRAFT', publish: false },
    expected: [S, H, H, I, H, I, H],
  },
  {
    route: 'POST /api/work/WORK/publish',
    file: 'work/[assignmentId]/publish.post.ts',
    body: { version: 99 },
    expected: [S, H, H, I, H, I, H],
  },
  {
    route: 'POST /api/work/WORK/withdraw',
    file: 'work/[assignmentId]/withdraw.post.ts',
    body: { version: 99 },
    expected: [S, H, H, I, H, I, H],
  },
  { route: 'GET /api/evidence/CLASS', file: 'evidence/[classId].get.ts', expected: [S, H, H, I, H, H, I] },
  {
    route: 'GET /api/evidence/items/WORK',
    file: 'evidence/items/[assignmentId].get.ts',
    expected: [S, H, H, I, H, I, H],
  },
  // unknown, and last of all those that end something
  { route: 'GET /api/nothing/here', file: '[...].ts', expected: [H, H, H, H, H, H, H] },
  {
    route: 'POST /api/tries/TRY/hand-in',
    file: 'tries/[attemptId]/hand-in.post.ts',
    body: { saves: [] },
    expected: [S, I, H, H, H, H, H],
  },
  { route: 'POST /api/sign-out', file: 'sign-out.post.ts', body: {}, expected: [I, I, I, I, I, I, I] },
]

let server: Running
let agents: Record<Who, Agent>
const known: Record<string, string> = {}

beforeAll(async () => {
  server = await aServer('demo')
  const other = new Agent(server)
  await other.raw('POST', '/api/sign-up', {
    school: 'Elsewhere',
    name: 'Olga',
    signIn: 'olga',
    password: 'long enough',
  })
  agents = {
    nobody: new Agent(server),
    learner: await signedIn(server, 'noa'),
    'other learner': await signedIn(server, 'saoirse'),
    teacher: await signedIn(server, 'imani'),
    'other teacher': other,
    colleague: await signedIn(server, 'tomasz'),
    lead: await signedIn(server, 'ruth'),
  }
  const { teacher, learner } = agents
  const overview = (await teacher.call(ShowOverview)).value
  const room = overview?.classes.find((c) => c.name === 'Science 8 A')
  const work = (await teacher.call(ListWork)).value?.work.find(
    (w) => w.title === 'Check: transverse and longitudinal',
  )
  const mine = (await learner.call(ListMyWork)).value?.work.find((w) => w.id === work?.id)
  Object.assign(known, {
    CLASS: room?.id,
    YEAR: room?.yearId,
    PLAN: room?.planId,
    WORK: mine?.id,
    PIECE: (await teacher.call(ShowShelf)).value?.pieces[0]?.id,
  })
  known.TRY = JSON.parse((await learner.raw('POST', `/api/my-work/${known.WORK}/start`, {})).text).attemptId
  expect((await teacher.call(ShowClass, { params: { classId: room?.id as never } })).ok).toBe(true)
})

const draft = () => ({
  resourceId: known.PIECE,
  title: 'T',
  note: '',
  window: { listed: null, opens: null, due: null, closes: null, putAway: null },
  rules: {
    maxAttempts: 1,
    kept: 'best',
    waitMinutes: 0,
    timeLimitMinutes: null,
    order: 'as-written',
    feedback: 'never',
    answers: 'never',
    late: null,
  },
  targets: [{ target: { kind: 'class', classId: known.CLASS }, overrides: {} }],
  exceptIds: [],
})
const filled = (body: unknown) =>
  body === undefined
    ? undefined
    : JSON.parse(
        JSON.stringify(body)
          .replace(/"DRAFT"/g, () => JSON.stringify(draft()))
          .replace(/CLASS|YEAR/g, (word) => known[word] ?? word),
      )

describe('who may use which route', () => {
  it.each(TABLE)('$route', async ({ route, body, expected }) => {
    const [method = '', path = ''] = route.split(' ')
    const got: Outcome[] = []
    for (const who of WHO) {
      const { status, text } = await agents[who].raw(
        method,
        path.replace(/WORK|TRY|CLASS|PLAN|PIECE|YEAR/g, (word) => known[word] ?? word),
        filled(body),
      )
      expect(status).not.toBe(500)
      got.push(outcome(status, text))
    }
    expect(Object.fromEntries(WHO.map((who, i) => [who, got[i]]))).toEqual(
      Object.fromEntries(WHO.map((who, i) => [who, expected[i]])),
    )
  })

  it('leaves no route out', () => {
    const folder = fileURLToPath(new URL('../../server/api', import.meta.url))
    const files = readdirSync(folder, { recursive: true, withFileTypes: true })
      .filter((f) => f.isFile())
      .map((f) => `${f.parentPath}/${f.name}`.slice(folder.length + 1))
    expect([...new Set(TABLE.map((r) => r.file))].sort()).toEqual(files.sort())
  })
})
