import { beforeAll, describe, expect, it } from 'vitest'
import { ListMyWork, ShowMyPiece, StartTry } from '#shared/contracts/learning'
import type { MyPiece } from '#shared/contracts/learning'
import { ShowClass, ShowOverview } from '#shared/contracts/teaching'
import { ListWork, ShowWork } from '#shared/contracts/work'
import { LookInside } from '#shared/contracts/library'
import type { Item } from '#core/library'
import { DEMO_PEOPLE } from '#shared/demoPeople'
import { aServer, signedIn } from '../support/server'
import type { Agent } from '../support/server'

/** Everything a learner can be sent, gathered from all learner routes. */
interface Walk {
  readonly who: string
  readonly name: string
  readonly texts: string[]
  readonly pieces: MyPiece[]
}
const walks: Walk[] = []
const names: string[] = []
const secrets = { groups: [] as string[], codes: [] as string[], titles: [] as string[] }
const keys = new Map<string, readonly Item[]>()

async function walk(learner: Agent, who: string, name: string): Promise<void> {
  const texts: string[] = [(await learner.raw('GET', '/api/me')).text]
  const list = await learner.call(ListMyWork)
  texts.push(list.text)
  const pieces: MyPiece[] = []
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
  walks.push({ who, name, texts, pieces })
}

beforeAll(async () => {
  const server = await aServer('demo')
  const teacher = await signedIn(server, 'imani')
  for (const { id } of (await teacher.call(ShowOverview)).value?.classes ?? []) {
    const room = (await teacher.call(ShowClass, { params: { classId: id } })).value
    names.push(...(room?.learners.map((l) => l.name) ?? []))
    secrets.groups.push(...(room?.groups.map((g) => g.name) ?? []))
    secrets.codes.push(room?.joinCode ?? '')
  }
  for (const work of (await teacher.call(ListWork)).value?.work ?? []) {
    if (work.state === 'held') secrets.titles.push(work.title)
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

describe('what learners are sent', () => {
  it('was walked for four learners and many pieces', () => {
    expect(walks.map((w) => w.who)).toEqual(['noa', 'emeka', 'linh', 'saoirse'])
    for (const w of walks) expect(w.pieces.length).toBeGreaterThan(6)
    expect(names.length).toBe(135)
    expect(secrets.titles.length).toBeGreaterThan(0)
  })

  it('names no other learner, no group, no joining code, no held work', () => {
    for (const w of walks) {
      const all = w.texts.join('\n')
      for (const name of names)
        if (name !== w.name) expect(all.includes(name), `${w.who} is sent ${name}`).toBe(false)
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
            expect(piece.answersWhen === 'submission' || (piece.answersWhen === 'close' && closed)).toBe(true)
          if ('feedback' in seen)
            expect(piece.feedbackWhen === 'submission' || (piece.feedbackWhen === 'close' && closed)).toBe(
              true,
            )
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
