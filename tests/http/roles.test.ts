import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { ClassId } from '#core/base'
import { isFor } from '#core/access'
import type { Actor } from '#core/access'
import { LATER_RULES } from '#core/attempts'
import { DEFAULT_THRESHOLDS, DEFAULT_TRAILS, EMPTY_LAYER } from '#core/versions'
import { ListMyWork } from '#shared/contracts/myWork'
import { ShowDesk } from '#shared/contracts/pacing'
import { ShowOverview, ShowClass } from '#shared/contracts/teaching'
import { ListPresets, ListWork, ShowWork } from '#shared/contracts/work'
import { ShowShelf } from '#shared/contracts/library'
import { ShowSeries } from '#shared/contracts/series'
import { PIECES } from '../../demo/content'
import { fileState } from '../support/fileState'
import { CONTRACTS } from '../support/contracts'
import { A_PICTURE } from '../support/keptFiles'
import { PLAIN_PIECE, PLAIN_WORK } from '../support/made'
import { withMoreTeachers } from '../support/moreTeachers'
import { Agent, aServer, signedIn } from '../support/server'
import type { Running } from '../support/server'
import { WHY_NOT_WRITTEN } from './whyNotWritten'

const WHO = [
  'nobody',
  'learner',
  'other learner',
  'teacher',
  'co-teacher',
  'colleague',
  'lead',
  'office',
  'other school',
] as const
type Who = (typeof WHO)[number]
type Outcome = 'in' | 'signed-out' | 'denied' | 'hidden'

/**
 * What a request gets: let in (whatever the act then says), told to sign in, denied, or told there is
 * nothing.
 */
function outcome(status: number, text: string): Outcome {
  const code = (/"code":"([^"]+)"/.exec(text) ?? [])[1] ?? ''
  if (code === 'access/not-signed-in') return 'signed-out'
  if (code === 'access/denied') return 'denied'
  const hidden = ['access/not-found', 'wire/unknown-address', 'audience/unknown-target']
  return hidden.includes(code) ? 'hidden' : 'in'
}

interface Row {
  readonly route: string
  readonly body?: unknown
  /** What a reply shows to those who are let in. */
  readonly shows?: string
  /** The table in which the act of those who are let in can be seen; without it, nothing changes for anybody. */
  readonly changes?: string
  /** Of those let in, who has something to change; all, when it is left out. */
  readonly by?: readonly Who[]
  /** Of those let in, whose reply is about class 8 A; the others learn nothing of it. */
  readonly only?: readonly Who[]
  readonly expected: readonly Outcome[]
}
/** The contract of a request, by its method and address; undefined where there is no such address. */
function contractOf(route: string) {
  const [method, path = ''] = route.split(' ')
  const parts = path.replace(/\?.*/, '').split('/')
  const found = CONTRACTS.filter((c) => {
    const wanted = c.path.split('/')
    return (
      c.method === method &&
      wanted.length === parts.length &&
      wanted.every((w, i) => w.startsWith(':') || w === parts[i])
    )
  })
  // an address that is spelt out goes before one with a part that varies
  const [contract] = found.sort((a, b) => a.path.split(':').length - b.path.split(':').length)
  return contract
}
const S = 'signed-out',
  D = 'denied',
  H = 'hidden',
  I = 'in'
/**
 * Class 8 A is the teacher's and the co-teacher's; the colleague teaches 8 B; the office teaches nobody; the learner
 * is Noa of 8 A, the other Saoirse of 7 D.
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
const { id: _, ...ANY_YEAR_BODY } = ANY_YEAR
const AN_OWN_PIECE = {
  title: 'Own',
  code: 'ownone',
  kind: 'reading',
  role: 'core',
  minutes: 5,
  grade: 8,
  ...PLAIN_PIECE,
  content: 'Read this.',
  items: [],
}
const TABLE: readonly Row[] = [
  // open to everyone
  { route: 'GET /api/demo-people', expected: [I, I, I, I, I, I, I, I, I] },
  { route: 'POST /api/sign-in', body: {}, expected: [I, I, I, I, I, I, I, I, I] },
  { route: 'POST /api/sign-up', body: {}, expected: [I, I, I, I, I, I, I, I, I] },
  { route: 'POST /api/join', body: {}, expected: [I, I, I, I, I, I, I, I, I] },
  // anyone signed in
  { route: 'GET /api/me', expected: [S, I, I, I, I, I, I, I, I] },
  // learners
  {
    route: 'POST /api/join-another',
    body: { code: 'nothing' },
    expected: [S, I, I, D, D, D, D, D, D],
  },
  { route: 'GET /api/entry', shows: 'open', expected: [I, I, I, I, I, I, I, I, I] },
  { route: 'GET /api/health', shows: 'ready', expected: [I, I, I, I, I, I, I, I, I] },
  { route: 'GET /api/metrics', expected: [H, H, H, H, H, H, H, H, H] },
  {
    route: 'POST /api/me/password',
    body: { current: 'not mine', next: 'long enough' },
    expected: [S, I, I, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/me/end-sessions',
    expected: [S, I, I, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/classes/CLASS/joining',
    body: { act: 'close', seen: { joinCode: 'x', joinOpen: true } },
    changes: 'classes',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/reset-password',
    body: { learnerId: 'LEARNER' },
    changes: 'users',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/remove-learner',
    body: { learnerId: 'LEARNER' },
    changes: 'enrolments',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/take-away',
    body: { kind: 'class', id: 'CLASS' },
    changes: 'classes',
    expected: [S, D, D, I, D, H, D, H, H],
  },
  {
    route: 'POST /api/take-away',
    body: { kind: 'year', id: 'YEAR' },
    changes: 'years',
    expected: [S, D, D, I, D, D, I, I, H],
  },
  {
    route: 'POST /api/take-away',
    body: { kind: 'plan', id: 'PLAN' },
    changes: 'plans',
    expected: [S, D, D, I, D, D, D, D, H],
  },
  {
    route: 'POST /api/bring-back',
    body: { kind: 'class', id: 'CLASS' },
    expected: [S, D, D, I, D, H, D, H, H],
  },
  {
    route: 'GET /api/my-work',
    only: ['learner'],
    expected: [S, I, I, D, D, D, D, D, D],
  },
  {
    route: 'GET /api/my-work/WORK',
    shows: 'WORK',
    expected: [S, I, H, D, D, D, D, D, D],
  },
  {
    route: 'POST /api/my-work/WORK/files',
    body: { pieceId: 'p1', name: 'dot.png', base64: A_PICTURE },
    expected: [S, H, H, D, D, D, D, D, D],
  },
  {
    route: 'POST /api/my-work/WORK/files/none/take-back',
    body: { pieceId: 'p1' },
    expected: [S, H, H, D, D, D, D, D, D],
  },
  {
    route: 'POST /api/files',
    body: { name: 'dot.png', base64: A_PICTURE },
    changes: 'kept_files',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/files/none',
    expected: [S, H, H, H, H, H, H, H, H],
  },
  {
    route: 'POST /api/my-work/WORK/start',
    body: { pieceId: 'p1' },
    shows: 'TRY',
    expected: [S, I, H, D, D, D, D, D, D],
  },
  {
    route: 'POST /api/tries/TRY/answers',
    body: { saves: [] },
    expected: [S, I, H, D, D, D, D, D, D],
  },
  {
    // its rules show nothing item by item
    route: 'POST /api/tries/TRY/fix',
    body: { itemId: 'q1', saves: [] },
    expected: [S, I, H, D, D, D, D, D, D],
  },
  // teachers
  {
    route: 'GET /api/overview',
    only: ['teacher', 'co-teacher', 'lead'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  { route: 'GET /api/shelf', expected: [S, D, D, I, I, I, I, I, I] },
  {
    route: 'POST /api/shelf/search',
    body: { text: 'wave', filter: {}, order: 'fit' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/resources/PIECE',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/resources',
    body: {
      title: 'T',
      code: 'x',
      kind: 'check',
      role: 'core',
      minutes: 5,
      grade: 8,
      ...PLAIN_PIECE,
      items: [],
    },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/resources/OWN',
    body: { ...AN_OWN_PIECE, title: 'Changed', revision: 1 },
    changes: 'resources',
    expected: [S, D, D, I, H, H, H, H, H],
  },
  {
    route: 'POST /api/work/WORK/give',
    body: { learnerIds: ['LEARNER'], more: { kind: 'try', pieceId: 'p1' } },
    changes: 'assignment_targets',
    expected: [S, D, D, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/read-closures',
    body: { text: 'x', firstOn: '2026-08-24', lastOn: '2027-06-11', zone: 'America/Denver' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/read-outline',
    body: { text: 'a,b,1' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/plans/read-table',
    body: { text: 'Number,Title\na,b' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/plans/PLAN',
    shows: 'PLAN',
    expected: [S, D, D, I, I, I, I, I, H],
  },
  {
    route: 'GET /api/plans/PLAN/file',
    shows: 'Number',
    expected: [S, D, D, I, I, I, I, I, H],
  },
  {
    route: 'POST /api/plans/PLAN/copy',
    body: {},
    changes: 'plans',
    expected: [S, D, D, I, I, I, I, I, H],
  },
  { route: 'GET /api/desk/history', expected: [S, D, D, I, I, I, I, I, I] },
  {
    route: 'POST /api/desk/ripple',
    body: { kind: 'length', classId: 'CLASS', lessonId: 'LESSON', from: null, to: 5 },
    shows: '"ways"',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/feed',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/feed',
    body: { to: 'new' },
    changes: 'feeds',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/file?kind=calendar',
    shows: 'BEGIN:VCALENDAR',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/feeds/0123456789012345678901',
    expected: [H, H, H, H, H, H, H, H, H],
  },
  {
    route: 'POST /api/plans',
    body: { title: 'T', course: 'C', text: 'Waves,Pulse,1' },
    changes: 'plans',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/plans/adopt',
    body: { bookId: 'BOOK' },
    changes: 'plans',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/plans/PLAN/lay',
    body: { classIds: ['CLASS'], seen: ['PLAN'] },
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/years',
    body: { ...ANY_YEAR_BODY },
    changes: 'years',
    expected: [S, D, D, I, D, D, I, I, I],
  },
  {
    route: 'POST /api/classes',
    body: {
      yearId: 'YEAR',
      name: 'N',
      shortName: 'N',
      course: 'C',
      pattern: [{ day: { weekday: 1 }, startMinute: 540, minutes: 50 }],
    },
    changes: 'classes',
    expected: [S, D, D, I, I, I, I, I, H],
  },
  {
    route: 'GET /api/classes/CLASS',
    shows: 'Science 8 A',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/read-roster',
    body: { text: 'A B' },
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/roster',
    body: { text: 'Zoe Zed', skipBad: false },
    changes: 'enrolments',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/holidays?firstOn=2026-08-24&lastOn=2027-06-11',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/classes/CLASS/groups',
    body: { groupId: null, name: 'G', learnerIds: ['LEARNER'], rule: null, seen: null },
    changes: 'groups',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/split',
    body: { groups: [{ name: 'G', learnerIds: ['LEARNER'] }] },
    changes: 'groups',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/members',
    body: { groupId: 'GROUP', learnerId: 'LEARNER', isIn: false },
    changes: 'group_members',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/grades',
    body: { learnerIds: ['LEARNER'], grade: 9, seen: [8] },
    changes: 'users',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/accommodation',
    body: {
      learnerId: 'LEARNER',
      timeFactor: 2,
      extraAttempts: 1,
      extraDays: 0,
      seen: { timeFactor: 1, extraAttempts: 0, extraDays: 0, grade: 8, startsOn: '2026-08-24' },
    },
    changes: 'users',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/desk',
    only: ['teacher', 'co-teacher', 'lead'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/desk/command',
    body: { kind: 'length', classId: 'CLASS', lessonId: 'LESSON', from: null, to: 5 },
    changes: 'journal',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/desk/command',
    body: { kind: 'pattern', classId: 'CLASS', from: [], to: [] },
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/desk/command',
    body: { kind: 'year', yearId: 'YEAR', from: ANY_YEAR, to: ANY_YEAR },
    expected: [S, D, D, I, D, D, I, I, H],
  },
  {
    route: 'POST /api/desk/redo',
    body: {},
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/desk/pass-over',
    body: {},
    changes: 'journal',
    by: ['teacher'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/desk/undo',
    body: {},
    changes: 'journal',
    by: ['teacher'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/recipients/standing',
    body: { resourceIds: ['PIECE'], category: '' },
    shows: '"learners"',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/recipients',
    only: ['teacher', 'co-teacher'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  { route: 'GET /api/work', expected: [S, D, D, I, I, I, I, I, I] },
  {
    route: 'POST /api/work',
    body: { publish: false, draft: 'DRAFT' },
    changes: 'assignments',
    expected: [S, D, D, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/work/preview',
    body: { assignmentId: null, draft: 'DRAFT' },
    shows: '"who"',
    expected: [S, D, D, I, I, H, H, H, H],
  },
  {
    route: 'GET /api/work/WORK',
    shows: 'WORK',
    expected: [S, D, D, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/work/WORK',
    body: { version: 99, draft: 'DRAFT', publish: false },
    expected: [S, D, D, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/work/WORK/publish',
    body: { version: 'VERSION' },
    changes: 'assignments',
    expected: [S, D, D, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/work/WORK/regrade-preview',
    body: { version: 'VERSION', pieceId: 'p1', itemId: 'ITEM', mending: { kind: 'credit' } },
    expected: [S, D, D, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/work/WORK/regrade',
    body: { version: 'VERSION', pieceId: 'p1', itemId: 'ITEM', mending: { kind: 'credit' } },
    changes: 'assignments',
    by: ['teacher'],
    expected: [S, D, D, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/work/WORK/withdraw',
    body: { version: 'VERSION' },
    changes: 'assignments',
    expected: [S, D, D, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/work-at-once',
    body: { works: [{ assignmentId: 'WORK', version: 'VERSION' }], act: { kind: 'withdraw' } },
    changes: 'assignments',
    expected: [S, D, D, I, I, I, H, H, H],
  },
  {
    route: 'GET /api/presets',
    shows: '"presets"',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/presets',
    body: { name: 'N', classId: 'CLASS', kind: null, rules: 'RULES' },
    changes: 'presets',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/presets/PRESET/drop',
    body: {},
    changes: 'presets',
    expected: [S, D, D, I, H, H, H, H, H],
  },
  {
    route: 'GET /api/my-notices',
    expected: [S, I, I, D, D, D, D, D, D],
  },
  {
    route: 'POST /api/my-notices',
    body: {},
    changes: 'notices',
    by: ['learner', 'other learner'],
    expected: [S, I, I, D, D, D, D, D, D],
  },
  {
    route: 'GET /api/outbox',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/evidence/CLASS',
    shows: 'LEARNER',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/lens/LEARNER',
    shows: '"notThere"',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/lens/LEARNER/WORK',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/evidence/items/WORK',
    expected: [S, D, D, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/shelf/read-file',
    body: { name: 'r.md', base64: 'SGk=' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    // the demo's schools have them
    route: 'POST /api/shelf/samples',
    body: {},
    expected: [S, D, D, H, H, H, H, H, H],
  },
  {
    route: 'POST /api/shelf/imports',
    body: { name: 'r.md', base64: 'SGk=' },
    changes: 'shelf_imports',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/shelf/imports',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/shelf/imports/none/take-back',
    body: {},
    expected: [S, D, D, H, H, H, H, H, H],
  },
  {
    route: 'GET /api/resources/PIECE/file?as=csv',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  { route: 'GET /api/frameworks', expected: [S, D, D, I, I, I, I, I, I] },
  {
    route: 'GET /api/frameworks/framework-th/file',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/books/book-waves/file',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  { route: 'GET /api/tray', expected: [S, D, D, I, I, I, I, I, I] },
  {
    route: 'POST /api/tray',
    body: { kind: 'limit', minutes: 90 },
    changes: 'trays',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/shelf/codes',
    body: { text: 'wav203' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/shelf/draw-check',
    body: { standards: ['TH.8.W.1'], perStandard: 2, mix: null, seed: '1' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/standards/TH.8.W.1',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/classes/CLASS/shelf',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/shelf',
    body: { shelf: { bookIds: [], filter: { grade: ['8'] } }, seen: { bookIds: [], filter: {} } },
    changes: 'class_shelves',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/routes',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  { route: 'GET /api/standards-grades', expected: [S, D, D, I, I, I, I, I, I] },
  { route: 'GET /api/lately', expected: [S, D, D, I, I, I, I, I, I] },
  { route: 'GET /api/shelf-now', expected: [S, D, D, I, I, I, I, I, I] },
  {
    route: 'GET /api/classes/CLASS/practised',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/standards',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/follow-up/WORK/p1',
    expected: [S, D, D, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/routes',
    body: { bookId: 'book-heat', isOpen: true },
    changes: 'practice_routes',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/resources/PIECE/guide',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/guide',
    body: { from: { kind: 'standard', code: 'TH.8.W.1' }, to: 'PIECE', isOn: true },
    changes: 'guide_pointers',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/resources/PIECE/copy',
    body: {},
    changes: 'resources',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/resources/OWN/share',
    body: { isShared: true },
    changes: 'resources',
    by: ['teacher'],
    expected: [S, D, D, I, H, H, H, H, H],
  },
  {
    route: 'GET /api/resources/PIECE/versions',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/resources/PIECE/versions/bare',
    body: { version: 0, layer: EMPTY_LAYER },
    changes: 'layers',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/resources/PIECE/versions/guided/drop',
    body: { version: 7 },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/classes/CLASS/trails',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/trails',
    body: { usual: 'marked', seenUsual: 'bare', learners: [] },
    changes: 'class_trails',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/trails',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/trails',
    body: { trails: DEFAULT_TRAILS, thresholds: DEFAULT_THRESHOLDS, version: 0 },
    changes: 'trail_settings',
    expected: [S, D, D, I, D, D, I, I, I],
  },
  {
    route: 'POST /api/resources/PIECE/drop',
    body: {},
    expected: [S, D, D, D, D, D, D, D, D],
  },
  {
    route: 'GET /api/resources/PIECE/difference/1',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  { route: 'GET /api/practice', expected: [S, I, I, D, D, D, D, D, D] },
  {
    route: 'GET /api/my-pieces/PIECE',
    expected: [S, I, I, D, D, D, D, D, D],
  },
  {
    route: 'GET /api/practice/PIECE',
    expected: [S, I, H, D, D, D, D, D, D],
  },
  {
    route: 'POST /api/practice/PIECE',
    body: { answers: [] },
    changes: 'practice_done',
    by: ['learner'],
    expected: [S, I, H, D, D, D, D, D, D],
  },
  {
    route: 'GET /api/evidence/to-score/WORK?classId=CLASS&pieceId=p1',
    expected: [S, D, D, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/tries/TRY/draft-score',
    body: { itemId: 'x', levels: [1], comment: '', again: false, version: 0 },
    expected: [S, D, D, H, H, H, D, H, H],
  },
  {
    route: 'POST /api/evidence/release/WORK',
    body: { classId: 'CLASS', pieceId: 'p1', seen: [] },
    expected: [S, D, D, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/evidence/texts/WORK',
    body: { classId: 'CLASS', pieceId: 'p1', texts: [{ learnerId: 'none', text: 'x' }] },
    expected: [S, D, D, H, H, H, H, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/load?spread=window',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/load/none?spread=due',
    expected: [S, D, D, H, H, H, H, H, H],
  },
  {
    route: 'POST /api/comments',
    body: { text: 'Go on.' },
    changes: 'kept_comments',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/comments/none/forget',
    body: {},
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/week',
    // a week is of one's own classes
    only: ['teacher', 'co-teacher'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/week-needs?mondayOn=2026-10-19',
    only: ['teacher', 'co-teacher'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/classes/CLASS/series',
    shows: 'CLASS',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'POST /api/series',
    body: { series: 'SERIES' },
    changes: 'series',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/series/RUN',
    body: { version: 1, series: 'SERIES' },
    expected: [S, D, D, I, H, H, D, H, H],
  },
  {
    route: 'POST /api/series/RUN/release',
    body: { version: 1 },
    expected: [S, D, D, I, H, H, D, H, H],
  },
  {
    route: 'POST /api/series/RUN/clear',
    body: { version: 1 },
    expected: [S, D, D, I, H, H, D, H, H],
  },
  {
    route: 'POST /api/series/RUN/remove',
    body: { version: 1 },
    expected: [S, D, D, I, H, H, D, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/heavy-weeks',
    shows: 'weeks',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/filing',
    shows: 'CLASS',
    expected: [S, D, D, I, I, H, I, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/filing',
    body: { version: 1, filing: { headings: ['H'], categories: [] }, renamed: [] },
    changes: 'class_filing',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/plans/PLAN/standing',
    shows: 'PLAN',
    expected: [S, D, D, I, I, I, I, I, H],
  },
  {
    route: 'POST /api/plans/PLAN/standing',
    body: { pieces: ['STANDING'] },
    changes: 'standing',
    expected: [S, D, D, I, D, D, D, D, H],
  },
  {
    route: 'POST /api/plans/PLAN/standing/none',
    body: { version: 1, piece: null },
    expected: [S, D, D, H, D, D, D, D, H],
  },
  {
    route: 'POST /api/placing',
    body: { targets: [{ kind: 'class', classId: 'CLASS' }], from: '2026-10-19', through: '2026-10-30' },
    shows: 'CLASS',
    expected: [S, D, D, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/placing/lay',
    body: {
      targets: [{ kind: 'class', classId: 'CLASS' }],
      pieces: [{ resourceId: 'PIECE', on: '2026-10-22' }],
      stays: 1,
    },
    changes: 'assignments',
    expected: [S, D, D, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/placing/move',
    body: {
      assignmentId: 'WORK',
      version: 'VERSION',
      target: { kind: 'class', classId: 'CLASS' },
      on: '2026-10-22',
      alone: false,
    },
    expected: [S, D, D, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/placing/take',
    body: { assignmentId: 'WORK', version: 'VERSION', target: null },
    changes: 'assignments',
    expected: [S, D, D, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/plans/PLAN/lay-work-preview',
    body: { classIds: ['CLASS'] },
    shows: 'CLASS',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/plans/PLAN/lay-work',
    body: { classes: [{ classId: 'CLASS', standingIds: ['none'] }], publish: false },
    expected: [S, D, D, H, H, H, D, H, H],
  },
  {
    route: 'POST /api/plans/PLAN/offers',
    body: { classId: 'CLASS', standingIds: ['none'], take: true },
    expected: [S, D, D, H, H, H, D, H, H],
  },
  // unknown, and last of all those that end something
  { route: 'GET /api/nothing/here', expected: [H, H, H, H, H, H, H, H, H] },
  {
    route: 'POST /api/tries/TRY/hand-in',
    body: { saves: [] },
    changes: 'attempts',
    expected: [S, I, H, D, D, D, D, D, D],
  },
  { route: 'POST /api/sign-out', body: {}, expected: [I, I, I, I, I, I, I, I, I] },
]

let server: Running
/** The demo's own people, whom its sign-in page names. */
const OPEN = ['GET /api/demo-people']
let unseen: Record<Who, readonly string[]>
let state: Awaited<ReturnType<typeof fileState>>
let agents: Record<Who, Agent>
const known: Record<string, string> = {}
/** What nobody may learn who is not let in: of the class, and of its plan. */
const secrets: string[] = []
const ofPlan: string[] = []

beforeAll(async () => {
  const file = await withMoreTeachers()
  server = await aServer({ file })
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
    'co-teacher': await signedIn(server, 'cora'),
    colleague: await signedIn(server, 'tomasz'),
    lead: await signedIn(server, 'ruth'),
    office: await signedIn(server, 'oskar'),
    'other school': other,
  }
  const { teacher, learner } = agents
  const overview = (await teacher.call(ShowOverview)).value
  const room = overview?.classes.find((c) => c.name === 'Science 8 A')
  const work = (await teacher.call(ListWork)).value?.work.find(
    (w) => w.title === 'Check: transverse and longitudinal',
  )
  const mine = (await learner.call(ListMyWork)).value?.work.find((w) => w.id === work?.id)
  const page = (await teacher.call(ShowClass, { params: { classId: room?.id as never } })).value
  const desk = (await teacher.call(ShowDesk)).value
  const plan = desk?.plans.find((p) => p.id === room?.planId)
  const set = (await teacher.call(ShowWork, { params: { assignmentId: mine?.id as never } })).value
  const own = await teacher.raw('POST', '/api/resources', AN_OWN_PIECE)
  Object.assign(known, {
    OWN: JSON.parse(own.text).resourceId,
    CLASS: room?.id,
    YEAR: room?.yearId,
    PLAN: room?.planId,
    WORK: mine?.id,
    ITEM: PIECES.find((p) => p.resource.id === set?.draft.pieces[0]?.resourceId)?.resource.items[0]?.id,
    PIECE: (await teacher.call(ShowShelf)).value?.pieces.find((p) => !p.own)?.id,
    BOOK: (await teacher.call(ShowShelf)).value?.books[0]?.id,
    GROUP: page?.groups[0]?.id,
    LEARNER: page?.learners[0]?.id,
    LESSON: plan?.lessons.at(-1)?.id,
    VERSION: String(set?.version),
    PRESET: (await teacher.call(ListPresets)).value?.presets[0]?.id,
    RUN: await aRun(teacher),
  })
  known.TRY = JSON.parse(
    (await learner.raw('POST', `/api/my-work/${known.WORK}/start`, { pieceId: 'p1' })).text,
  ).attemptId
  secrets.push(...(page?.learners.map((l) => l.name) ?? []), page?.joinCode ?? '-', room?.name ?? '-')
  ofPlan.push(...(plan?.lessons.map((l) => l.title).filter((t) => t.length > 12) ?? []))
  // whatever is overdue is ended now, so that a look changes nothing later
  for (const who of [learner, agents['other learner']]) await who.call(ListMyWork)
  unseen = await unseenBy()
  state = await fileState(server.file)
})
afterAll(() => state.close())

/** A series of 8 C, which the teacher alone runs. */
async function aRun(teacher: Agent): Promise<string | undefined> {
  const rooms = (await teacher.call(ShowOverview)).value?.classes ?? []
  const classId = rooms.find((c) => c.name === 'Science 8 C')?.id
  return (await teacher.call(ShowSeries, { params: { classId: classId as ClassId } })).value?.series[0]?.id
}

const draft = () => ({
  pieces: [
    {
      id: 'p1',
      resourceId: known.PIECE,
      revision: 1,
      when: 'in',
      handIn: 'alone',
      leastMinutes: 0,
      window: {},
      rules: {},
    },
  ],
  title: 'T',
  note: '',
  ...PLAIN_WORK,
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
    ...LATER_RULES,
  },
  targets: [{ target: { kind: 'class', classId: known.CLASS }, overrides: {} }],
  exceptIds: [],
})
const series = () => ({
  title: 'S',
  classId: known.CLASS,
  rule: { kind: 'explicit' },
  rows: [],
  targets: draft().targets.map((t) => t.target),
  rules: draft().rules,
})
const standing = () => {
  const { targets: _targets, exceptIds: _except, newcomers: _new, teams: _teams, ...rest } = draft()
  const { overCeiling: _over, ...setting } = rest
  return { ...setting, lessonId: known.LESSON }
}
const NAMES = /ITEM|OWN|RUN|PRESET|CLASS|YEAR|WORK|TRY|PLAN|PIECE|BOOK|GROUP|LEARNER|LESSON/g
const filled = (body: unknown) =>
  body === undefined
    ? undefined
    : JSON.parse(
        JSON.stringify(body)
          .replace(/"DRAFT"/g, () => JSON.stringify(draft()))
          .replace(/"RULES"/g, () => JSON.stringify(draft().rules))
          .replace(/"SERIES"/g, () => JSON.stringify(series()))
          .replace(/"STANDING"/g, () => JSON.stringify(standing()))
          .replace(/"VERSION"/g, () => known.VERSION ?? '0')
          .replace(NAMES, (word) => known[word] ?? word),
      )

/** A reply of somebody who is not let in: a code, what it is about, and nothing else. */
function saysNothing(text: string): void {
  const { error } = JSON.parse(text) as { readonly error: Readonly<Record<string, unknown>> }
  expect(Object.keys(JSON.parse(text) as object)).toEqual(['error'])
  expect(Object.keys(error).filter((k) => !['code', 'what', 'field', 'id'].includes(k))).toEqual([])
  for (const secret of [...secrets, ...ofPlan]) expect(text).not.toContain(secret)
}

/**
 * Names of learners, joining codes, and classes that somebody may see nothing of, whatever they are let in to: all of
 * the school's but those of their own classes, and their own.
 */
async function unseenBy(): Promise<Record<Who, readonly string[]>> {
  const rooms = (await agents.lead.call(ShowOverview)).value?.classes ?? []
  const pages = await Promise.all(
    rooms.map(async (c) => (await agents.lead.call(ShowClass, { params: { classId: c.id } })).value),
  )
  const markedOf = (only: (name: string) => boolean) =>
    pages.flatMap((page) =>
      page && only(page.name) ? [page.joinCode, ...page.learners.flatMap(({ id, name }) => [id, name])] : [],
    )
  const all = markedOf(() => true)
  const but = (own: readonly string[]) => [...new Set(all)].filter((word) => !own.includes(word))
  const ownOf = (learner: string) =>
    pages.flatMap((p) => p?.learners ?? []).flatMap(({ id, name }) => (name === learner ? [id, name] : []))
  const taught = async (who: Who) => {
    const mine = (await agents[who].call(ShowOverview)).value?.classes.filter((c) => c.mine) ?? []
    return markedOf((name) => mine.some((c) => c.name === name))
  }
  return {
    nobody: all,
    learner: but(ownOf('Noa Castellanos')),
    'other learner': but(ownOf('Saoirse Mbeki')),
    teacher: but(await taught('teacher')),
    'co-teacher': but(await taught('co-teacher')),
    colleague: but(await taught('colleague')),
    lead: [],
    office: all,
    'other school': all,
  }
}

describe('who may use which route', () => {
  it.each(TABLE)('$route', async ({ route, body, expected, shows, changes, by, only }) => {
    const [method = '', path = ''] = route.split(' ')
    const got: Outcome[] = []
    for (const who of WHO) {
      const sent = body === undefined && method === 'POST' ? {} : filled(body)
      const asked = path.replace(NAMES, (word) => known[word] ?? word)
      const { status, text } = await agents[who].raw(method, asked, sent)
      const came = outcome(status, text)
      got.push(came)
      expect(status, `${who}: ${text}`).not.toBe(500)
      const touched = await state.changed()
      if (came !== 'in') {
        expect(touched, who).toEqual([])
        saysNothing(text)
        continue
      }
      // what somebody sends themselves comes back to them
      const marked = unseen[who].filter((word) => !JSON.stringify(sent ?? '').includes(word))
      if (!OPEN.includes(route))
        expect(
          marked.filter((word) => text.includes(word)),
          `${who}: ${route}`,
        ).toEqual([])
      if (shows !== undefined)
        expect(text, who).toContain(shows.replace(NAMES, (word) => known[word] ?? word))
      if (only?.includes(who)) expect(text, who).toContain('Science 8 A')
      else if (only) for (const secret of secrets) expect(text, who).not.toContain(secret)
      if (changes === undefined || (by && !by.includes(who))) expect(touched, who).toEqual([])
      else expect(touched, `${who}: ${text}`).toContain(changes)
      const contract = contractOf(route)
      const isAct = contract !== undefined && isFor(contract.for, { role: 'teacher' } as Actor)
      if (isAct && touched.length > 0 && !(contract.path in WHY_NOT_WRITTEN))
        expect(touched, `${who}: ${contract.path} stands in no history, and no reason is given`).toContain(
          'journal',
        )
      await state.restore(touched)
    }
    expect(Object.fromEntries(WHO.map((who, i) => [who, got[i]]))).toEqual(
      Object.fromEntries(WHO.map((who, i) => [who, expected[i]])),
    )
  })

  it('leaves no contract out, and asks one address that has none', () => {
    const asked = TABLE.map(({ route }) => contractOf(route))
    expect(CONTRACTS.filter((c) => !asked.includes(c))).toEqual([])
    expect(asked.filter((c) => c === undefined)).toHaveLength(1)
  })

  it.each(['learner', 'teacher'] as const)('turns every %s away for whom a contract is not', (role) => {
    const denied = TABLE.filter(({ route }) => {
      const contract = contractOf(route)
      return contract && !isFor(contract.for, { role } as Actor)
    })
    expect(denied.length).toBeGreaterThan(10)
    expect(denied.filter(({ expected }) => expected[WHO.indexOf(role)] !== 'denied')).toEqual([])
  })
})
