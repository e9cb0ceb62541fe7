import { EventEmitter, once } from 'node:events'
import { performance } from 'node:perf_hooks'
import { afterAll, describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import { parseClosures, parseRoster } from '#core/formats'
import { ReadClosures } from '#shared/contracts/teaching'
import { HEAVY_LIMITS, heavyPool } from '../../server/heavy/pool'
import type { HeavyPool } from '../../server/heavy/pool'
import { cpuMsOfMainThread } from '../support/cpu'
import { Agent, aServer, signedIn } from '../support/server'

const WORKER = new URL('../../.output/server/heavy.worker.mjs', import.meta.url).href
const YEAR = { firstOn: isoDay('2026-08-31'), lastOn: isoDay('2027-06-11'), zone: 'America/Denver' }
const calendar = (events: readonly string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', ...events, 'END:VCALENDAR'].join('\r\n')
const event = (uid: number, ...lines: readonly string[]) =>
  ['BEGIN:VEVENT', `UID:${uid}`, 'SUMMARY:Fair', 'DTSTART;VALUE=DATE:20260907', ...lines, 'END:VEVENT'].join(
    '\r\n',
  )
const many = <T>(count: number, of: (i: number) => T) => Array.from({ length: count }, (_, i) => of(i))
/** One series with so many days left out that reading it takes its time. */
const slow = calendar([
  event(
    1,
    'RRULE:FREQ=DAILY',
    ...many(26_000, (i) => `EXDATE;VALUE=DATE:2026${String(1 + (i % 12)).padStart(2, '0')}11`),
  ),
])

const pools: HeavyPool[] = []
afterAll(() => Promise.all(pools.map((p) => p.close())))
const nobodyExpects = (error: unknown) => {
  throw error
}
function aPool(
  limits: Partial<typeof HEAVY_LIMITS> = {},
  onLost: (error: unknown) => unknown = nobodyExpects,
): HeavyPool {
  const pool = heavyPool(WORKER, onLost, { ...HEAVY_LIMITS, ...limits })
  pools.push(pool)
  return pool
}

describe('a heavy job', () => {
  it('comes to the same as on this thread', async () => {
    const heavy = aPool().until(null)
    const text = calendar([event(1), event(2, 'RRULE:FREQ=WEEKLY;COUNT=3')])
    expect((await heavy.run('closures', text, YEAR)).value).toEqual(parseClosures(text, YEAR))
    const names = 'Name,Groups\nAna Reyes,Early\n,'
    expect((await heavy.run('roster', names)).value).toEqual(parseRoster(names))
  })

  it('is given up after its time, and the next one is done', async () => {
    const heavy = aPool({ seconds: 0.15 }).until(null)
    expect((await heavy.run('closures', slow, YEAR)).error).toEqual({
      code: 'compute/too-much',
      seconds: 0.15,
    })
    const later = aPool().until(null)
    expect((await later.run('roster', 'Ana Reyes')).ok).toBe(true)
  })

  it('is given up beyond its memory without taking the process along', async () => {
    const heavy = aPool({ megabytes: 16, seconds: 20 }).until(null)
    const rows = many(40_000, (i) => `Learner ${i},${many(20, (g) => `g${i % 99}x${g}`).join(';')}`)
    const text = ['Name,Groups', ...rows].join('\n')
    expect((await heavy.run('roster', text)).error?.code).toBe('compute/too-much')
    expect((await heavy.run('roster', 'Ana Reyes')).ok).toBe(true)
  })

  it('is refused where threads do not even start, without taking the process along', async () => {
    const events = new EventEmitter()
    const lost = once(events, 'lost')
    const heavy = aPool({ megabytes: 1, seconds: 20 }, (error) => events.emit('lost', error)).until(null)
    expect((await heavy.run('roster', 'Ana Reyes')).error?.code).toBe('compute/too-much')
    expect(await lost).toMatchObject([{ code: 'ERR_WORKER_OUT_OF_MEMORY' }])
  })

  it('ends when nobody waits for it any more', async () => {
    const gone = new AbortController()
    const pool = aPool({ seconds: 60 })
    const run = pool.until(gone.signal).run('closures', slow, YEAR)
    gone.abort()
    expect((await run).error?.code).toBe('compute/too-much')
  })

  it('waits in a queue that has an end', async () => {
    const heavy = aPool({ waiting: 2, seconds: 60 }).until(null)
    const all = await Promise.all(many(9, () => 'Ana Reyes').map((text) => heavy.run('roster', text)))
    expect(all.some((r) => r.error?.code === 'compute/busy')).toBe(true)
    expect(all.some((r) => r.ok)).toBe(true)
  })

  it('of somebody whose file takes its time leaves the others theirs', async () => {
    const pool = aPool({ seconds: 60 })
    const ended: string[] = []
    const greedy = many(5, () =>
      pool
        .until(null, 'greedy')
        .run('closures', slow, YEAR)
        .finally(() => ended.push('greedy')),
    )
    const other = await pool.until(null, 'other').run('outline', 'Waves')
    ended.push('other')
    await Promise.all(greedy)
    expect(other.ok).toBe(true)
    // theirs go one after another; in one queue with them it would have been the last
    expect(ended.indexOf('other')).toBeLessThan(4)
  })

  it('leaves this thread free', async () => {
    const heavy = aPool({ seconds: 60 }).until(null)
    await heavy.run('roster', 'Ana Reyes')
    const before = performance.eventLoopUtilization()
    expect((await heavy.run('closures', slow, YEAR)).ok).toBe(true)
    // reading it here would keep this thread busy from end to end, however quick or slow the machine
    expect(performance.eventLoopUtilization(before).utilization).toBeLessThan(0.5)
  })
})

/** Milliseconds of processor that the answering thread may need for an answer, while a file is read beside it. */
const MOST_AN_ANSWER = 150

describe('what once froze the server', () => {
  const HOSTILE = {
    'a day that never comes': calendar([event(1, 'RRULE:FREQ=DAILY;BYMONTHDAY=31;BYMONTH=2')]),
    'a rule for every second': calendar([event(1, 'RRULE:FREQ=SECONDLY;BYMONTH=8')]),
    '8,000 daily events': calendar(many(8000, (i) => event(i, 'RRULE:FREQ=DAILY'))),
    '4,000 series with exceptions': calendar(
      many(4000, (i) => event(i, 'RRULE:FREQ=WEEKLY', 'EXDATE;VALUE=DATE:20260914')),
    ),
  }

  it.each(Object.entries(HOSTILE))('%s: is answered, and so is everybody else', async (_, text) => {
    const server = await aServer('demo')
    const teacher = await signedIn(server, 'imani')
    const other = new Agent(server)
    const running = { isDone: false }
    const reading = teacher.call(ReadClosures, { body: { text, ...YEAR } })
    void reading.finally(() => (running.isDone = true))
    const before = cpuMsOfMainThread(server)
    let answered = 0
    while (!running.isDone) {
      expect((await other.raw('GET', '/api/me')).status).toBe(401)
      answered++
    }
    const reply = await reading
    expect([200, 422]).toContain(reply.status)
    // a thread that reads it itself works for seconds, and answers nobody meanwhile
    expect((cpuMsOfMainThread(server) - before) / (answered + 1)).toBeLessThan(MOST_AN_ANSWER)
  })
})
