import type { Line } from './measure'
import { cookieOf, demoServer, line, load, share } from './serverLoad'
import type { Load } from './serverLoad'

const ROUNDS = 3
const WRONG_A_SECOND = 60

/** Wrong sign-ins under ever other names from ever other addresses, until the work is done. */
async function besideWrongSignIns<T>(address: string, work: () => Promise<T>): Promise<T> {
  let [n, isOver] = [0, false]
  const knock = () =>
    void fetch(`${address}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-forwarded-for': `10.1.${n >> 8}.${n % 256}` },
      body: JSON.stringify({ signIn: `stranger${n++}`, password: 'wrong one' }),
    }).then(
      (reply) => reply.text(),
      () => '',
    )
  const timer = setInterval(() => (isOver ? undefined : knock()), 1000 / WRONG_A_SECOND)
  try {
    return await work()
  } finally {
    isOver = true
    clearInterval(timer)
  }
}

/** What a session costs a request, and what strangers at the door cost everybody else. */
export async function doorsBench(): Promise<Line[]> {
  const { address, stop } = await demoServer()
  const runs: Record<'empty' | 'me' | 'alone' | 'beside', Load[]> = {
    empty: [],
    me: [],
    alone: [],
    beside: [],
  }
  try {
    const learner = await cookieOf(address, 'noa')
    for (let round = 0; round < ROUNDS; round++) {
      runs.empty.push(await load(`${address}/api/entry`, ''))
      runs.me.push(await load(`${address}/api/me`, learner))
      runs.alone.push(await load(`${address}/api/my-work`, learner, { connections: 5 }))
      runs.beside.push(
        await besideWrongSignIns(address, () => load(`${address}/api/my-work`, learner, { connections: 5 })),
      )
    }
  } finally {
    stop()
  }
  return [
    line('an empty route, 50 connections', runs.empty, '', ''),
    line('who am I, signed in', runs.me, '0.5 of empty', `, ${share(runs.me, runs.empty)} of empty`),
    line("a learner's list, 5 connections", runs.alone, '', ''),
    line(
      'the same beside 60 wrong sign-ins a second',
      runs.beside,
      '2 times alone',
      `, ${share(runs.alone, runs.beside)} times alone`,
    ),
  ]
}
