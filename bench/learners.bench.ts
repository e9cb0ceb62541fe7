import { createClient } from '@libsql/client'
import type { Line } from './measure'
import { cookieOf, demoServer, line, load, share } from './serverLoad'
import type { Load } from './serverLoad'

const ROUNDS = 3
const LEARNERS = 10_000
const ROWS = 200_000

/** As many learners and rows of their work as a town has, made of those of the demo. */
async function asLarge(file: string): Promise<void> {
  const db = createClient({ url: `file:${file}` })
  await db.executeMultiple(`
    insert into users (id, school_id, name, sign_in, password_hash, must_change_password, role, office,
        time_percent, extra_attempts, extra_days, created_at)
      with recursive n(i) as (select 1 union all select i + 1 from n where i < ${LEARNERS})
      select 'many' || i, u.school_id, 'Learner ' || i, 'many' || i, '', 0, 'learner', 0, 100, 0, 0, 0
      from n, (select school_id from users where sign_in = 'noa') u;
    insert into learner_work (assignment_id, learner_id, piece_id, class_id, listed_at, opens_at, due_at, closes_at,
        put_away_at, max_attempts, time_limit_minutes, because)
      select w.assignment_id, m.id, w.piece_id, w.class_id, w.listed_at, w.opens_at, w.due_at, w.closes_at,
        w.put_away_at, w.max_attempts, w.time_limit_minutes, w.because
      from users m, (select w.* from learner_work w join users u on u.id = w.learner_id and u.sign_in = 'noa') w
      where m.id like 'many%' limit ${ROWS};
    analyze;`)
  db.close()
}

/** Answers that are saved over and over, by a learner in the middle of a try. */
async function savesOf(address: string, cookie: string) {
  const ask = async (path: string, body?: unknown) =>
    (await (
      await fetch(address + path, {
        headers: { cookie, 'content-type': 'application/json' },
        ...(body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) }),
      })
    ).json()) as unknown
  const { work } = (await ask('/api/my-work')) as {
    readonly work: readonly {
      readonly id: string
      readonly pieces: readonly {
        readonly pieceId: string
        readonly mayTry: boolean
        readonly itemCount: number
      }[]
    }[]
  }
  const open = work.find((w) => w.pieces.some((p) => p.mayTry && p.itemCount > 0))
  const piece = open?.pieces.find((p) => p.mayTry && p.itemCount > 0)
  const { attemptId, items } = (await ask(`/api/my-work/${open?.id}/start`, { pieceId: piece?.pieceId })) as {
    readonly attemptId: string
    readonly items: readonly {
      readonly id: string
      readonly kind: string
      readonly options?: { readonly id: string }[]
    }[]
  }
  const item = items.find((i) => i.kind === 'single')
  const answer = { kind: 'single', choice: item?.options?.[0]?.id ?? null }
  const saves = [{ itemId: item?.id, answer, from: 0, writer: 'bench', edit: 1 }]
  return { url: `${address}/api/tries/${attemptId}/answers`, body: { saves } }
}

/** A learner's list in the demo and in a town, and answers saved for good; each beside an empty route. */
export async function learnersBench(): Promise<Line[]> {
  const runs: Record<'empty' | 'list' | 'alone' | 'saves' | 'large' | 'largeEmpty', Load[]> = {
    empty: [],
    list: [],
    alone: [],
    saves: [],
    large: [],
    largeEmpty: [],
  }
  const demo = await demoServer()
  try {
    const cookie = await cookieOf(demo.address, 'noa')
    const { url, body } = await savesOf(demo.address, cookie)
    for (let round = 0; round < ROUNDS; round++) {
      runs.empty.push(await load(`${demo.address}/api/entry`, ''))
      runs.list.push(await load(`${demo.address}/api/my-work`, cookie))
      runs.alone.push(await load(url, cookie, { body: { saves: [{ itemId: 'none' }] }, isRefused: true }))
      runs.saves.push(await load(url, cookie, { body }))
    }
  } finally {
    demo.stop()
  }
  const town = await demoServer(asLarge)
  try {
    const cookie = await cookieOf(town.address, 'noa')
    for (let round = 0; round < ROUNDS; round++) {
      runs.largeEmpty.push(await load(`${town.address}/api/entry`, ''))
      runs.large.push(await load(`${town.address}/api/my-work`, cookie))
    }
  } finally {
    town.stop()
  }
  return [
    line('an empty route, 50 connections', runs.empty, '', ''),
    line("a learner's list", runs.list, '0.15 of empty', `, ${share(runs.list, runs.empty)} of empty`),
    line(
      'the same among 10,000 learners and 200,000 rows',
      runs.large,
      'p95 under 50 ms, 0.15 of empty',
      `, ${share(runs.large, runs.largeEmpty)} of empty; ${share(runs.large, runs.list)} of the small one`,
    ),
    line('the route of saves alone: who asks, what, refused', runs.alone, '', ''),
    line(
      'an answer saved, synchronous FULL',
      runs.saves,
      '0.6 of the route alone',
      `, ${share(runs.saves, runs.alone)} of the route alone`,
    ),
  ]
}
