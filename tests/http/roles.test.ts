import { copyFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { ClassId, UserId } from '#core/base'
import { LATER_RULES } from '#core/attempts'
import { DEFAULT_THRESHOLDS, DEFAULT_TRAILS, EMPTY_LAYER } from '#core/versions'
import { addTeacher, addUsers, userBySignIn } from '#db/repositories'
import { openStore } from '#db/client'
import { ListMyWork } from '#shared/contracts/myWork'
import { ShowDesk } from '#shared/contracts/pacing'
import { ShowOverview, ShowClass } from '#shared/contracts/teaching'
import { ListPresets, ListWork, ShowWork } from '#shared/contracts/work'
import { ShowShelf } from '#shared/contracts/library'
import { ShowSeries } from '#shared/contracts/series'
import { fileState } from '../support/fileState'
import { A_PICTURE } from '../support/keptFiles'
import { PLAIN_PIECE, PLAIN_WORK } from '../support/made'
import { Agent, DEMO, aServer, signedIn } from '../support/server'
import type { Running } from '../support/server'
import { MIGRATIONS, aFolder } from '../support/world'

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
  readonly file: string
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
  { route: 'GET /api/demo-people', file: 'demo-people.get.ts', expected: [I, I, I, I, I, I, I, I, I] },
  { route: 'POST /api/sign-in', file: 'sign-in.post.ts', body: {}, expected: [I, I, I, I, I, I, I, I, I] },
  { route: 'POST /api/sign-up', file: 'sign-up.post.ts', body: {}, expected: [I, I, I, I, I, I, I, I, I] },
  { route: 'POST /api/join', file: 'join.post.ts', body: {}, expected: [I, I, I, I, I, I, I, I, I] },
  // anyone signed in
  { route: 'GET /api/me', file: 'me/index.get.ts', expected: [S, I, I, I, I, I, I, I, I] },
  // learners
  {
    route: 'POST /api/join-another',
    file: 'join-another.post.ts',
    body: { code: 'nothing' },
    expected: [S, I, I, D, D, D, D, D, D],
  },
  { route: 'GET /api/entry', file: 'entry.get.ts', shows: 'open', expected: [I, I, I, I, I, I, I, I, I] },
  { route: 'GET /api/health', file: 'health.get.ts', shows: 'ready', expected: [I, I, I, I, I, I, I, I, I] },
  { route: 'GET /api/metrics', file: 'metrics.get.ts', expected: [H, H, H, H, H, H, H, H, H] },
  {
    route: 'POST /api/me/password',
    file: 'me/password.post.ts',
    body: { current: 'not mine', next: 'long enough' },
    expected: [S, I, I, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/me/end-sessions',
    file: 'me/end-sessions.post.ts',
    expected: [S, I, I, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/classes/CLASS/joining',
    file: 'classes/[classId]/joining.post.ts',
    body: { act: 'close' },
    changes: 'classes',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/reset-password',
    file: 'classes/[classId]/reset-password.post.ts',
    body: { learnerId: 'LEARNER' },
    changes: 'users',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/remove-learner',
    file: 'classes/[classId]/remove-learner.post.ts',
    body: { learnerId: 'LEARNER' },
    changes: 'enrolments',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/take-away',
    file: 'take-away.post.ts',
    body: { kind: 'class', id: 'CLASS' },
    changes: 'classes',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/take-away',
    file: 'take-away.post.ts',
    body: { kind: 'year', id: 'YEAR' },
    changes: 'years',
    expected: [S, D, D, I, D, D, I, I, H],
  },
  {
    route: 'POST /api/take-away',
    file: 'take-away.post.ts',
    body: { kind: 'plan', id: 'PLAN' },
    changes: 'plans',
    expected: [S, D, D, I, D, D, D, D, H],
  },
  {
    route: 'POST /api/bring-back',
    file: 'bring-back.post.ts',
    body: { kind: 'class', id: 'CLASS' },
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/my-work',
    file: 'my-work/index.get.ts',
    only: ['learner'],
    expected: [S, I, I, D, D, D, D, D, D],
  },
  {
    route: 'GET /api/my-work/WORK',
    file: 'my-work/[assignmentId]/index.get.ts',
    shows: 'WORK',
    expected: [S, I, H, D, D, D, D, D, D],
  },
  {
    route: 'POST /api/my-work/WORK/files',
    file: 'my-work/[assignmentId]/files/index.post.ts',
    body: { pieceId: 'p1', name: 'dot.png', base64: A_PICTURE },
    expected: [S, H, H, D, D, D, D, D, D],
  },
  {
    route: 'POST /api/my-work/WORK/files/none/take-back',
    file: 'my-work/[assignmentId]/files/[fileId]/take-back.post.ts',
    body: { pieceId: 'p1' },
    expected: [S, H, H, D, D, D, D, D, D],
  },
  {
    route: 'POST /api/files',
    file: 'files/index.post.ts',
    body: { name: 'dot.png', base64: A_PICTURE },
    changes: 'kept_files',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/files/none',
    file: 'files/[fileId].get.ts',
    expected: [S, H, H, H, H, H, H, H, H],
  },
  {
    route: 'POST /api/my-work/WORK/start',
    file: 'my-work/[assignmentId]/start.post.ts',
    body: { pieceId: 'p1' },
    shows: 'TRY',
    expected: [S, I, H, D, D, D, D, D, D],
  },
  {
    route: 'POST /api/tries/TRY/answers',
    file: 'tries/[attemptId]/answers.post.ts',
    body: { saves: [] },
    expected: [S, I, H, H, H, H, H, H, H],
  },
  {
    // its rules show nothing item by item
    route: 'POST /api/tries/TRY/fix',
    file: 'tries/[attemptId]/fix.post.ts',
    body: { itemId: 'q1', saves: [] },
    expected: [S, I, H, H, H, H, H, H, H],
  },
  // teachers
  {
    route: 'GET /api/overview',
    file: 'overview.get.ts',
    only: ['teacher', 'co-teacher', 'lead'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  { route: 'GET /api/shelf', file: 'shelf.get.ts', expected: [S, D, D, I, I, I, I, I, I] },
  {
    route: 'POST /api/shelf/search',
    file: 'shelf/search.post.ts',
    body: { text: 'wave', filter: {}, order: 'fit' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/resources/PIECE',
    file: 'resources/[resourceId]/index.get.ts',
    expected: [S, H, H, I, I, I, I, I, I],
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
      ...PLAIN_PIECE,
      items: [],
    },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/resources/OWN',
    file: 'resources/[resourceId]/index.post.ts',
    body: { ...AN_OWN_PIECE, title: 'Changed', revision: 1 },
    changes: 'resources',
    expected: [S, H, H, I, H, H, H, H, H],
  },
  {
    route: 'POST /api/work/WORK/give',
    file: 'work/[assignmentId]/give.post.ts',
    body: { learnerIds: ['LEARNER'], more: { kind: 'try', pieceId: 'p1' } },
    changes: 'assignment_targets',
    expected: [S, H, H, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/read-closures',
    file: 'read-closures.post.ts',
    body: { text: 'x', firstOn: '2026-08-24', lastOn: '2027-06-11', zone: 'America/Denver' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/read-outline',
    file: 'read-outline.post.ts',
    body: { text: 'a,b,1' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/plans/read-table',
    file: 'plans/read-table.post.ts',
    body: { text: 'Number,Title\na,b' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/plans/PLAN',
    file: 'plans/[planId]/index.get.ts',
    shows: 'PLAN',
    expected: [S, H, H, I, I, I, I, I, H],
  },
  {
    route: 'GET /api/plans/PLAN/file',
    file: 'plans/[planId]/file.get.ts',
    shows: 'Number',
    expected: [S, H, H, I, I, I, I, I, H],
  },
  {
    route: 'POST /api/plans/PLAN/copy',
    file: 'plans/[planId]/copy.post.ts',
    body: {},
    changes: 'plans',
    expected: [S, H, H, I, I, I, I, I, H],
  },
  { route: 'GET /api/desk/history', file: 'desk/history.get.ts', expected: [S, D, D, I, I, I, I, I, I] },
  {
    route: 'POST /api/desk/ripple',
    file: 'desk/ripple.post.ts',
    body: { kind: 'length', classId: 'CLASS', lessonId: 'LESSON', from: null, to: 5 },
    shows: '"ways"',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/feed',
    file: 'classes/[classId]/feed.get.ts',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/feed',
    file: 'classes/[classId]/feed.post.ts',
    body: { to: 'new' },
    changes: 'feeds',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/file?kind=calendar',
    file: 'classes/[classId]/file.get.ts',
    shows: 'BEGIN:VCALENDAR',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/feeds/0123456789012345678901',
    file: 'feeds/[token].get.ts',
    expected: [H, H, H, H, H, H, H, H, H],
  },
  {
    route: 'POST /api/plans',
    file: 'plans/index.post.ts',
    body: { title: 'T', course: 'C', text: 'Waves,Pulse,1' },
    changes: 'plans',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/plans/adopt',
    file: 'plans/adopt.post.ts',
    body: { bookId: 'BOOK' },
    changes: 'plans',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/plans/PLAN/lay',
    file: 'plans/[planId]/lay.post.ts',
    body: { classIds: ['CLASS'] },
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/years',
    file: 'years.post.ts',
    body: { ...ANY_YEAR_BODY },
    changes: 'years',
    expected: [S, D, D, I, D, D, I, I, I],
  },
  {
    route: 'POST /api/classes',
    file: 'classes.post.ts',
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
    file: 'classes/[classId]/index.get.ts',
    shows: 'Science 8 A',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/read-roster',
    file: 'classes/[classId]/read-roster.post.ts',
    body: { text: 'A B' },
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/roster',
    file: 'classes/[classId]/roster.post.ts',
    body: { text: 'Zoe Zed', skipBad: false },
    changes: 'enrolments',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/holidays?firstOn=2026-08-24&lastOn=2027-06-11',
    file: 'holidays.get.ts',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/classes/CLASS/groups',
    file: 'classes/[classId]/groups.post.ts',
    body: { groupId: null, name: 'G', learnerIds: ['LEARNER'], rule: null },
    changes: 'groups',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/members',
    file: 'classes/[classId]/members.post.ts',
    body: { groupId: 'GROUP', learnerId: 'LEARNER', isIn: false },
    changes: 'group_members',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/grades',
    file: 'classes/[classId]/grades.post.ts',
    body: { learnerIds: ['LEARNER'], grade: 9 },
    changes: 'users',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/accommodation',
    file: 'classes/[classId]/accommodation.post.ts',
    body: { learnerId: 'LEARNER', timeFactor: 2, extraAttempts: 1, extraDays: 0 },
    changes: 'users',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/desk',
    file: 'desk/index.get.ts',
    only: ['teacher', 'co-teacher', 'lead'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/desk/command',
    file: 'desk/command.post.ts',
    body: { kind: 'length', classId: 'CLASS', lessonId: 'LESSON', from: null, to: 5 },
    changes: 'journal',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/desk/command',
    file: 'desk/command.post.ts',
    body: { kind: 'pattern', classId: 'CLASS', from: [], to: [] },
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/desk/command',
    file: 'desk/command.post.ts',
    body: { kind: 'year', yearId: 'YEAR', from: ANY_YEAR, to: ANY_YEAR },
    expected: [S, D, D, I, D, D, I, I, H],
  },
  {
    route: 'POST /api/desk/redo',
    file: 'desk/redo.post.ts',
    body: {},
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/desk/undo',
    file: 'desk/undo.post.ts',
    body: {},
    changes: 'journal',
    by: ['teacher'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/recipients/standing',
    file: 'recipients/standing.post.ts',
    body: { resourceIds: ['PIECE'], category: '' },
    shows: '"learners"',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/recipients',
    file: 'recipients/index.get.ts',
    only: ['teacher', 'co-teacher'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  { route: 'GET /api/work', file: 'work/index.get.ts', expected: [S, D, D, I, I, I, I, I, I] },
  {
    route: 'POST /api/work',
    file: 'work/index.post.ts',
    body: { publish: false, draft: 'DRAFT' },
    changes: 'assignments',
    expected: [S, D, D, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/work/preview',
    file: 'work/preview.post.ts',
    body: { assignmentId: null, draft: 'DRAFT' },
    shows: '"who"',
    expected: [S, D, D, I, I, H, H, H, H],
  },
  {
    route: 'GET /api/work/WORK',
    file: 'work/[assignmentId]/index.get.ts',
    shows: 'WORK',
    expected: [S, H, H, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/work/WORK',
    file: 'work/[assignmentId]/index.post.ts',
    body: { version: 99, draft: 'DRAFT', publish: false },
    expected: [S, H, H, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/work/WORK/publish',
    file: 'work/[assignmentId]/publish.post.ts',
    body: { version: 'VERSION' },
    changes: 'assignments',
    expected: [S, H, H, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/work/WORK/withdraw',
    file: 'work/[assignmentId]/withdraw.post.ts',
    body: { version: 'VERSION' },
    changes: 'assignments',
    expected: [S, H, H, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/work-at-once',
    file: 'work-at-once.post.ts',
    body: { works: [{ assignmentId: 'WORK', version: 'VERSION' }], act: { kind: 'withdraw' } },
    changes: 'assignments',
    expected: [S, H, H, I, I, I, H, H, H],
  },
  {
    route: 'GET /api/presets',
    file: 'presets/index.get.ts',
    shows: '"presets"',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/presets',
    file: 'presets/index.post.ts',
    body: { name: 'N', classId: 'CLASS', kind: null, rules: 'RULES' },
    changes: 'presets',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/presets/PRESET/drop',
    file: 'presets/[presetId]/drop.post.ts',
    body: {},
    changes: 'presets',
    expected: [S, D, D, I, H, H, H, H, H],
  },
  {
    route: 'GET /api/my-notices',
    file: 'my-notices/index.get.ts',
    expected: [S, I, I, D, D, D, D, D, D],
  },
  {
    route: 'POST /api/my-notices',
    file: 'my-notices/index.post.ts',
    body: {},
    changes: 'notices',
    by: ['learner', 'other learner'],
    expected: [S, I, I, D, D, D, D, D, D],
  },
  {
    route: 'GET /api/outbox',
    file: 'outbox.get.ts',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/evidence/CLASS',
    file: 'evidence/[classId].get.ts',
    shows: 'LEARNER',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/lens/LEARNER',
    file: 'lens/[learnerId]/index.get.ts',
    shows: '"notThere"',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/lens/LEARNER/WORK',
    file: 'lens/[learnerId]/[assignmentId].get.ts',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/evidence/items/WORK',
    file: 'evidence/items/[assignmentId].get.ts',
    expected: [S, H, H, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/shelf/read-file',
    file: 'shelf/read-file.post.ts',
    body: { name: 'r.md', base64: 'SGk=' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/shelf/imports',
    file: 'shelf/imports/index.post.ts',
    body: { name: 'r.md', base64: 'SGk=' },
    changes: 'shelf_imports',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/shelf/imports',
    file: 'shelf/imports/index.get.ts',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/shelf/imports/none/take-back',
    file: 'shelf/imports/[importId]/take-back.post.ts',
    body: {},
    expected: [S, H, H, H, H, H, H, H, H],
  },
  {
    route: 'GET /api/resources/PIECE/file?as=csv',
    file: 'resources/[resourceId]/file.get.ts',
    expected: [S, H, H, I, I, I, I, I, I],
  },
  { route: 'GET /api/frameworks', file: 'frameworks/index.get.ts', expected: [S, D, D, I, I, I, I, I, I] },
  {
    route: 'GET /api/frameworks/framework-th/file',
    file: 'frameworks/[frameworkId]/file.get.ts',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/books/book-waves/file',
    file: 'books/[bookId]/file.get.ts',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  { route: 'GET /api/tray', file: 'tray/index.get.ts', expected: [S, D, D, I, I, I, I, I, I] },
  {
    route: 'POST /api/tray',
    file: 'tray/index.post.ts',
    body: { kind: 'limit', minutes: 90 },
    changes: 'trays',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/shelf/codes',
    file: 'shelf/codes.post.ts',
    body: { text: 'wav203' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/shelf/draw-check',
    file: 'shelf/draw-check.post.ts',
    body: { standards: ['TH.8.W.1'], perStandard: 2, mix: null, seed: '1' },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/standards/TH.8.W.1',
    file: 'standards/[code].get.ts',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/classes/CLASS/shelf',
    file: 'classes/[classId]/shelf.get.ts',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/shelf',
    file: 'classes/[classId]/shelf.post.ts',
    body: { bookIds: [], filter: { grade: ['8'] } },
    changes: 'class_shelves',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/routes',
    file: 'classes/[classId]/routes.get.ts',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/routes',
    file: 'classes/[classId]/routes.post.ts',
    body: { bookId: 'book-heat', isOpen: true },
    changes: 'practice_routes',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/resources/PIECE/guide',
    file: 'resources/[resourceId]/guide.get.ts',
    expected: [S, H, H, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/guide',
    file: 'guide.post.ts',
    body: { from: { kind: 'standard', code: 'TH.8.W.1' }, to: 'PIECE', isOn: true },
    changes: 'guide_pointers',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/resources/PIECE/copy',
    file: 'resources/[resourceId]/copy.post.ts',
    body: {},
    changes: 'resources',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/resources/OWN/share',
    file: 'resources/[resourceId]/share.post.ts',
    body: { isShared: true },
    changes: 'resources',
    by: ['teacher'],
    expected: [S, H, H, I, H, H, H, H, H],
  },
  {
    route: 'GET /api/resources/PIECE/versions',
    file: 'resources/[resourceId]/versions/index.get.ts',
    expected: [S, H, H, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/resources/PIECE/versions/bare',
    file: 'resources/[resourceId]/versions/[trailId]/index.post.ts',
    body: { version: 0, layer: EMPTY_LAYER },
    changes: 'layers',
    expected: [S, H, H, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/resources/PIECE/versions/guided/drop',
    file: 'resources/[resourceId]/versions/[trailId]/drop.post.ts',
    body: { version: 7 },
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/classes/CLASS/trails',
    file: 'classes/[classId]/trails.get.ts',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/trails',
    file: 'classes/[classId]/trails.post.ts',
    body: { usual: 'marked', learners: [] },
    changes: 'class_trails',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/trails',
    file: 'trails/index.get.ts',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/trails',
    file: 'trails/index.post.ts',
    body: { trails: DEFAULT_TRAILS, thresholds: DEFAULT_THRESHOLDS, version: 0 },
    changes: 'trail_settings',
    expected: [S, D, D, I, D, D, I, I, I],
  },
  {
    route: 'POST /api/resources/PIECE/drop',
    file: 'resources/[resourceId]/drop.post.ts',
    body: {},
    expected: [S, H, H, D, D, D, D, D, D],
  },
  {
    route: 'GET /api/resources/PIECE/difference/1',
    file: 'resources/[resourceId]/difference/[revision].get.ts',
    expected: [S, H, H, I, I, I, I, I, I],
  },
  { route: 'GET /api/practice', file: 'practice/index.get.ts', expected: [S, I, I, D, D, D, D, D, D] },
  {
    route: 'GET /api/practice/PIECE',
    file: 'practice/[resourceId].get.ts',
    expected: [S, I, H, H, H, H, H, H, H],
  },
  {
    route: 'POST /api/practice/PIECE',
    file: 'practice/[resourceId].post.ts',
    body: { answers: [] },
    changes: 'practice_done',
    by: ['learner'],
    expected: [S, I, H, H, H, H, H, H, H],
  },
  {
    route: 'GET /api/evidence/to-score/WORK?classId=CLASS&pieceId=p1',
    file: 'evidence/to-score/[assignmentId].get.ts',
    expected: [S, H, H, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/tries/TRY/draft-score',
    file: 'tries/[attemptId]/draft-score.post.ts',
    body: { itemId: 'x', levels: [1], comment: '', again: false, version: 0 },
    expected: [S, H, H, H, H, H, D, H, H],
  },
  {
    route: 'POST /api/evidence/release/WORK',
    file: 'evidence/release/[assignmentId].post.ts',
    body: { classId: 'CLASS', pieceId: 'p1' },
    expected: [S, H, H, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/evidence/texts/WORK',
    file: 'evidence/texts/[assignmentId].post.ts',
    body: { classId: 'CLASS', pieceId: 'p1', texts: [{ learnerId: 'none', text: 'x' }] },
    expected: [S, H, H, H, H, H, H, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/load?spread=window',
    file: 'classes/[classId]/load/index.get.ts',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/load/none?spread=due',
    file: 'classes/[classId]/load/[learnerId].get.ts',
    expected: [S, H, H, H, H, H, H, H, H],
  },
  {
    route: 'POST /api/comments',
    file: 'comments/index.post.ts',
    body: { text: 'Go on.' },
    changes: 'kept_comments',
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'POST /api/comments/none/forget',
    file: 'comments/[id]/forget.post.ts',
    body: {},
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/week',
    file: 'week.get.ts',
    // a week is of one's own classes
    only: ['teacher', 'co-teacher'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/week-needs?mondayOn=2026-10-19',
    file: 'week-needs.get.ts',
    only: ['teacher', 'co-teacher'],
    expected: [S, D, D, I, I, I, I, I, I],
  },
  {
    route: 'GET /api/classes/CLASS/series',
    file: 'classes/[classId]/series.get.ts',
    shows: 'CLASS',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'POST /api/series',
    file: 'series/index.post.ts',
    body: { series: 'SERIES' },
    changes: 'series',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/series/RUN',
    file: 'series/[seriesId]/index.post.ts',
    body: { version: 1, series: 'SERIES' },
    expected: [S, H, H, I, H, H, D, H, H],
  },
  {
    route: 'POST /api/series/RUN/release',
    file: 'series/[seriesId]/release.post.ts',
    body: { version: 1 },
    expected: [S, H, H, I, H, H, D, H, H],
  },
  {
    route: 'POST /api/series/RUN/clear',
    file: 'series/[seriesId]/clear.post.ts',
    body: { version: 1 },
    expected: [S, H, H, I, H, H, D, H, H],
  },
  {
    route: 'POST /api/series/RUN/remove',
    file: 'series/[seriesId]/remove.post.ts',
    body: { version: 1 },
    expected: [S, H, H, I, H, H, D, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/heavy-weeks',
    file: 'classes/[classId]/heavy-weeks.get.ts',
    shows: 'weeks',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'GET /api/classes/CLASS/filing',
    file: 'classes/[classId]/filing.get.ts',
    shows: 'CLASS',
    expected: [S, H, H, I, I, H, I, H, H],
  },
  {
    route: 'POST /api/classes/CLASS/filing',
    file: 'classes/[classId]/filing.post.ts',
    body: { version: 1, filing: { headings: ['H'], categories: [] }, renamed: [] },
    changes: 'class_filing',
    expected: [S, H, H, I, I, H, D, H, H],
  },
  {
    route: 'GET /api/plans/PLAN/standing',
    file: 'plans/[planId]/standing/index.get.ts',
    shows: 'PLAN',
    expected: [S, D, D, I, I, I, I, I, H],
  },
  {
    route: 'POST /api/plans/PLAN/standing',
    file: 'plans/[planId]/standing/index.post.ts',
    body: { pieces: ['STANDING'] },
    changes: 'standing',
    expected: [S, D, D, I, D, D, D, D, H],
  },
  {
    route: 'POST /api/plans/PLAN/standing/none',
    file: 'plans/[planId]/standing/[standingId].post.ts',
    body: { version: 1, piece: null },
    expected: [S, D, D, H, D, D, D, D, H],
  },
  {
    route: 'POST /api/placing',
    file: 'placing.post.ts',
    body: { targets: [{ kind: 'class', classId: 'CLASS' }], from: '2026-10-19', through: '2026-10-30' },
    shows: 'CLASS',
    expected: [S, D, D, I, I, H, H, H, H],
  },
  {
    route: 'POST /api/placing/lay',
    file: 'placing/lay.post.ts',
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
    file: 'placing/move.post.ts',
    body: {
      assignmentId: 'WORK',
      version: 'VERSION',
      target: { kind: 'class', classId: 'CLASS' },
      on: '2026-10-22',
      alone: false,
    },
    expected: [S, H, H, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/placing/take',
    file: 'placing/take.post.ts',
    body: { assignmentId: 'WORK', version: 'VERSION', target: null },
    changes: 'assignments',
    expected: [S, H, H, I, I, I, H, H, H],
  },
  {
    route: 'POST /api/plans/PLAN/lay-work-preview',
    file: 'plans/[planId]/lay-work-preview.post.ts',
    body: { classIds: ['CLASS'] },
    shows: 'CLASS',
    expected: [S, D, D, I, I, H, D, H, H],
  },
  {
    route: 'POST /api/plans/PLAN/lay-work',
    file: 'plans/[planId]/lay-work.post.ts',
    body: { classes: [{ classId: 'CLASS', standingIds: ['none'] }], publish: false },
    expected: [S, D, D, H, H, H, D, H, H],
  },
  {
    route: 'POST /api/plans/PLAN/offers',
    file: 'plans/[planId]/offers.post.ts',
    body: { classId: 'CLASS', standingIds: ['none'], take: true },
    expected: [S, D, D, H, H, H, D, H, H],
  },
  // unknown, and last of all those that end something
  { route: 'GET /api/nothing/here', file: '[...].ts', expected: [H, H, H, H, H, H, H, H, H] },
  {
    route: 'POST /api/tries/TRY/hand-in',
    file: 'tries/[attemptId]/hand-in.post.ts',
    body: { saves: [] },
    changes: 'attempts',
    expected: [S, I, H, H, H, H, H, H, H],
  },
  { route: 'POST /api/sign-out', file: 'sign-out.post.ts', body: {}, expected: [I, I, I, I, I, I, I, I, I] },
]

let server: Running
let state: Awaited<ReturnType<typeof fileState>>
let agents: Record<Who, Agent>
const known: Record<string, string> = {}
/** What nobody may learn who is not let in: of the class, and of its plan. */
const secrets: string[] = []
const ofPlan: string[] = []

/** The demo with two teachers more: one beside the teacher of 8 A, and one who is the office and teaches nobody. */
async function withMoreTeachers(): Promise<string> {
  const file = join(aFolder(), 'roles.db')
  copyFileSync(DEMO, file)
  const store = await openStore({ url: file, migrationsFolder: MIGRATIONS })
  await store.write(async (tx) => {
    const known = await userBySignIn(tx, 'tomasz')
    if (!known) throw new Error('the demo has no colleague')
    const like = (signIn: string, office: boolean) => ({
      ...known,
      id: asId<UserId>(signIn),
      signIn,
      name: signIn,
      office,
    })
    await addUsers(tx, [like('cora', false), like('oskar', true)])
    const [room] = await tx.all<{ id: ClassId }>("select id from classes where name = 'Science 8 A'")
    await addTeacher(tx, room?.id as ClassId, asId<UserId>('cora'))
  })
  await store.settle()
  store.close()
  return file
}

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
const NAMES = /OWN|RUN|PRESET|CLASS|YEAR|WORK|TRY|PLAN|PIECE|BOOK|GROUP|LEARNER|LESSON/g
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
      if (shows !== undefined)
        expect(text, who).toContain(shows.replace(NAMES, (word) => known[word] ?? word))
      if (only?.includes(who)) expect(text, who).toContain('Science 8 A')
      else if (only) for (const secret of secrets) expect(text, who).not.toContain(secret)
      if (changes === undefined || (by && !by.includes(who))) expect(touched, who).toEqual([])
      else expect(touched, `${who}: ${text}`).toContain(changes)
      await state.restore(touched)
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
