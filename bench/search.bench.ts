import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import { mustBeOk } from '#core/base'
import { userBySignIn } from '#db/repositories'
import { openStore } from '#db/client'
import { searchShelf } from '#usecases/library/searchShelf'
import { demoDatabase } from '../scripts/steps/demoData.mjs'
import type { Line } from './measure'

const SIZES = [2500, 10_000, 40_000]
const ROUNDS = 8
/** As somebody types them: words of many pieces and of few, beginnings, a code, a standard, and none. */
const TEXTS = [
  'w',
  'wa',
  'wave',
  'waves energy',
  'sound speed',
  'vib2',
  '8.W',
  'th.8.w.3',
  'amplitude',
  'zzz',
  '',
]

/** As many pieces, with the text and items of those of the demo, under other titles. */
async function withPieces(file: string, pieces: number): Promise<void> {
  const db = createClient({ url: `file:${file}` })
  await db.executeMultiple(`
    insert into resources (id, school_id, owner_id, book_id, book_lesson_id, position, code, title, kind, role,
        minutes, grade, item_count, revision, body)
      with recursive n(i) as (select 1 union all select i + 1 from n where i < ${pieces}),
        some as (select row_number() over (order by code) - 1 as at, count(*) over () as all_of, * from resources)
      select 'many' || n.i, null, null, 'many', null, n.i, 'm' || n.i, s.title || ' ' || n.i, s.kind, s.role,
        1 + n.i % 60, 6 + n.i % 4, s.item_count, 1, s.body
      from n join some s on s.at = n.i % s.all_of;
    analyze;`)
  db.close()
}

/** A search as the server does it, among more and more pieces. */
export async function searchBench(): Promise<Line[]> {
  const demo = '.tmp/tests/demo.db'
  await demoDatabase(demo, { fresh: !existsSync(demo) })
  const lines: Line[] = []
  for (const size of SIZES) {
    const folder = mkdtempSync(join(tmpdir(), 'bench-'))
    const file = join(folder, 'shelf.db')
    copyFileSync(demo, file)
    await withPieces(file, size)
    const store = await openStore({ url: file, migrationsFolder: 'db/migrations' })
    const imani = await userBySignIn(store.read, 'imani')
    if (!imani) throw new Error('the demo has no Imani')
    const actor = {
      userId: imani.id,
      schoolId: imani.schoolId,
      role: 'teacher' as const,
      office: imani.office,
    }
    const took: number[] = []
    let found = 0
    for (let round = 0; round < ROUNDS; round++)
      for (const text of TEXTS) {
        const began = performance.now()
        const reply = await searchShelf({ store }, actor, { text, filter: {}, order: 'fit' })
        took.push(performance.now() - began)
        found += mustBeOk(reply, text).total
      }
    took.sort((a, b) => a - b)
    const at = (share: number) => took[Math.floor(took.length * share)] ?? 0
    lines.push({
      what: `search among ${size} pieces, with facets`,
      medianMs: at(0.5),
      bar: size === 10_000 ? 'p95 under 50 ms' : '',
      note: `p95 ${at(0.95).toFixed(1)} ms; ${Math.round(found / took.length)} found on average`,
    })
    store.close()
    rmSync(folder, { recursive: true, force: true })
  }
  return lines
}
