import { execFileSync } from 'node:child_process'
import { existsSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import ICAL from 'ical.js'
import { beforeAll, describe, expect, it } from 'vitest'
import type { ClassId } from '#core/base'
import { ChangeFeed, DoCommand, ShowDesk, Undo } from '#shared/contracts/pacing'
import type { Desk } from '#shared/contracts/pacing'
import { Agent, aServer, signedIn } from '../support/server'
import type { Running } from '../support/server'
import { aFolder } from '../support/world'

const CALCURSE = process.env.CALCURSE || '/usr/bin/calcurse'
let server: Running
let imani: Agent
let desk: Desk
let path = ''
const classId = () => desk.classes.find((c) => c.name === 'Science 7 E')?.id as ClassId

beforeAll(async () => {
  server = await aServer('demo')
  imani = await signedIn(server, 'imani')
  desk = (await imani.call(ShowDesk)).value as Desk
  path =
    (await imani.call(ChangeFeed, { params: { classId: classId() }, body: { to: 'new' } })).value?.path ?? ''
})

/** The feed as any calendar program gets it: without signing in. */
const read = () => new Agent(server).raw('GET', path)

/** Appointments of a week as calcurse has them after reading the feed into an empty calendar. */
async function inCalcurse(from: string): Promise<string[]> {
  const folder = aFolder()
  const file = join(folder, 'feed.ics')
  writeFileSync(file, (await read()).text)
  const env = { ...process.env, TZ: 'America/Denver', LC_ALL: 'C.UTF-8' }
  execFileSync(CALCURSE, ['-q', '-D', folder, '-i', file], { env, stdio: ['ignore', 'pipe', 'pipe'] })
  const text = execFileSync(
    CALCURSE,
    [
      '-q',
      '-D',
      folder,
      '-Q',
      '--filter-type',
      'cal',
      '--from',
      from,
      '--days',
      '7',
      '--format-apt',
      '%(start:%a %d %H:%M) %m\n',
    ],
    { env, encoding: 'utf8' },
  )
  return text
    .split('\n')
    .map((l) => l.trim())
    .filter((l) => /Science 7 E: /.test(l) && !/ (opens|due)/.test(l))
}

/** The same week as ical.js has it. */
async function inIcal(from: string, to: string): Promise<string[]> {
  return new ICAL.Component(ICAL.parse((await read()).text))
    .getAllSubcomponents('vevent')
    .map((v) => new ICAL.Event(v))
    .filter(
      (e) =>
        e.startDate.toString() >= from &&
        e.startDate.toString() < to &&
        e.summary.startsWith('Science 7 E: ') &&
        !/ (opens|due)/.test(e.summary),
    )
    .map((e) => `${e.startDate.toString().slice(8, 16)} ${e.summary}`)
    .sort()
}

describe('the calendar feed of a class', () => {
  it('is a calendar for whoever has its address, and nothing for who has not', async () => {
    const got = await read()
    expect([got.status, got.headers.get('content-type')]).toEqual([200, 'text/calendar; charset=utf-8'])
    expect(got.text.startsWith('BEGIN:VCALENDAR\r\n')).toBe(true)
    expect((await new Agent(server).raw('GET', '/api/feeds/aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa')).status).toBe(
      404,
    )
  })

  it('names no learner and holds no work that is not the class’s', async () => {
    const { text } = await read()
    expect(text).not.toMatch(/Noa|Emeka|Linh|Saoirse|Okafor/)
    expect(text).not.toContain('wavelength')
  })

  const lose = () => ({
    kind: 'meeting' as const,
    classId: classId(),
    on: '2026-11-04' as never,
    startMinute: 13 * 60 + 10,
    from: null,
    to: { kind: 'cancel' as const, on: '2026-11-04' as never, startMinute: 13 * 60 + 10, why: 'Assembly' },
  })

  it(
    'is read by ical.js at the right instants; changing the plan moves its ' +
      'events, and nothing stands twice',
    async () => {
      // Mon 2 to Fri 6 Nov; class at 1:10 pm in Denver, after the clocks went back: 20:10 UTC
      const before = await inIcal('2026-11-02', '2026-11-07')
      expect(before.map((l) => l.slice(0, 8))).toEqual(['02T20:10', '04T20:10', '06T20:10'])
      expect((await imani.call(DoCommand, { body: lose() })).ok).toBe(true)
      const after = await inIcal('2026-11-02', '2026-11-07')
      // the lost day is gone, its lesson stands on Friday
      expect(after.map((l) => l.slice(0, 8))).toEqual(['02T20:10', '06T20:10'])
      expect(after[1]?.slice(9)).toBe(before[1]?.slice(9))
      expect((await imani.call(Undo)).ok).toBe(true)
      expect(await inIcal('2026-11-02', '2026-11-07')).toEqual(before)
    },
  )

  it.skipIf(!existsSync(CALCURSE))(
    'is read by calcurse in the school’s local time, and follows the plan without ghosts',
    async () => {
      const before = await inCalcurse('11/02/2026')
      expect(before.map((l) => l.slice(0, 29))).toEqual([
        'Mon 02 13:10 Science 7 E: M2.',
        'Wed 04 13:10 Science 7 E: M3.',
        'Fri 06 13:10 Science 7 E: M3.',
      ])
      expect((await imani.call(DoCommand, { body: lose() })).ok).toBe(true)
      const after = await inCalcurse('11/02/2026')
      expect(after.map((l) => l.slice(0, 12))).toEqual(['Mon 02 13:10', 'Fri 06 13:10'])
      expect(after[1]?.slice(13)).toBe(before[1]?.slice(13))
      expect((await imani.call(Undo)).ok).toBe(true)
      expect(await inCalcurse('11/02/2026')).toEqual(before)
    },
  )

  it('as a file calls off what is lost under its own name, for calendars that have an earlier file', async () => {
    const file = await imani.raw('GET', `/api/classes/${classId()}/file?kind=calendar`)
    const lost = new ICAL.Component(ICAL.parse(file.text))
      .getAllSubcomponents('vevent')
      .filter((v) => v.getFirstPropertyValue('status') === 'CANCELLED')
    expect(lost.length).toBeGreaterThan(5)
    expect(new Set(lost.map((v) => v.getFirstPropertyValue('uid'))).size).toBe(lost.length)
    expect((await read()).text).not.toContain('CANCELLED')
  })

  it('ends at once when it is revoked', async () => {
    expect(
      (await imani.call(ChangeFeed, { params: { classId: classId() }, body: { to: 'none' } })).value,
    ).toEqual({ path: null, createdAt: null })
    expect((await read()).status).toBe(404)
  })
})
