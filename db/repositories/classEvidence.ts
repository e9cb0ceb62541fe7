import type { AttemptScore } from '#core/attempts'
import type { AssignmentId, AttemptId, ClassId, ItemId, PieceId, UserId } from '#core/base'
import type { GridTry } from '#core/evidence'
import { storedToScore } from '../rows/answerRow'
import { toGivenVersion, toOwnRules } from '../rows/workRows'
import { ask } from './ask'
import type { OwnTerms } from './learnerWork'
import type { Connection } from './store'
import { TERMS_COLUMNS, toTerms } from './termsRow'
import type { TermsRow } from './termsRow'
import { TRY_COLUMNS, toTryInShort } from './tryInShort'
import type { TryRow } from './tryInShort'

/** What learners have of assignments within a class, without the reasons; thousands of rows are one answer. */
export async function termsInClass(
  tx: Connection,
  classId: ClassId,
  ids: readonly AssignmentId[],
): Promise<readonly OwnTerms[]> {
  const rows = await listed<OwnRow>(tx, TERMS_IN_CLASS, [classId, JSON.stringify(ids)])
  return rows.map((row) => ({
    assignmentId: row[0],
    pieceId: row[1],
    learnerId: row[2],
    classId,
    terms: toTerms(row[3]),
    rules: toOwnRules(row[4]),
    version: toGivenVersion(row[5]),
  }))
}
const TERMS_IN_CLASS = `select json_group_array(json_array(w.assignment_id, w.piece_id, w.learner_id,
    json_array(${TERMS_COLUMNS}), w.rules, w.version)) as list
  from learner_work w where w.class_id = ? and w.assignment_id in (select value from json_each(?))`

type OwnRow = readonly [
  assignmentId: AssignmentId,
  pieceId: PieceId,
  learnerId: UserId,
  terms: TermsRow,
  rules: string | null,
  version: string | null,
]

/** All tries of learners at assignments, and which of their answers a person has yet to score. */
export async function triesOfLearners(
  tx: Connection,
  learnerIds: Iterable<UserId>,
  ids: readonly AssignmentId[],
): Promise<readonly GridTry[]> {
  const args = [JSON.stringify(ids), JSON.stringify([...learnerIds])]
  const rows = await listed<readonly [of: TryRow, learnerId: UserId, waiting: readonly ItemId[] | null]>(
    tx,
    TRIES_OF_LEARNERS,
    args,
  )
  return rows.map(([of, learnerId, waiting]) => ({
    ...toTryInShort(of, learnerId),
    waitingIds: waiting ?? [],
  }))
}
// a score in which nothing waits is not taken apart
const TRIES_OF_LEARNERS = `select json_group_array(json_array(json_array(${TRY_COLUMNS}), t.learner_id,
    json(case when instr(t.score, '"waits"') > 0 then (select json_group_array(i.value ->> 'itemId')
      from json_each(t.score, '$.items') i where i.value ->> 'waits') end))) as list
  from attempts t where t.assignment_id in (select value from json_each(?))
    and t.learner_id in (select value from json_each(?))`

/** What each of some tries has earned; those without a score are absent. */
export async function scoresOf(
  tx: Connection,
  ids: readonly AttemptId[],
): Promise<ReadonlyMap<AttemptId, AttemptScore>> {
  const rows = await listed<ScoreRow>(tx, SCORES_OF, [JSON.stringify(ids)])
  return new Map(rows.map(([id, score]) => [id, storedToScore(score)]))
}
type ScoreRow = readonly [id: AttemptId, score: Readonly<Record<string, unknown>>]
const SCORES_OF = `select json_group_array(json_array(t.id, json(t.score))) as list from attempts t
  where t.score is not null and t.id in (select value from json_each(?))`

async function listed<Row>(tx: Connection, text: string, args: readonly string[]): Promise<readonly Row[]> {
  const [row] = await ask<{ readonly list: string }>(tx, text, args)
  return JSON.parse(row?.list ?? '[]') as readonly Row[]
}
