import { createClient } from '@libsql/client'
import type { Line } from './measure'
import { cookieOf, demoServer } from './serverLoad'

const ROUNDS = 15
const CLASS = 'Science 8 A'

interface Size {
  readonly learners: number
  readonly works: number
  /** Over so many sets of standards is the work spread. */
  readonly sets: number
}

/** The demo's class with more learners, who do as its learners did, and with more work, made of what it has. */
async function asLarge(file: string, { learners, works, sets }: Size): Promise<void> {
  const db = createClient({ url: `file:${file}` })
  const ofClass = `(select id from classes where name = '${CLASS}')`
  await db.executeMultiple(`
    create temp table had as select row_number() over (order by assignment_id) - 1 as at,
        count(*) over () as all_of, assignment_id as id from
      (select distinct w.assignment_id from learner_work w join assignments a on a.id = w.assignment_id
        where w.class_id = ${ofClass} and a.state = 'published');
    create temp table people as select row_number() over (order by learner_id) - 1 as at,
        count(*) over () as all_of, learner_id as id, joined_at from enrolments
      where class_id = ${ofClass} and left_at is null;
    insert into users (id, school_id, name, sign_in, password_hash, must_change_password, role, office,
        time_percent, extra_attempts, extra_days, created_at)
      with recursive n(i) as (select all_of from people union select i + 1 from n where i + 1 < ${learners})
      select 'many' || i, u.school_id, 'Learner ' || i, 'many' || i, '', 0, 'learner', 0, 100, 0, 0, 0
      from n, (select school_id from users where sign_in = 'noa') u where i < ${learners};
    insert into enrolments (class_id, learner_id, joined_at)
      select ${ofClass}, m.id, p.joined_at from users m, (select joined_at from people limit 1) p
      where m.id like 'many%';
    create temp table twins as select m.id as id, p.id as of from users m
      join people p on p.at = cast(substr(m.id, 5) as integer) % p.all_of where m.id like 'many%';
    insert into learner_work select w.assignment_id, t.id, w.piece_id, w.class_id, w.listed_at, w.opens_at, w.due_at,
        w.closes_at, w.put_away_at, w.max_attempts, w.time_limit_minutes, w.because, w.rules, w.version
      from learner_work w join twins t on t.of = w.learner_id where w.assignment_id in (select id from had);
    insert into attempts (id, assignment_id, learner_id, piece_id, revision, number, started_at, deadline_at,
        submitted_at, ended_by, score, ratio, items)
      select 'm' || a.id || t.id, a.assignment_id, t.id, a.piece_id, a.revision, a.number, a.started_at,
        a.deadline_at, a.submitted_at, a.ended_by, a.score, a.ratio, a.items
      from attempts a join twins t on t.of = a.learner_id where a.assignment_id in (select id from had);
    create temp table more as with recursive n(i) as (select 1 union all select i + 1 from n where i < ${works})
      select n.i, h.id as of, 'work' || n.i as id from n join had h on h.at = n.i % h.all_of;
    insert into resources (id, school_id, owner_id, book_id, book_lesson_id, position, code, title, kind, role,
        minutes, grade, item_count, revision, body)
      select 'piece' || m.i || p.id, r.school_id, r.owner_id, r.book_id, null, r.position, 'x' || m.i || p.id,
        r.title, r.kind, r.role, r.minutes, r.grade, r.item_count, 1,
        replace(r.body, 'TH.8.W.', 'TH.8.X' || (m.i % ${sets}) || '.')
      from more m join assignment_pieces p on p.assignment_id = m.of join resources r on r.id = p.resource_id;
    insert into assignments (id, school_id, author_id, resource_id, title, note, state, version, created_at,
        published_at, body, settled)
      select m.id, a.school_id, a.author_id, a.resource_id, a.title || ' ' || m.i, a.note, a.state, 1, a.created_at,
        a.published_at, a.body, a.settled from more m join assignments a on a.id = m.of;
    insert into assignment_pieces (assignment_id, id, position, resource_id, revision, body)
      select m.id, p.id, p.position, 'piece' || m.i || p.id, 1, p.body
      from more m join assignment_pieces p on p.assignment_id = m.of;
    insert into assignment_targets (assignment_id, kind, ref_id, position, overrides)
      select m.id, t.kind, t.ref_id, t.position, t.overrides
      from more m join assignment_targets t on t.assignment_id = m.of;
    insert into learner_work select m.id, w.learner_id, w.piece_id, w.class_id, w.listed_at, w.opens_at, w.due_at,
        w.closes_at, w.put_away_at, w.max_attempts, w.time_limit_minutes, w.because, w.rules, w.version
      from more m join learner_work w on w.assignment_id = m.of and w.class_id = ${ofClass};
    insert into attempts (id, assignment_id, learner_id, piece_id, revision, number, started_at, deadline_at,
        submitted_at, ended_by, score, ratio, items)
      select 'w' || m.i || a.id, m.id, a.learner_id, a.piece_id, 1, a.number, a.started_at, a.deadline_at,
        a.submitted_at, a.ended_by, a.score, a.ratio, a.items
      from more m join attempts a on a.assignment_id = m.of
        join learner_work w on w.assignment_id = m.id and w.learner_id = a.learner_id and w.piece_id = a.piece_id;
    analyze;`)
  db.close()
}

/** What a page asked for, and how long that took. */
interface Asked<T> {
  readonly medianMs: number
  readonly slowestMs: number
  readonly reply: T
}

/** Asks a server again and again, one after the other, as one teacher does who opens a page. */
async function ask<T>(url: string, cookie: string): Promise<Asked<T>> {
  const took: number[] = []
  let reply: T | null = null
  for (let round = 0; round < ROUNDS; round++) {
    const began = performance.now()
    const got = await fetch(url, { headers: { cookie } })
    reply = (await got.json()) as T
    took.push(performance.now() - began)
    if (!got.ok) throw new Error(`${url} was refused`)
  }
  if (reply === null) throw new Error('nothing was asked')
  took.sort((a, b) => a - b)
  return { medianMs: took[Math.floor(ROUNDS / 2)] ?? 0, slowestMs: took.at(-1) ?? 0, reply }
}

interface Grid {
  readonly learners: readonly unknown[]
  readonly columns: readonly {
    readonly assignmentId: string
    readonly pieceId: string
    readonly mean: number | null
  }[]
}

/** What a teacher opens in Evidence, of a class as large as asked, beside an empty route. */
async function opened(size: Size) {
  const server = await demoServer((file) => asLarge(file, size))
  try {
    const cookie = await cookieOf(server.address, 'imani')
    const at = (path: string) => server.address + path
    const seen = await ask<{ readonly classes: readonly { readonly id: string; readonly name: string }[] }>(
      at('/api/overview'),
      cookie,
    )
    const classId = seen.reply.classes.find((c) => c.name === CLASS)?.id ?? ''
    const empty = await ask(at('/api/entry'), cookie)
    const grid = await ask<Grid>(at(`/api/evidence/${classId}`), cookie)
    const map = await ask<Grid>(at(`/api/classes/${classId}/standards`), cookie)
    const check = grid.reply.columns.findLast((c) => c.mean !== null)
    const followUp = await ask(
      at(`/api/classes/${classId}/follow-up/${check?.assignmentId}/${check?.pieceId}`),
      cookie,
    )
    return { empty, grid, map, followUp }
  } finally {
    server.stop()
  }
}

const sizeOf = ({ learners, columns }: Grid) => `${learners.length} × ${columns.length}`
const said = (of: Asked<unknown>, empty: Asked<unknown>) =>
  `slowest ${of.slowestMs.toFixed(0)} ms; ${(of.medianMs / empty.medianMs).toFixed(0)}× of an empty route`

/** The grid, the map of standards and follow-up, in the demo's size and in a large one. */
export async function evidenceBench(): Promise<Line[]> {
  const small = await opened({ learners: 28, works: 1, sets: 1 })
  const wide = await opened({ learners: 40, works: 285, sets: 1 })
  const deep = await opened({ learners: 200, works: 40, sets: 14 })
  const line = (what: string, of: Asked<unknown>, empty: Asked<unknown>, bar = ''): Line => ({
    what,
    medianMs: of.medianMs,
    bar,
    note: said(of, empty),
  })
  return [
    line(`grid of ${sizeOf(small.grid.reply)}`, small.grid, small.empty),
    line(`grid of ${sizeOf(wide.grid.reply)}`, wide.grid, wide.empty, 'under 500 ms'),
    line(`standards map of ${sizeOf(small.map.reply)}`, small.map, small.empty),
    line(`standards map of ${sizeOf(deep.map.reply)}`, deep.map, deep.empty, 'under 300 ms'),
    line('follow-up in the small class', small.followUp, small.empty),
    line('follow-up in the class of 200', deep.followUp, deep.empty),
  ]
}
