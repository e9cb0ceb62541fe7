import type { TryInShort } from '#core/attempts'
import type { LearnerTerms } from '#core/availability'
import { groupBy } from '#core/base'
import type { AssignmentId, ClassId, Instant, PieceId, ResourceId, SeriesId, UserId } from '#core/base'
import type { ParallelTask } from '#core/versions'
import { rulesOf } from '#core/work'
import type { Assignment, OwnRules, WorkPiece } from '#core/work'
import { toOwnRules } from '../rows/workRows'
import { ask } from './ask'
import type { FormInShort } from './keptReads'
import { formName, formsInShort } from './library'
import type { Connection } from './store'
import { TERMS_COLUMNS, toTerms } from './termsRow'
import type { TermsRow } from './termsRow'
import { TRY_COLUMNS, toTryInShort } from './tryInShort'
import type { TryRow } from './tryInShort'
import { assignmentsAt } from './work'

/** All that a learner's list is made of. */
export interface LearnerScreen {
  /** The pieces of an assignment together, in their order. */
  readonly listed: readonly ListedPiece[]
  /** At what is listed, and any that goes on. */
  readonly tries: readonly TryInShort[]
  /** News that they have not read. */
  readonly unread: number
  /** How much work waits until they have room for it. */
  readonly waiting: number
  /** Headings of their classes, in the order in which they find finished work under them. */
  readonly headings: readonly string[]
  /** In which their dates are read: their first class's; null without a class. */
  readonly zone: string | null
}

/** A piece that a learner has, with what their list shows of it. */
export type ListedPiece = ReturnType<typeof listedPiece>

/**
 * A learner's published work that is listed and not yet put away at `now`, with their tries, in one question that
 * answers as one text: it is asked with every look of every learner, and rows take longer than the text.
 */
export async function screenFor(
  tx: Connection,
  learnerId: UserId,
  { now, since }: { readonly now: Instant; readonly since: Instant },
): Promise<LearnerScreen> {
  const args = [
    learnerId,
    now,
    now,
    learnerId,
    now,
    learnerId,
    now,
    since,
    now,
    learnerId,
    learnerId,
    learnerId,
  ]
  const [row] = await ask<{ readonly screen: string }>(tx, SCREEN_FOR, args)
  const [listed, tries, unread, zone, headings, waiting] = JSON.parse(
    row?.screen ?? '[[],[],0,null,[],0]',
  ) as Answered
  return {
    listed: await piecesOf(tx, listed.map(toListed)),
    tries: tries.map((t) => toTryInShort(t, learnerId)).sort((a, b) => a.number - b.number),
    unread,
    waiting,
    zone,
    headings: headings.flat(),
  }
}

const LISTED = `select json_group_array(json_array(w.assignment_id, a.version, a.settled, w.piece_id, w.class_id,
    c.name, json_array(${TERMS_COLUMNS}), w.rules, s.id, s.body ->> 'title',
    w.version ->> '$.instead.resourceId', w.version ->> '$.instead.revision'))
  from learner_work w
    join assignments a on a.id = w.assignment_id and a.state = 'published'
    join classes c on c.id = w.class_id
    left join series_releases r on r.assignment_id = w.assignment_id
    left join series s on s.id = r.series_id
  where w.learner_id = ? and (w.listed_at is null or w.listed_at <= ?)
    and (w.put_away_at is null or w.put_away_at > ?)`
const TRIES = `select json_group_array(json_array(${TRY_COLUMNS}))
  from attempts t
  where t.learner_id = ? and (t.submitted_at is null or exists (select 1 from learner_work w
    where w.assignment_id = t.assignment_id and w.learner_id = t.learner_id and w.piece_id = t.piece_id
      and (w.put_away_at is null or w.put_away_at > ?)))`
const UNREAD = `select count(*) from notices n join assignments a on a.id = n.assignment_id
  where n.learner_id = ? and n.read_at is null and n.from_at <= ? and n.from_at > ?
    and (n.kind = 'taken-back') <> (a.state = 'published' and exists (select 1 from learner_work w
      where w.assignment_id = n.assignment_id and w.learner_id = n.learner_id
        and (w.listed_at is null or w.listed_at <= ?)))`
const ZONE = `select y.body ->> 'zone' from enrolments e join classes c on c.id = e.class_id
  join years y on y.id = c.year_id where e.learner_id = ? and e.left_at is null limit 1`
const HEADINGS = `select json_group_array(json_extract(f.body, '$.headings')) from enrolments e
  join class_filing f on f.class_id = e.class_id where e.learner_id = ? and e.left_at is null`
const WAITING = `select count(*) from work_queue q
  join assignments a on a.id = q.assignment_id and a.state = 'published' where q.learner_id = ?`
const SCREEN_FOR = `select json_array(json((${LISTED})), json((${TRIES})), (${UNREAD}), (${ZONE}),
  json((${HEADINGS})), (${WAITING})) as screen`

type ListedRow = readonly [
  assignmentId: AssignmentId,
  version: number,
  settled: number,
  pieceId: PieceId,
  classId: ClassId,
  className: string,
  terms: TermsRow,
  rules: string | null,
  seriesId: SeriesId | null,
  seriesTitle: string | null,
  insteadId: ResourceId | null,
  insteadRevision: number | null,
]
type Answered = readonly [
  listed: readonly ListedRow[],
  tries: readonly TryRow[],
  unread: number,
  zone: string | null,
  headings: readonly (readonly string[])[],
  waiting: number,
]

interface Listed {
  readonly assignmentId: AssignmentId
  readonly version: number
  readonly settled: number
  readonly pieceId: PieceId
  readonly classId: ClassId
  readonly className: string
  readonly terms: LearnerTerms
  readonly rules: Partial<OwnRules>
  readonly series: { readonly id: SeriesId; readonly title: string } | null
  /** The task that they have in place of the piece. */
  readonly instead: ParallelTask | null
}

// by place: taking rows apart is half of what reading them costs
function toListed(row: ListedRow): Listed {
  return {
    assignmentId: row[0],
    version: row[1],
    settled: row[2],
    pieceId: row[3],
    classId: row[4],
    className: row[5],
    terms: toTerms(row[6]),
    rules: toOwnRules(row[7]),
    series: row[8] === null ? null : { id: row[8], title: row[9] ?? '' },
    instead: row[10] === null ? null : { resourceId: row[10], revision: row[11] ?? 1 },
  }
}

interface PieceWithRow {
  readonly work: Assignment
  readonly piece: WorkPiece
  readonly row: Listed
}

async function piecesOf(tx: Connection, rows: readonly Listed[]): Promise<readonly ListedPiece[]> {
  const rowsOf = groupBy(rows, (r) => r.assignmentId)
  const versions = [...rowsOf].map(([id, [first]]) => ({ id, version: first?.version ?? 0 }))
  const works = await assignmentsAt(tx, versions)
  const given = [...rowsOf].flatMap(([id, own]) => {
    const work = works.get(id)
    return work ? piecesWithRows(work, own) : []
  })
  const forms = await formsInShort(
    tx,
    given.map((g) => g.row.instead ?? g.piece),
  )
  return given.flatMap((of) => {
    const form = forms.get(formName(of.row.instead ?? of.piece))
    return form ? listedPiece(of, form) : []
  })
}

function piecesWithRows(work: Assignment, rows: readonly Listed[]): readonly PieceWithRow[] {
  return work.pieces.flatMap((piece) => {
    const row = rows.find((r) => r.pieceId === piece.id)
    return row ? { work, piece, row } : []
  })
}

function listedPiece({ work, piece, row }: PieceWithRow, form: FormInShort) {
  return {
    assignmentId: work.id,
    pieceId: piece.id,
    settled: row.settled,
    resourceId: piece.resourceId,
    // who has another task sees its name, here too
    title: row.instead && work.pieces.length === 1 ? form.title : work.title,
    pieceTitle: form.title,
    note: work.note,
    publishedAt: work.publishedAt,
    kind: form.kind,
    minutes: form.minutes,
    itemCount: form.itemCount,
    classId: row.classId,
    className: row.className,
    when: piece.when,
    leastMinutes: piece.leastMinutes,
    rules: { ...rulesOf(work, piece), ...row.rules },
    about: work.about,
    isFirst: work.isFirst,
    inTurn: work.inTurn,
    terms: row.terms,
    series: row.series,
  }
}
