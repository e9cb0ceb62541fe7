import { beforeAll, describe, expect, it } from 'vitest'
import { FixAnswer, ShowMyPiece, StartTry } from '#shared/contracts/learning'
import { ListMyWork } from '#shared/contracts/myWork'
import type { MyPiece, OpenTry } from '#shared/contracts/learning'
import { ShowClass, ShowOverview } from '#shared/contracts/teaching'
import { Assign, ListWork, ShowWork } from '#shared/contracts/work'
import { LookInside, ShowShelf } from '#shared/contracts/library'
import type { AttemptRules } from '#core/attempts'
import { leftOut } from '#core/library'
import type { Item } from '#core/library'
import { NO_ABOUT } from '#core/work'
import { NO_WINDOW } from '#core/availability'
import type { AssignmentId, ClassId, UserId } from '#core/base'
import { DEMO_PEOPLE } from '#shared/demoPeople'
import { aServer, signedIn } from '../support/server'
import type { Agent } from '../support/server'

/** Everything a learner can be sent, gathered from all learner routes. */
interface Walk {
  readonly who: string
  readonly name: string
  readonly mates: readonly string[]
  readonly texts: string[]
  readonly pieces: MyPiece[]
  /** Tries that go on, each as it stood after every step. */
  readonly open: OpenTry[]
}
const walks: Walk[] = []
const names: string[] = []
const nameOf = new Map<UserId, string>()
/** Who works together, by name. */
const teams: (readonly string[])[] = []
const secrets = { groups: [] as string[], codes: [] as string[], titles: [] as string[] }
const keys = new Map<string, readonly Item[]>()
let bank: readonly Item[] = []

async function walk(learner: Agent, who: string, name: string): Promise<void> {
  const ofAll = ['/api/me', '/api/my-notices'].map(async (path) => (await learner.raw('GET', path)).text)
  const texts = await Promise.all(ofAll)
  const list = await learner.call(ListMyWork)
  texts.push(list.text)
  const pieces: MyPiece[] = []
  const open: OpenTry[] = []
  const every = (list.value?.work ?? []).flatMap(({ id, pieces: of }) => of.map((p) => ({ id, ...p })))
  for (const { id, pieceId, mayTry } of every) {
    const params = { assignmentId: id }
    const query = { pieceId }
    const before = await learner.call(ShowMyPiece, { params, query })
    texts.push(before.text)
    if (before.ok) pieces.push(before.value)
    if (!mayTry) continue
    const started = await learner.call(StartTry, { params, body: { pieceId } })
    texts.push(started.text)
    if (started.ok) open.push(started.value, ...(await stepByStep(learner, started.value, texts)))
    const after = await learner.call(ShowMyPiece, { params, query })
    texts.push(after.text)
    if (!started.ok) continue
    texts.push(
      (await learner.raw('POST', `/api/tries/${started.value.attemptId}/answers`, { saves: [] })).text,
      (await learner.raw('POST', `/api/tries/${started.value.attemptId}/hand-in`, { saves: [] })).text,
    )
    const done = await learner.call(ShowMyPiece, { params, query })
    texts.push(done.text)
    if (done.ok) pieces.push(done.value)
  }
  const mates = (teams.find((t) => t.includes(name)) ?? []).filter((n) => n !== name)
  walks.push({ who, name, mates, texts, pieces, open })
}

/** Gives the first answers of a try for good, as far as its rules let it. */
async function stepByStep(learner: Agent, begun: OpenTry, texts: string[]): Promise<OpenTry[]> {
  const seen: OpenTry[] = []
  let now = begun
  for (let n = 0; n < 2 && now.mode !== 'all'; n++) {
    const item = now.items.find((i) => !(i.id in now.fixed))
    if (!item) break
    const answer = item.kind === 'text' ? { kind: 'text' as const, text: 'perhaps' } : leftOut(item)
    const saves = [{ itemId: item.id, answer, from: 0, writer: 'walk' as never, edit: n + 1 }]
    const params = { attemptId: now.attemptId }
    const fixed = await learner.call(FixAnswer, { params, body: { itemId: item.id, saves } })
    texts.push(fixed.text)
    if (!fixed.ok) throw new Error(fixed.text)
    now = fixed.value
    seen.push(now)
  }
  return seen
}

const PLAIN: AttemptRules = {
  maxAttempts: 2,
  kept: 'best',
  waitMinutes: 0,
  timeLimitMinutes: null,
  order: 'shuffled',
  feedback: 'close',
  answers: 'never',
  late: null,
  items: { kind: 'all' },
  help: ['hints'],
  passPercent: 50,
}
/** Work with items that are drawn, one that goes by the answers, and one that nobody has yet. */
const GIVEN: readonly {
  readonly title: string
  readonly rules: Partial<AttemptRules>
  readonly isHeld?: true
}[] = [
  {
    title: 'Walk: drawn',
    rules: { items: { kind: 'drawn', again: 'new', shares: [{ standard: null, hardness: null, count: 3 }] } },
  },
  {
    title: 'Walk: adaptive',
    rules: { items: { kind: 'adaptive', most: 4, untilError: null }, feedback: 'item' },
  },
  { title: 'Walk: held', rules: {}, isHeld: true },
]

async function give(teacher: Agent, classIds: readonly ClassId[]): Promise<void> {
  const shelf = (await teacher.call(ShowShelf)).value
  const piece = shelf?.pieces.find((p) => p.code === 'wav203')
  if (!piece) throw new Error('no piece')
  const inside = await teacher.call(LookInside, { params: { resourceId: piece.id } })
  bank = inside.value?.resource.items ?? []
  for (const { title, rules, isHeld } of GIVEN) {
    const draft = {
      pieces: [
        {
          id: 'p1' as never,
          resourceId: piece.id,
          revision: piece.revision,
          when: 'in' as const,
          handIn: 'alone' as const,
          leastMinutes: 0,
          window: {},
          rules: {},
        },
      ],
      title,
      note: '',
      about: { ...NO_ABOUT, category: 'Secret category' },
      newcomers: true,
      teams: [],
      isFirst: false,
      inTurn: false,
      window: NO_WINDOW,
      rules: { ...PLAIN, ...rules },
      targets: classIds.map((classId) => ({ target: { kind: 'class' as const, classId }, overrides: {} })),
      exceptIds: [],
    }
    const reply = await teacher.call(Assign, { body: { draft, publish: isHeld !== true } })
    if (!reply.ok) throw new Error(reply.text)
  }
}

beforeAll(async () => {
  const server = await aServer('demo')
  const teacher = await signedIn(server, 'imani')
  const classes = (await teacher.call(ShowOverview)).value?.classes ?? []
  await give(
    teacher,
    classes.map((c) => c.id),
  )
  for (const { id } of classes) {
    const room = (await teacher.call(ShowClass, { params: { classId: id } })).value
    names.push(...(room?.learners.map((l) => l.name) ?? []))
    for (const l of room?.learners ?? []) nameOf.set(l.id, l.name)
    secrets.groups.push(...(room?.groups.map((g) => g.name) ?? []))
    secrets.codes.push(room?.joinCode ?? '')
  }
  for (const work of (await teacher.call(ListWork)).value?.work ?? []) {
    if (work.state === 'held') secrets.titles.push(work.title)
    if (work.state === 'published') teams.push(...(await teamsOf(teacher, work.id)))
    const page = (await teacher.call(ShowWork, { params: { assignmentId: work.id } })).value
    if (page)
      keys.set(
        work.id,
        (
          await Promise.all(
            page.draft.pieces.map(({ resourceId }) => teacher.call(LookInside, { params: { resourceId } })),
          )
        ).flatMap((inside) => inside.value?.resource.items ?? []),
      )
  }
  for (const p of DEMO_PEOPLE.filter((p) => p.role === 'learner'))
    await walk(await signedIn(server, p.signIn), p.signIn, p.name)
})

/** Who hands in one piece of work together, by name. */
async function teamsOf(teacher: Agent, assignmentId: AssignmentId): Promise<readonly (readonly string[])[]> {
  const page = (await teacher.call(ShowWork, { params: { assignmentId } })).value
  const isTogether = page?.draft.pieces.some((p) => p.handIn === 'together') ?? false
  return isTogether ? (page?.draft.teams ?? []).map((t) => t.map((id) => nameOf.get(id) ?? '')) : []
}

const AT_ONCE: ReadonlySet<string> = new Set(['item', 'submission'])

describe('what learners are sent', () => {
  it('was walked for four learners and many pieces', () => {
    expect(walks.map((w) => w.who)).toEqual(['noa', 'emeka', 'linh', 'saoirse'])
    for (const w of walks) expect(w.pieces.length).toBeGreaterThan(6)
    expect(names.length).toBe(135)
    expect(secrets.titles.length).toBeGreaterThan(0)
  })

  it('names of other learners those alone with whom work is handed in together', () => {
    expect(walks.map((w) => w.mates.length)).toEqual([0, 0, 1, 0])
    const linh = walks.find((w) => w.who === 'linh')
    expect(linh?.texts.some((t) => t.includes(linh.mates[0] ?? '-'))).toBe(true)
  })

  it('names no other learner besides, no group, no joining code, no held work', () => {
    for (const w of walks) {
      const all = w.texts.join('\n')
      for (const name of names)
        if (name !== w.name && !w.mates.includes(name))
          expect(all.includes(name), `${w.who} is sent ${name}`).toBe(false)
      for (const secret of [...secrets.groups, ...secrets.codes, ...secrets.titles])
        expect(all.includes(secret), `${w.who} is sent ${secret}`).toBe(false)
    }
  })

  it('holds no key of an item outside what the rules reveal', () => {
    for (const w of walks) {
      for (const text of w.texts)
        expect(text).not.toMatch(/"(accepted|tolerance|difficulty|standard|rightIds)"/)
      for (const piece of w.pieces) {
        for (const item of [
          ...(piece.open?.items ?? []),
          ...piece.seen.flatMap((t) => t.items.map((i) => i.item)),
        ])
          for (const key of ['right', 'value', 'accepted', 'feedback'])
            expect(Object.keys(item)).not.toContain(key)
        const { closesAt } = piece.piece
        const closed = closesAt !== null && closesAt <= piece.now
        for (const seen of piece.seen.flatMap((t) => t.items)) {
          if ('right' in seen)
            expect(AT_ONCE.has(piece.answersWhen) || (piece.answersWhen === 'close' && closed)).toBe(true)
          if ('feedback' in seen)
            expect(AT_ONCE.has(piece.feedbackWhen) || (piece.feedbackWhen === 'close' && closed)).toBe(true)
        }
      }
    }
  })

  it('tells no short answer or feedback before it is due', () => {
    for (const w of walks) {
      for (const piece of w.pieces.filter((p) => p.open !== null)) {
        const sent = JSON.stringify(piece.open)
        for (const item of keys.get(piece.work.id) ?? []) {
          expect(sent.includes(JSON.stringify(item.feedback).slice(1, -1))).toBe(false)
          expect(Object.keys(piece.open?.answers ?? {})).not.toContain(`right-${item.id}`)
        }
      }
    }
  })

  it('holds only the items of a try, drawn or one after another, and shows each only once it is given', () => {
    for (const w of walks) {
      const drawn = w.open.filter((t) => t.mode === 'all' && t.items.length === 3)
      const adaptive = w.open.filter((t) => t.mode === 'one-after-another')
      expect(drawn.length).toBeGreaterThan(0)
      expect(adaptive.map((t) => t.items.length)).toEqual(expect.arrayContaining([1, 2, 3]))
      for (const t of [...drawn, ...adaptive])
        for (const item of bank.filter((i) => !t.items.some((own) => own.id === i.id)))
          expect(JSON.stringify(t).includes(item.stem), `${w.who} is sent an item of others`).toBe(false)
      for (const t of w.open)
        for (const item of t.items.filter((i) => !(i.id in t.fixed))) {
          const whole = bank.find((i) => i.id === item.id && i.stem === item.stem)
          if (whole) expect(JSON.stringify(t).includes(whole.feedback)).toBe(false)
        }
      expect(w.texts.join('')).not.toContain('Secret category')
    }
  })

  it('lists no work before its listing, and says nothing of teacher’s matters', () => {
    for (const w of walks) {
      for (const p of w.pieces) expect(['not-listed', 'put-away']).not.toContain(p.piece.state)
      for (const text of w.texts)
        expect(text).not.toMatch(
          /"(because|targets|overrides|exceptIds|authorId|teacherIds|accommodation|pacing|pattern)"/,
        )
    }
  })
})
