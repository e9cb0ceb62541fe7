import { fork } from 'node:child_process'
import { once } from 'node:events'
import { fileURLToPath } from 'node:url'
import { beforeAll, describe, expect, it } from 'vitest'
import type { AssignmentId, AttemptId, ClassId, ItemId, PieceId } from '#core/base'
import { SignIn } from '#shared/contracts/accounts'
import { SaveAnswers, ShowMyPiece, StartTry } from '#shared/contracts/learning'
import { ListMyWork } from '#shared/contracts/myWork'
import { ShowDesk } from '#shared/contracts/pacing'
import { SetJoining, ShowClass, ShowOverview } from '#shared/contracts/teaching'
import { ListWork } from '#shared/contracts/work'
import { DEMO_PASSWORD } from '#shared/demoPeople'
import { aChange } from '../support/made'
import { Agent, aServer, signedIn } from '../support/server'
import type { Running } from '../support/server'

const HOLDER = fileURLToPath(new URL('../support/holdsLock.mjs', import.meta.url))

/** Another process that holds the lock of a file until the given work is done. */
async function whileHeld<T>(file: string, work: () => Promise<T>): Promise<T> {
  const holder = fork(HOLDER, [file], { stdio: 'inherit' })
  const gone = once(holder, 'exit')
  await once(holder, 'message')
  try {
    return await work()
  } finally {
    holder.send('let go')
    await gone
  }
}

let server: Running
let teacher: Agent, learner: Agent
let classId: ClassId
beforeAll(async () => {
  server = await aServer('demo')
  teacher = await signedIn(server, 'imani')
  learner = await signedIn(server, 'linh')
  const rooms = (await teacher.call(ShowOverview)).value?.classes
  classId = rooms?.find((c) => c.name === 'Science 8 A')?.id as ClassId
})
const close = async () => {
  const { joinCode, joinOpen } = (await teacher.call(ShowClass, { params: { classId } })).value ?? {
    joinCode: '',
    joinOpen: true,
  }
  return teacher.call(SetJoining, {
    params: { classId },
    body: { act: 'close', seen: { joinCode, joinOpen } },
  })
}

describe('while another process holds the database', () => {
  it('everything that is read is answered, before the lock is let go', async () => {
    await whileHeld(server.file, async () => {
      const pages = ['/api/entry', '/api/me']
      for (let round = 0; round < 20; round++) {
        for (const path of pages) expect((await learner.raw('GET', path)).status).toBe(200)
        expect((await learner.call(ListMyWork)).ok).toBe(true)
        expect((await teacher.call(ShowDesk)).ok).toBe(true)
        expect((await teacher.call(ListWork)).ok).toBe(true)
      }
    })
  })

  it('what is written waits by timers, and is refused plainly where that lasts too long', async () => {
    const refused = await whileHeld(server.file, async () => {
      const acts = [
        close(),
        new Agent(server).call(SignIn, { body: { signIn: 'noa', password: DEMO_PASSWORD } }),
      ]
      let reads = 0
      const waiting = Promise.all(acts)
      // reads go on all the while: more of them than could be if each waited for the lock
      for (; reads < 100; reads++) expect((await learner.raw('GET', '/api/entry')).status).toBe(200)
      return waiting
    })
    expect(refused.map((r) => [r.status, r.error?.code])).toEqual([
      [503, 'wire/cannot-save'],
      [503, 'wire/cannot-save'],
    ])
    expect((await close()).ok).toBe(true)
    const lines = server
      .errors()
      .split('\n')
      .filter((l) => l.includes('cannot-save'))
    expect(lines.map((l) => JSON.parse(l))).toMatchObject([
      { what: 'cannot-save', why: 'SQLITE_BUSY' },
      { what: 'cannot-save', why: 'SQLITE_BUSY' },
    ])
  })

  it('no answer is lost: what was acknowledged is there, what was refused can be sent again', async () => {
    const open = (await learner.call(ListMyWork)).value?.work.flatMap(({ id, pieces }) =>
      pieces.filter((p) => p.mayTry && p.itemCount > 0).map(({ pieceId }) => ({ id, pieceId })),
    )[0]
    const params = { assignmentId: open?.id as AssignmentId }
    const body = { pieceId: open?.pieceId as PieceId }
    const begun = (await learner.call(StartTry, { params, body })).value
    const item = begun?.items.find((i) => i.kind === 'single')
    const [first = '', second = ''] = item?.kind === 'single' ? item.options.map((o) => o.id) : []
    const save = (choice: string, edit: number) => {
      const saves = [aChange(item?.id ?? '', { kind: 'single', choice }, { edit })]
      return learner.call(SaveAnswers, {
        params: { attemptId: begun?.attemptId as AttemptId },
        body: { saves },
      })
    }
    const stands = async () => {
      const { value } = await learner.call(ShowMyPiece, { params, query: body })
      return value?.open?.answers[item?.id as ItemId]
    }
    expect((await save(first, 1)).ok).toBe(true)
    const during = await whileHeld(server.file, () => save(second, 2))
    expect([during.status, during.error?.code]).toEqual([503, 'wire/cannot-save'])
    expect(await stands()).toEqual({ kind: 'single', choice: first })
    expect((await save(second, 2)).ok).toBe(true)
    expect(await stands()).toEqual({ kind: 'single', choice: second })
  })
})
