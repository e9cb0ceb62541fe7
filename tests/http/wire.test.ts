import { request } from 'node:http'
import { beforeAll, describe, expect, it } from 'vitest'
import { SignIn, SignUp, WhoAmI } from '#shared/contracts/accounts'
import { ReadClosures, ShowOverview } from '#shared/contracts/teaching'
import { Agent, aServer, signedIn } from '../support/server'
import type { Running } from '../support/server'

let server: Running
beforeAll(async () => {
  server = await aServer('empty')
})

describe('the production build', () => {
  it('reads the body of a POST', async () => {
    const agent = new Agent(server)
    const reply = await agent.call(SignUp, {
      body: { school: 'Small School', name: 'Tess', signIn: 'tess', password: 'long enough' },
    })
    expect(reply.value).toMatchObject({
      name: 'Tess',
      schoolName: 'Small School',
      role: 'teacher',
      demo: false,
    })
    expect((await agent.call(WhoAmI)).value?.name).toBe('Tess')
    expect((await agent.call(ShowOverview)).value).toMatchObject({
      years: [],
      classes: [],
      plans: [],
      mayEditYear: true,
    })
  })

  it('has no demo people outside the demo', async () => {
    expect((await new Agent(server).raw('GET', '/api/demo-people')).text).toBe('{"people":[]}')
  })

  it('seals the session in a cookie that scripts cannot read, and ends it for good', async () => {
    const agent = new Agent(server)
    const { headers } = await agent.raw('POST', '/api/sign-in', { signIn: 'tess', password: 'long enough' })
    expect(headers.get('set-cookie')).toMatch(/^step-cairn=[^;]{40,};.*HttpOnly;.*SameSite=Lax/i)
    const { cookie } = agent
    await agent.raw('POST', '/api/sign-out', {})
    agent.cookie = cookie
    expect((await agent.call(WhoAmI)).error?.code).toBe('access/not-signed-in')
    agent.cookie = `${cookie.slice(0, -6)}AAAAAA`
    expect((await agent.raw('GET', '/api/me')).status).toBe(401)
  })
})

describe('bad requests', () => {
  it('names the field and what is wrong, without applying anything', async () => {
    const agent = new Agent(server)
    const send = async (body: unknown) =>
      JSON.parse((await agent.raw('POST', '/api/sign-up', body)).text).error
    expect(await send({ school: 'S', name: 'N', signIn: 'x y', password: 'long enough' })).toMatchObject({
      code: 'input/invalid',
      field: 'signIn',
    })
    expect(await send({ school: 'S', name: 'N', signIn: 'xy', password: 'short' })).toEqual({
      code: 'input/invalid',
      field: 'password',
      problem: 'needs at least 8 characters',
    })
    expect(await send({ school: ' ', name: 'N', signIn: 'xy', password: 'long enough' })).toMatchObject({
      field: 'school',
      problem: 'is empty',
    })
    expect(
      await send({ school: 'S', name: 'N', signIn: 'xy', password: 'long enough', office: true }),
    ).toEqual({ code: 'input/invalid', field: 'office', problem: 'is not known here' })
    expect((await agent.call(SignIn, { body: { signIn: 'xy', password: 'long enough' } })).error?.code).toBe(
      'access/wrong-sign-in',
    )
  })

  it('refuses what is not JSON, too large, or from another site', async () => {
    const agent = await signedIn(server, 'tess', 'long enough')
    expect((await agent.raw('POST', '/api/read-outline', '{"text":')).status).toBe(400)
    expect(
      (await agent.raw('POST', '/api/read-outline', { text: 'a,b,1' }, { 'content-type': 'text/plain' }))
        .status,
    ).toBe(400)
    expect((await agent.raw('POST', '/api/read-outline', { text: 'x'.repeat(700_000) })).status).toBe(413)
    expect(
      (await agent.raw('POST', '/api/read-outline', { text: 'a,b,1' }, { origin: 'https://evil.example' }))
        .status,
    ).toBe(403)
    expect(
      (await agent.raw('POST', '/api/read-outline', { text: 'a,b,1' }, { 'sec-fetch-site': 'cross-site' }))
        .status,
    ).toBe(403)
    expect(
      (await agent.raw('POST', '/api/read-outline', { text: 'a,b,1' }, { origin: server.address })).status,
    ).toBe(200)
  })

  it('takes in no more of a body than its route allows, however it is sent', async () => {
    const { hostname, port } = new URL(server.address)
    const sent = await new Promise<{ status: number; bytes: number }>((resolve, reject) => {
      const ask = request({
        hostname,
        port,
        method: 'POST',
        path: '/api/sign-in',
        headers: { 'content-type': 'application/json' },
      })
      let [bytes, over] = [0, false]
      const chunk = Buffer.alloc(64_000, 'x')
      // piece by piece, as a line would bring it, so that an answer is heard meanwhile
      const push = () => {
        if (over || bytes >= 200_000_000) return void (over || ask.end())
        bytes += chunk.length
        ask.write(chunk, () => setImmediate(push))
      }
      ask.on('response', (reply) => {
        over = true
        reply.resume()
        resolve({ status: reply.statusCode ?? 0, bytes })
        ask.destroy()
      })
      // the server closes the connection while the rest is on its way
      ask.on('error', (error) => (over ? undefined : reject(error)))
      push()
    })
    expect(sent.status).toBe(413)
    expect(sent.bytes).toBeLessThan(10_000_000)
    // and goes on for everybody else
    expect((await new Agent(server).raw('GET', '/api/demo-people')).status).toBe(200)
  })

  it('does nothing that was asked by a request that broke off', async () => {
    const agent = await signedIn(server, 'tess', 'long enough')
    const { hostname, port } = new URL(server.address)
    const headers = { cookie: agent.cookie, 'content-type': 'application/json', 'content-length': '100' }
    const ask = request({ hostname, port, method: 'POST', path: '/api/sign-out', headers })
    const gone = new Promise((closed) => ask.on('error', () => undefined).on('close', closed))
    await new Promise<void>((sent) => ask.write('{', () => sent()))
    expect((await agent.call(WhoAmI)).ok).toBe(true)
    ask.destroy()
    await gone
    for (let i = 0; i < 20; i++) expect((await agent.call(WhoAmI)).ok).toBe(true)
  })

  it('refuses ids that every object knows, years of another millennium, and control characters', async () => {
    const agent = await signedIn(server, 'tess', 'long enough')
    const fault = async (path: string, body: unknown) => {
      const { status, text } = await agent.raw('POST', path, body)
      return [status, JSON.parse(text).error?.code, JSON.parse(text).error?.field]
    }
    const act = (part: object) => ({
      kind: 'length',
      classId: 'c',
      lessonId: 'l',
      from: null,
      to: 2,
      ...part,
    })
    for (const id of ['__proto__', 'constructor', 'toString'])
      expect(await fault('/api/desk/command', act({ lessonId: id }))).toEqual([
        422,
        'input/invalid',
        'lessonId',
      ])
    const year = {
      name: '2026/27',
      zone: 'America/Denver',
      firstOn: '2026-08-24',
      lastOn: '2027-06-11',
      weekdays: [1, 2, 3, 4, 5],
      terms: [],
      notes: [],
      rotation: null,
    }
    expect(await fault('/api/years', { ...year, firstOn: '9998-08-24', lastOn: '9999-12-31' })).toEqual([
      422,
      'input/invalid',
      'firstOn',
    ])
    expect(await fault('/api/years', { ...year, firstOn: '1998-08-24', lastOn: '1999-06-11' })).toEqual([
      422,
      'calendar/year-out-of-range',
      'firstOn',
    ])
    for (const name of ['Year\r\nX-Evil: 1', 'Year\u0000', 'Ye\u2028ar'])
      expect(await fault('/api/years', { ...year, name })).toEqual([422, 'input/invalid', 'name'])
  })

  it('names the field of a planning act that is wrong, whichever kind of act it is', async () => {
    const agent = await signedIn(server, 'tess', 'long enough')
    const wrong = async (body: unknown) =>
      JSON.parse((await agent.raw('POST', '/api/desk/command', body)).text).error
    expect(await wrong({ kind: 'length', classId: 'c', lessonId: 'l', from: null, to: 1.5 })).toMatchObject({
      code: 'input/invalid',
      field: 'to',
    })
    expect(
      await wrong({
        kind: 'note',
        yearId: 'y',
        from: null,
        to: {
          id: 'n',
          kind: 'closure',
          name: '',
          fromOn: '2026-02-31',
          throughOn: '2026-09-01',
          classIds: [],
        },
      }),
    ).toMatchObject({ field: 'to.name' })
    expect(
      await wrong({
        kind: 'class',
        classId: 'c',
        part: 'baseline',
        from: null,
        to: { agreedAt: 1, lessons: { a: [['2026-09-31', 2]] } },
      }),
    ).toMatchObject({ field: 'to.lessons.a.0.0' })
    expect(await wrong({ kind: 'together', purpose: { code: 'fit' }, commands: [] })).toMatchObject({
      field: 'commands',
    })
    expect((await wrong({ kind: 'dance' })).code).toBe('input/invalid')
  })

  it('refuses 5 MB of calendar and what is no calendar', async () => {
    const agent = await signedIn(server, 'tess', 'long enough')
    const dates = { firstOn: '2026-08-24' as never, lastOn: '2027-06-11' as never, zone: 'America/Denver' }
    expect(
      (
        await agent.call(ReadClosures, {
          body: { text: `BEGIN:VCALENDAR\n${'X-A:b\n'.repeat(900_000)}`, ...dates },
        })
      ).status,
    ).toBe(413)
    expect(
      (await agent.call(ReadClosures, { body: { text: 'PK not a calendar', ...dates } })).error?.code,
    ).toBe('formats/not-a-calendar')
  })

  it('answers unknown addresses by a page of its own, or by one JSON shape', async () => {
    const agent = new Agent(server)
    expect(JSON.parse((await agent.raw('GET', '/api/nothing')).text)).toEqual({
      error: { code: 'wire/unknown-address' },
    })
    expect((await agent.raw('POST', '/api/me', {})).status).toBe(404)
    const { status, text } = await agent.raw('GET', '/_nuxt/nothing.js')
    expect(status).toBe(404)
    expect(text).not.toMatch(/at .*\.m?js:\d+/)
  })

  it('sends a strict policy and no remote hosts with every page', async () => {
    const { headers, text } = await new Agent(server).raw('GET', '/sign-in')
    const policy = headers.get('content-security-policy') ?? ''
    expect(policy).toContain("default-src 'self'")
    expect(policy).not.toMatch(/https?:|unsafe-eval|script-src[^;]*unsafe-inline/)
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('x-powered-by')).toBeNull()
    expect(text).toContain('lang="en"')
    expect(text.match(/https?:\/\/(?!www\.w3\.org)[^"' ]+/g) ?? []).toEqual([])
  })

  it('throttles guessing of a password', async () => {
    const agent = new Agent(server)
    for (let i = 0; i < 8; i++)
      await agent.raw('POST', '/api/sign-in', { signIn: 'guessed', password: 'wrong one' })
    expect(
      (await agent.raw('POST', '/api/sign-in', { signIn: 'guessed', password: 'wrong one' })).status,
    ).toBe(429)
  })
})

describe('starting', () => {
  it('stops with a clear message when a setting is wrong or the database cannot be written', async () => {
    const { serve, freePort } = await import('../../scripts/steps/serve.mjs')
    const start = async (env: Record<string, string>) =>
      serve({ port: await freePort(4900, false), quiet: true, env }).then(
        async ({ child }) => {
          child.kill()
          return 'started'
        },
        (e: Error) => e.message,
      )
    expect(await start({ STEP_CAIRN_SECRET: 'short' })).toContain(
      'STEP_CAIRN_SECRET needs at least 32 characters',
    )
    expect(
      await start({ STEP_CAIRN_SECRET: 'x'.repeat(40), STEP_CAIRN_DATABASE: `${server.file}/inside/x.db` }),
    ).toContain('cannot be written: check that the folder exists')
  })
})
