import { sql } from 'drizzle-orm'
import { answerToText } from '../rows/answerRow'
import type { AnswerSave, Connection } from './store'

interface Waiting {
  readonly saves: readonly AnswerSave[]
  readonly done: (saved: boolean) => void
  readonly failed: (error: unknown) => void
}

const MOST_ROWS = 400

/**
 * Gathers saves that arrive while the writer is busy into one multi-row upsert (same try and item: the last
 * wins),
 * acknowledged after its commit. A try that was handed in meanwhile takes nothing.
 */
export function gathered(
  write: <T>(work: (tx: Connection) => Promise<T>) => Promise<T>,
): (saves: readonly AnswerSave[]) => Promise<boolean> {
  let waiting: Waiting[] = []
  let scheduled = false
  const flush = async () => {
    const mine: Waiting[] = []
    let rows = 0
    try {
      const open = await write(async (tx) => {
        // taken only now, so that whatever came while waiting for the queue goes along
        if (mine.length === 0) {
          scheduled = false
          while (waiting[0] && rows < MOST_ROWS) {
            const next = waiting.shift() as Waiting
            mine.push(next)
            rows += next.saves.length
          }
          if (waiting.length > 0) schedule()
        }
        return upsert(
          tx,
          mine.flatMap((w) => w.saves),
        )
      })
      for (const { saves, done } of mine) done(saves.every((s) => open.has(s.attemptId)))
    } catch (error) {
      for (const { failed } of mine) failed(error)
    }
  }
  const schedule = () => {
    if (scheduled) return
    scheduled = true
    setImmediate(() => void flush())
  }
  return (saves) =>
    new Promise((done, failed) => {
      waiting = [...waiting, { saves, done, failed }]
      schedule()
    })
}

async function upsert(tx: Connection, saves: readonly AnswerSave[]): Promise<ReadonlySet<string>> {
  const last = new Map(saves.map((s) => [`${s.attemptId} ${s.itemId}`, s]))
  const ids = [...new Set(saves.map((s) => s.attemptId))]
  const open = await tx.all<{ id: string }>(
    sql`select id from attempts where submitted_at is null and id in ${ids}`,
  )
  const openIds = new Set(open.map((o) => o.id))
  const rows = [...last.values()].filter((s) => openIds.has(s.attemptId))
  if (rows.length > 0) {
    const values = sql.join(
      rows.map((s) => sql`(${s.attemptId}, ${s.itemId}, ${answerToText(s.answer)}, ${s.savedAt})`),
      sql`, `,
    )
    await tx.run(
      sql`insert into answers (attempt_id, item_id, value, saved_at) values ${values} on conflict
        (attempt_id, item_id) do update set value = excluded.value, saved_at = excluded.saved_at`,
    )
  }
  return openIds
}
