import { addMinutes, asId, isoDay, mustBeOk, parseInstant, seedOf, seededRandom } from '#core/base'
import type { ClassId, Instant, ItemId, PageId, PieceId, Random } from '#core/base'
import type { Learner, Teacher } from '#core/access'
import { NO_WINDOW } from '#core/availability'
import { NO_MATERIAL } from '#core/library'
import type { Answer, Item } from '#core/library'
import { NO_ABOUT, plainPiece } from '#core/work'
import { learnersOf } from '#db/repositories'
import type { Deps } from '#usecases/ground/deps'
import { handIn, startTry } from '#usecases/learning/tries'
import { makePiece } from '#usecases/library/shelf'
import { mailNotices } from '#usecases/notices/mailNotices'
import { assign } from '#usecases/work/assign'
import type { Demo } from './demo'
import { PAGE } from './rules'
import { DEMO_NOW, SEED } from './scenario'
import type { DemoSchool } from './demo'

const until = parseInstant(DEMO_NOW) as Instant
const DAY = 24 * 60
const P1 = asId<PieceId>('p1')
export const LAB_PAGES = 'Lab pages'

const measured = (id: string, stem: string, value: number, unit: string): Item => ({
  kind: 'numeric',
  id: asId<ItemId>(id),
  points: 1,
  difficulty: 1,
  standard: null,
  feedback: '',
  hint: '',
  stem,
  value,
  // what is measured comes out otherwise on every table
  tolerance: value / 2,
  unit,
})
const chosen = (id: string, stem: string, words: readonly string[]): Item => ({
  kind: 'single',
  id: asId<ItemId>(id),
  points: 1,
  difficulty: 2,
  standard: null,
  feedback: '',
  hint: '',
  stem,
  options: words.map((text, i) => ({ id: `o${i + 1}`, text })),
  right: 'o1',
})

/** Pages that a class fills in at its tables: the first weeks ago, the second this week. */
const PAGES = [
  {
    code: 'swings',
    title: 'Lab page: swings of a pendulum',
    minutes: 20,
    standards: ['TH.8.W.1'],
    content:
      'Hang a weight on a string as long as your arm, pull it aside by a hand’s width and let it go. Count ten ' +
      'whole swings and stop the time. Then do the same with half the string.',
    items: [
      measured('1', 'Ten whole swings on the long string took', 16, 's'),
      measured('2', 'Ten whole swings on the short string took', 11, 's'),
      chosen('3', 'Compared with the long string, the short one swings', [
        'faster',
        'as fast',
        'more slowly',
      ]),
    ],
    openedDaysAgo: 26,
    due: isoDay('2026-10-02'),
    isHandedIn: true,
  },
  {
    code: 'tray',
    title: 'Lab page: pulses in a tray',
    minutes: 25,
    standards: ['TH.8.W.2'],
    content:
      'Fill the tray to a depth of a finger, lift one end by a pencil’s width and set it down. Stop how long the ' +
      'pulse takes for four lengths of the tray. Then pour in as much water again.',
    items: [
      measured('1', 'Four lengths in shallow water took', 5, 's'),
      measured('2', 'Four lengths in deep water took', 3.5, 's'),
      chosen('3', 'In deeper water the pulse runs', ['faster', 'as fast', 'more slowly']),
    ],
    openedDaysAgo: 1,
    due: isoDay('2026-10-30'),
    isHandedIn: false,
  },
] as const

/** Own copies of pages, filed under a heading of the class. */
export async function fillPages(deps: Deps, school: DemoSchool, clock: Demo['clock']): Promise<void> {
  const classId = school.classes.get('8B') as ClassId
  for (const page of PAGES) {
    const opened = addMinutes(until, -page.openedDaysAgo * DAY)
    clock.set(opened)
    const assignmentId = await give(deps, school.teacher, classId, page)
    if (page.isHandedIn) await fillIn(deps, school, clock, { assignmentId, classId, page })
  }
  clock.set(until)
  // they were told at once: a server that starts has nothing to catch up on
  while ((await mailNotices(deps)) > 0);
}

type Page = (typeof PAGES)[number]

/** What came out at a table: near what it should be; most draw the right conclusion. */
function found(item: Item, random: Random): Answer {
  if (item.kind !== 'numeric') return { kind: 'single', choice: random() < 0.75 ? 'o1' : 'o2' }
  return { kind: 'numeric', text: (item.value * (0.85 + 0.3 * random())).toFixed(1) }
}

async function give(deps: Deps, teacher: Teacher, classId: ClassId, page: Page) {
  const { code, title, minutes, standards, content, items, due } = page
  const about = { kind: 'page', role: 'core', grade: 8, language: 'en', readingLevel: 7 } as const
  const words = { title, code, minutes, standards, content, items, material: NO_MATERIAL }
  const { resourceId } = mustBeOk(await makePiece(deps, teacher, { ...about, ...words }), title)
  const draft = {
    pieces: [plainPiece({ resourceId, revision: 1 })],
    title,
    note: '',
    about: { ...NO_ABOUT, heading: LAB_PAGES },
    isFirst: false,
    inTurn: false,
    newcomers: true,
    teams: [],
    window: { ...NO_WINDOW, due: { kind: 'day' as const, on: due } },
    rules: PAGE,
    targets: [{ target: { kind: 'class' as const, classId }, overrides: {} }],
    exceptIds: [],
    overCeiling: [],
  }
  return mustBeOk(await assign(deps, teacher, { draft, publish: true }), title).assignmentId
}

async function fillIn(
  deps: Deps,
  { teacher }: DemoSchool,
  clock: Demo['clock'],
  of: {
    readonly assignmentId: Awaited<ReturnType<typeof give>>
    readonly classId: ClassId
    readonly page: Page
  },
): Promise<void> {
  const { assignmentId, classId, page } = of
  const people = (await learnersOf(deps.store.read, [classId])).get(classId) ?? []
  const opened = addMinutes(until, -page.openedDaysAgo * DAY)
  for (const [i, { id }] of people.entries()) {
    const learner: Learner = { userId: id, schoolId: teacher.schoolId, role: 'learner', office: false }
    clock.set(addMinutes(opened, DAY + i * 7))
    const try1 = mustBeOk(await startTry(deps, learner, { assignmentId, pieceId: P1 }), 'start')
    const random = seededRandom(seedOf(`${SEED} ${page.code} ${id}`))
    const saves = page.items.map((item, n) => ({
      itemId: item.id,
      answer: found(item, random),
      from: 0,
      writer: asId<PageId>('demo'),
      edit: n + 1,
    }))
    mustBeOk(await handIn(deps, learner, { attemptId: try1.attemptId, saves }), 'hand in')
  }
}
