import { sql } from 'drizzle-orm'
import { takeSave } from '#core/attempts'
import type { AnswerChange, KeptAnswer } from '#core/attempts'
import type { AttemptId, ItemId, PageId } from '#core/base'
import { answerToText, textToAnswer } from '../rows/answerRow'
import type { AnswerSaves, Connection, SavedAnswer } from './store'

type Saved = readonly SavedAnswer[] | null
interface Waiting {
  readonly saves: AnswerSaves
  readonly done: (saved: Saved) => void
  readonly failed: (error: unknown) => void
}

const MOST_ROWS = 400

/**
 * Gathers saves that arrive while the writer is busy into one multi-row upsert, acknowledged after its commit.
 * Whether a change replaces what stands is decided in the order of arrival, inside that transaction.
 */
export function gathered(
  write: <T>(work: (tx: Connection) => Promise<T>) => Promise<T>,
): (saves: AnswerSaves) => Promise<Saved> {
  let waiting: Waiting[] = []
  let scheduled = false
  const flush = async () => {
    const mine: Waiting[] = []
    let rows = 0
    try {
      const saved = await write(async (tx) => {
        // taken only now, so that whatever came while waiting for the queue goes along
        if (mine.length === 0) {
          scheduled = false
          while (waiting[0] && rows < MOST_ROWS) {
            const next = waiting.shift() as Waiting
            mine.push(next)
            rows += next.saves.changes.length
          }
          if (waiting.length > 0) schedule()
        }
        return saveAll(
          tx,
          mine.map((w) => w.saves),
        )
      })
      mine.forEach(({ done }, i) => done(saved[i] ?? null))
    } catch (error) {
      // no transaction was begun: nobody was taken in, and whoever waits would wait for ever
      if (mine.length === 0) {
        mine.push(...waiting.splice(0))
        scheduled = false
      }
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

interface Row {
  readonly attemptId: AttemptId
  readonly stands: KeptAnswer
  readonly text: string
  readonly savedAt: number
}
const keyOf = (attemptId: AttemptId, itemId: ItemId) => `${attemptId} ${itemId}`

async function saveAll(tx: Connection, all: readonly AnswerSaves[]): Promise<readonly Saved[]> {
  const ids = [...new Set(all.map((s) => s.attemptId))]
  const open = await openAmong(tx, ids)
  const rows = await standing(tx, [...open])
  const changed = new Map<string, Row>()
  const saved = all.map((saves): Saved => {
    if (!open.has(saves.attemptId)) return null
    return saves.changes.map((change) => {
      const key = keyOf(saves.attemptId, change.itemId)
      const before = rows.get(key) ?? null
      const text = answerToText(change.answer)
      const taken = takeSave(before?.stands ?? null, change, before?.text === text)
      const now = taken === 'written' ? written(saves, change, before, text) : (before as Row)
      if (taken === 'written') {
        rows.set(key, now)
        changed.set(key, now)
      }
      return { taken, stands: now.stands }
    })
  })
  await upsert(tx, [...changed.values()])
  return saved
}

function written(saves: AnswerSaves, change: AnswerChange, before: Row | null, text: string): Row {
  const { itemId, answer, writer, edit } = change
  const revision = (before?.stands.revision ?? 0) + 1
  const { attemptId, savedAt } = saves
  return { attemptId, text, savedAt, stands: { itemId, answer, revision, writer, edit, isFinal: false } }
}

/** Which of these tries are in progress. */
async function openAmong(tx: Connection, ids: readonly AttemptId[]): Promise<ReadonlySet<AttemptId>> {
  const open = await tx.all<{ id: AttemptId }>(
    sql`select id from attempts where submitted_at is null and id in ${ids}`,
  )
  return new Set(open.map((o) => o.id))
}

async function standing(tx: Connection, ids: readonly AttemptId[]): Promise<Map<string, Row>> {
  if (ids.length === 0) return new Map()
  const found = await tx.all<{
    attemptId: AttemptId
    itemId: ItemId
    value: string
    revision: number
    writer: PageId
    edit: number
    isFinal: number
    savedAt: number
  }>(
    sql`select attempt_id as "attemptId", item_id as "itemId", value, revision, writer, edit,
      is_final as "isFinal", saved_at as "savedAt" from answers where attempt_id in ${ids}`,
  )
  return new Map(
    found.map(({ attemptId, value, savedAt, isFinal, ...row }) => [
      keyOf(attemptId, row.itemId),
      {
        attemptId,
        text: value,
        savedAt,
        stands: { ...row, answer: textToAnswer(value), isFinal: isFinal !== 0 },
      },
    ]),
  )
}

async function upsert(tx: Connection, rows: readonly Row[]): Promise<void> {
  if (rows.length === 0) return
  const values = sql.join(
    rows.map(
      ({ attemptId, text, savedAt, stands: { itemId, revision, writer, edit } }) =>
        sql`(${attemptId}, ${itemId}, ${text}, ${revision}, ${writer}, ${edit}, ${savedAt})`,
    ),
    sql`, `,
  )
  await tx.run(
    sql`insert into answers (attempt_id, item_id, value, revision, writer, edit, saved_at) values ${values}
      on conflict (attempt_id, item_id) do update set value = excluded.value, revision = excluded.revision,
      writer = excluded.writer, edit = excluded.edit, saved_at = excluded.saved_at`,
  )
}
