import { performance } from 'node:perf_hooks'
import { zipSync } from 'fflate'
import { NO_MATERIAL } from '#core/library'
import type { Line } from './measure'
import { cookieOf, demoServer } from './serverLoad'

const MEBIBYTE = 1_048_576
const many = (count: number, of: (i: number) => string) =>
  Array.from({ length: count }, (_, i) => of(i)).join('')
const base64 = (bytes: Uint8Array | string) => Buffer.from(bytes).toString('base64')

const ownPiece = (content: string) => ({
  title: 'Full of beginnings',
  code: '',
  kind: 'reading',
  role: 'core',
  minutes: 10,
  grade: 8,
  content,
  language: 'en',
  readingLevel: null,
  standards: [],
  material: NO_MATERIAL,
  items: [],
})
const calendar = (events: string) => ({
  text: `BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${events}END:VCALENDAR\r\n`,
  firstOn: '2026-08-31',
  lastOn: '2027-06-11',
  zone: 'America/Denver',
})
const event = (i: number, rule: string) =>
  `BEGIN:VEVENT\r\nUID:${i}\r\nSUMMARY:Fair\r\nDTSTART;VALUE=DATE:20260907\r\n${rule}END:VEVENT\r\n`
const file = (name: string, content: Uint8Array | string) => ({ name, base64: base64(content) })

/** What somebody may send that means harm, or is only large: address and body. */
const HOSTILE: Readonly<Record<string, readonly [path: string, body: () => unknown]>> = {
  'an own piece full of beginnings of pictures': ['/api/resources', () => ownPiece('!['.repeat(19_999))],
  'an own piece full of beginnings of emphasis': ['/api/resources', () => ownPiece('**a '.repeat(9_999))],
  'a zip that lies about its size': [
    '/api/shelf/read-file',
    () => file('lies.zip', zipSync({ 'imsmanifest.xml': new Uint8Array(9 * MEBIBYTE).fill(60) })),
  ],
  'XML ten thousand elements deep': [
    '/api/shelf/read-file',
    () => file('deep.xml', `${'<a>'.repeat(10_000)}${'</a>'.repeat(10_000)}`),
  ],
  'a table of 5,000 questions': [
    '/api/shelf/read-file',
    () => file('t.csv', `question,A,B,right\n${many(5000, (i) => `Which of ${i}?,one,two,A\n`)}`),
  ],
  '8,000 daily events': [
    '/api/read-closures',
    () => calendar(many(8000, (i) => event(i, 'RRULE:FREQ=DAILY\r\n'))),
  ],
  'a day that never comes': [
    '/api/read-closures',
    () => calendar(event(1, 'RRULE:FREQ=DAILY;BYMONTHDAY=31;BYMONTH=2\r\n')),
  ],
}
/** So many of each are sent at once. */
const AT_ONCE = 4

/** How long others wait while somebody sends a hostile file four times at once. */
export async function hostileBench(): Promise<Line[]> {
  const { address, stop } = await demoServer()
  try {
    const [sender, other] = [await cookieOf(address, 'imani'), await cookieOf(address, 'ruth')]
    const lines: Line[] = []
    for (const [what, [path, body]] of Object.entries(HOSTILE)) {
      const sent = JSON.stringify(body())
      const waits = await waitsBeside(`${address}/api/me`, other, () =>
        send(`${address}${path}`, sender, sent),
      )
      const sorted = [...waits].sort((a, b) => a - b)
      lines.push({
        what,
        medianMs: sorted[Math.floor(sorted.length / 2)] ?? 0,
        bar: 'slowest under 500 ms',
        note: `slowest of ${sorted.length} others ${Math.round(sorted.at(-1) ?? 0)} ms`,
      })
    }
    return lines
  } finally {
    stop()
  }
}

async function send(url: string, cookie: string, body: string): Promise<void> {
  const headers = { cookie, 'content-type': 'application/json' }
  const one = () => fetch(url, { method: 'POST', headers, body }).then((reply) => reply.arrayBuffer())
  await Promise.all(Array.from({ length: AT_ONCE }, one))
}

/** Milliseconds that each of somebody else's requests takes, one after another, until the work is done. */
async function waitsBeside(
  url: string,
  cookie: string,
  work: () => Promise<void>,
): Promise<readonly number[]> {
  const running = { isOver: false }
  const done = work().finally(() => (running.isOver = true))
  const waits: number[] = []
  while (!running.isOver) {
    const began = performance.now()
    const reply = await fetch(url, { headers: { cookie } })
    await reply.arrayBuffer()
    waits.push(performance.now() - began)
  }
  await done
  return waits
}
