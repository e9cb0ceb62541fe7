import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { gunzipSync } from 'node:zlib'
import { createClient } from '@libsql/client'
import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import type { AssignmentId, SchoolId, UserId } from '#core/base'
import { isSameWork, namedClasses, resolveWork } from '#core/work'
import { assignmentsById, attemptsOf, learnerWorkOf } from '#db/repositories'
import { openStore } from '#db/client'
import { clockAt } from '#standins/clock'
import { listMyWork } from '#usecases/learning/myWork'
import { showMyPiece } from '#usecases/learning/myPiece'
import { startTry } from '#usecases/learning/tries'
import { worldLoader } from '#usecases/ground/world'
import { P1, at } from '../support/made'
import { MIGRATIONS, aBench, aFolder } from '../support/world'

const KEPT = fileURLToPath(new URL('./kept/2026-11-26-one-piece.db.gz', import.meta.url))

/** A copy of a database from before assignments could hold several pieces, and what stood in it. */
async function theOlderFile() {
  const file = join(aFolder(), 'older.db')
  writeFileSync(file, gunzipSync(readFileSync(KEPT)))
  const client = createClient({ url: `file:${file}` })
  const all = async (sql: string) => (await client.execute(sql)).rows.map((r) => ({ ...r }))
  const was = {
    work: await all('select * from learner_work order by assignment_id, learner_id'),
    tries: await all('select * from attempts order by id'),
    assignments: await all('select id, resource_id, state from assignments order by id'),
    answers: await all('select count(*) as n from answers'),
  }
  client.close()
  return { file, was }
}

describe('a database from before there were several pieces', () => {
  it(
    'opens with the same windows, tries and scores, and goes on from there',
    { timeout: 60_000 },
    async () => {
      const { file, was } = await theOlderFile()
      const store = await openStore({ url: file, migrationsFolder: MIGRATIONS })
      try {
        const ids = was.assignments.map((a) => a.id as AssignmentId)
        const now = await assignmentsById(store.read, ids)
        expect(now.length).toBe(ids.length)
        for (const { id, resource_id } of was.assignments)
          expect(now.find((a) => a.id === id)?.pieces).toEqual([
            {
              id: P1,
              resourceId: resource_id,
              revision: 1,
              when: 'in',
              handIn: 'alone',
              leastMinutes: 0,
              window: {},
              rules: {},
            },
          ])

        const rows = await learnerWorkOf(store.read, ids)
        const nameOf = (of: { assignmentId: unknown; learnerId: unknown }) =>
          `${of.assignmentId} ${of.learnerId}`
        const rowOf = new Map(rows.map((r) => [nameOf(r), r]))
        expect(rows.length).toBe(was.work.length)
        for (const old of was.work)
          expect(
            rowOf.get(nameOf({ assignmentId: old.assignment_id, learnerId: old.learner_id })),
          ).toMatchObject({
            pieceId: P1,
            classId: old.class_id,
            terms: {
              listed: old.listed_at,
              opens: old.opens_at,
              due: old.due_at,
              closes: old.closes_at,
              maxAttempts: old.max_attempts,
              timeLimitMinutes: old.time_limit_minutes,
            },
          })

        const tries = new Map((await attemptsOf(store.read, ids)).map((t) => [t.id as string, t]))
        expect(tries.size).toBe(was.tries.length)
        for (const old of was.tries) {
          const { score, ...rest } = tries.get(String(old.id)) ?? {}
          expect(rest).toMatchObject({ pieceId: P1, revision: 1, submittedAt: old.submitted_at })
          const before =
            old.score === null ? null : (JSON.parse(String(old.score)) as { ratio: number }).ratio
          expect(score?.ratio ?? null).toBe(before)
        }
        // lists read the ratio that stands beside the score
        const wrong = await store.read.all(
          "select id from attempts where ratio is not (score ->> '$.ratio') or (ratio is null) <> (score is null)",
        )
        expect(wrong).toEqual([])
        const answers = await store.read.all<{ n: number }>('select count(*) as n from answers')
        expect(answers[0]?.n).toBe(was.answers[0]?.n)
      } finally {
        store.close()
      }
    },
  )

  it(
    'resolves every assignment to what was resolved before, and takes new tries',
    { timeout: 60_000 },
    async () => {
      const { file } = await theOlderFile()
      const store = await openStore({ url: file, migrationsFolder: MIGRATIONS })
      try {
        const ids = (await store.read.all<{ id: AssignmentId }>('select id from assignments')).map(
          (r) => r.id,
        )
        const load = worldLoader(store.read)
        let resolved = 0
        for (const work of (await assignmentsById(store.read, ids)).filter((a) => a.state === 'published')) {
          const had = await learnerWorkOf(store.read, [work.id])
          const { around } = await load(work.authorId, namedClasses(work))
          const rows = resolveWork(work, around).rows.map((r) => ({ ...r, assignmentId: work.id }))
          // whoever has begun keeps what they had, so that only the others must come out alike
          const begun = new Set((await attemptsOf(store.read, [work.id])).map((t) => t.learnerId))
          const others = (list: typeof had) => list.filter((r) => !begun.has(r.learnerId))
          expect(isSameWork(others(had), others(rows)), work.title).toBe(true)
          resolved++
        }
        expect(resolved).toBeGreaterThan(10)

        const bench = await aBench()
        const [noa] = await store.read.all<{ id: UserId; schoolId: SchoolId }>(
          "select id, school_id as schoolId from users where sign_in = 'noa'",
        )
        const deps = { ...bench.deps, store, clock: clockAt(at('10-21T20:00')) }
        const actor = {
          userId: noa!.id,
          schoolId: noa!.schoolId,
          role: 'learner',
          office: false,
        } as const
        const list = mustBeOk(await listMyWork(deps, actor), 'list').work
        const next = list.find((w) => w.mayTry && w.place === 'now')
        expect(next?.pieces.length).toBe(1)
        const of = { assignmentId: next!.id, pieceId: next!.pieces[0]!.pieceId }
        const begun = mustBeOk(await startTry(deps, actor, of), 'start')
        expect(begun.items.length).toBeGreaterThan(0)
        expect(mustBeOk(await showMyPiece(deps, actor, of), 'piece').open?.attemptId).toBe(begun.attemptId)
      } finally {
        store.close()
      }
    },
  )
})
