import { execFileSync, spawn } from 'node:child_process'
import { once } from 'node:events'
import { chmodSync, existsSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { SaveAnswers, StartTry, ShowMyPiece } from '#shared/contracts/learning'
import { ListMyWork } from '#shared/contracts/myWork'
import { ListWork } from '#shared/contracts/work'
import { ShowHealth } from '#shared/contracts/running'
import { aChange } from '../support/made'
import { Agent, SECRET, aServer, signedIn } from '../support/server'
import type { Running } from '../support/server'
import { MIGRATIONS, aFolder } from '../support/world'

const BUILT = fileURLToPath(new URL('../../.output/server/index.mjs', import.meta.url))
const NEXT = { STEP_CAIRN_METRICS_TOKEN: 'a token of sixteen' }

/** Root may write everything: somebody who may not; null where nobody else could read the build. */
const AS_OTHER = process.getuid?.() !== 0 ? {} : isOpenToAll(BUILT) ? { uid: 65_534 } : null

function isOpenToAll(path: string): boolean {
  const isOpen = (statSync(path).mode & 0o005) !== 0
  return isOpen && (dirname(path) === path || isOpenToAll(dirname(path)))
}

/** Lets a running server write no file beyond this size, as on a disk that is full. */
function limitFiles({ pid }: Running, bytes: string): void {
  execFileSync('prlimit', ['--pid', String(pid), `--fsize=${bytes}:unlimited`])
}

/** A server that may not come up: what it says, and how it ends. */
async function started(env: Readonly<Record<string, string>>, as: { readonly uid?: number } = {}) {
  const child = spawn(process.execPath, [BUILT], {
    env: { ...process.env, NITRO_HOST: '127.0.0.1', STEP_CAIRN_SECRET: SECRET, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
    ...as,
  })
  let said = ''
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()))
  const [code] = (await once(child, 'exit')) as [number]
  return { code, lines: said.trim().split('\n') }
}

describe('a running server', () => {
  it('says how it is to anyone, and figures only to who has the token', async () => {
    const server = await aServer('demo', NEXT)
    const agent = new Agent(server)
    const health = await agent.call(ShowHealth)
    expect(health.value).toEqual({ ready: true, canWrite: true, version: '0.1.0' })
    await agent.raw('POST', '/api/sign-in', { signIn: 'imani', password: 'wrong one' })
    const figures = (token?: string) =>
      agent.raw('GET', '/api/metrics', undefined, token ? { authorization: `Bearer ${token}` } : {})
    for (const token of [undefined, 'a token of sixteem', '']) expect((await figures(token)).status).toBe(404)
    const { text, status } = await figures(NEXT.STEP_CAIRN_METRICS_TOKEN)
    expect(status).toBe(200)
    const said = JSON.parse(text) as { readonly routes: readonly object[]; readonly queues: object }
    expect(said.routes).toContainEqual(
      expect.objectContaining({ route: 'POST /api/sign-in', statuses: { 401: 1 } }),
    )
    expect(said.queues).toEqual({ writes: 0, passwords: 0, heavy: 0 })
    expect(text).not.toContain('imani')
  })

  it('shows figures to nobody where no token is set', async () => {
    const agent = new Agent(await aServer('empty'))
    expect((await agent.raw('GET', '/api/metrics', undefined, { authorization: 'Bearer ' })).status).toBe(404)
  })

  it('answers unknown pages with 404 and a page of ours, known ones with the app', async () => {
    const agent = new Agent(await aServer('empty'))
    for (const path of ['/nothing', '/work/a/b', '/.env', '/pace/nothing', '/learn/x/y', '//x']) {
      const { status, text } = await agent.raw('GET', path)
      expect([path, status]).toEqual([path, 404])
      expect(text).toContain('There is nothing at this address')
    }
    for (const path of ['/', '/work/abc', '/pace?x=1', '/sign-in', '/classes/plan/p1', '/learn/'])
      expect([path, (await agent.raw('GET', path)).status]).toEqual([path, 200])
  })
})

describe('a disk that is full', () => {
  it('lets everybody read, says what is wrong, keeps what was saved, and goes on once there is room', async () => {
    const server = await aServer('demo')
    const learner = await signedIn(server, 'noa')
    const teacher = await signedIn(server, 'imani')
    const work = (await learner.call(ListMyWork)).value?.work.find(
      (w) => w.pieces[0]?.mayTry && w.pieces[0].itemCount > 0,
    )
    const params = { assignmentId: work?.id as never }
    const open = (await learner.call(StartTry, { params, body: { pieceId: 'p1' as never } })).value
    const item = open?.items.find((i) => i.kind === 'single')
    if (!open || item?.kind !== 'single') throw new Error('no question to answer')
    const save = (choice: number, edit: number) =>
      learner.call(SaveAnswers, {
        params: { attemptId: open.attemptId },
        body: {
          saves: [aChange(item.id, { kind: 'single', choice: item.options[choice]?.id as never }, { edit })],
        },
      })
    expect((await save(0, 1)).ok).toBe(true)
    limitFiles(server, '1')
    const refused = await save(1, 2)
    expect([refused.status, refused.error?.code]).toEqual([503, 'wire/cannot-save'])
    expect(server.errors()).toMatch(/"what":"cannot-save","route":"POST [^"]+","why":"SQLITE_\w+"/)
    // reading goes on, for the teacher too, whose list ends tries that are overdue
    expect((await learner.call(ShowMyPiece, { params })).ok).toBe(true)
    expect((await teacher.call(ListWork)).ok).toBe(true)
    const ill = await new Agent(server).raw('GET', '/api/health')
    expect([ill.status, JSON.parse(ill.text)]).toMatchObject([503, { ready: false, canWrite: false }])
    limitFiles(server, 'unlimited')
    expect((await save(1, 3)).ok).toBe(true)
    const answers = (await learner.call(ShowMyPiece, { params })).value?.open?.answers
    expect(answers?.[item.id]).toEqual({ kind: 'single', choice: item.options[1]?.id })
    expect(server.errors()).not.toContain('defect')
  })
})

describe('a server that cannot work', () => {
  it('does not start: a port that is taken, in one line', async () => {
    const other = await aServer('empty')
    const port = new URL(other.address).port
    const { code, lines } = await started({
      NITRO_PORT: port,
      STEP_CAIRN_DATABASE: join(aFolder(), 'x.db'),
      STEP_CAIRN_MIGRATIONS: MIGRATIONS,
    })
    expect(code).toBe(1)
    expect(lines).toHaveLength(1)
    expect(lines[0]).toContain(port)
  })

  it('does not start: a folder that cannot be written, or settings that make no sense', async () => {
    const common = { NITRO_PORT: '0', STEP_CAIRN_MIGRATIONS: MIGRATIONS }
    const nowhere = await started({ ...common, STEP_CAIRN_DATABASE: '/etc/passwd/x.db' })
    expect([nowhere.code, nowhere.lines.length]).toEqual([1, 1])
    expect(nowhere.lines[0]).toContain('cannot be written')
    const file = join(aFolder(), 'x.db')
    const wrong = await started({ ...common, STEP_CAIRN_DATABASE: file, STEP_CAIRN_TRUSTED_PROXIES: 'me' })
    expect(wrong.code).toBe(1)
    expect(wrong.lines[0]).toContain('STEP_CAIRN_TRUSTED_PROXIES')
    expect(existsSync(file)).toBe(false)
    const uninvited = await started({
      ...common,
      STEP_CAIRN_DATABASE: file,
      STEP_CAIRN_SIGN_UP: 'invitation',
    })
    expect(uninvited.lines[0]).toContain('STEP_CAIRN_INVITATION')
  })

  it.skipIf(AS_OTHER === null)('does not start on a file that may only be read', async () => {
    const server = await aServer('empty')
    await server.stop()
    chmodSync(server.file, 0o444)
    chmodSync(dirname(server.file), 0o755)
    const common = { NITRO_PORT: '0', STEP_CAIRN_MIGRATIONS: MIGRATIONS }
    const { code, lines } = await started({ ...common, STEP_CAIRN_DATABASE: server.file }, AS_OTHER ?? {})
    expect([code, lines.length]).toEqual([1, 1])
    expect(lines[0]).toContain('cannot be written')
  })
})

describe('who is asking', () => {
  const wrong = { signIn: 'imani', password: 'wrong one' }
  const tries = async (server: Running, count: number, from: (i: number) => string) => {
    const agent = new Agent(server)
    const all = await Promise.all(
      Array.from({ length: count }, (_, i) =>
        agent.raw('POST', '/api/sign-in', wrong, { 'x-forwarded-for': from(i) }),
      ),
    )
    return all.filter((r) => r.status === 429).length
  }

  it('is told by forwarding headers of trusted proxies only', async () => {
    const alone = await aServer('demo')
    // whoever writes another address into each request is still one
    expect(await tries(alone, 20, (i) => `10.0.0.${i}`)).toBe(12)
    const behind = await aServer('demo', { STEP_CAIRN_TRUSTED_PROXIES: '127.0.0.1' })
    expect(await tries(behind, 20, (i) => `10.0.0.${i}`)).toBe(0)
    // what stands before the proxy's own word is the sender's invention
    expect(await tries(behind, 20, (i) => `10.9.9.${i}, 192.0.2.1`)).toBeGreaterThanOrEqual(12)
  })
})
