import type { Target } from '#core/audience'
import { WINDOW_FIELDS } from '#core/availability'
import type { Window, WindowField } from '#core/availability'
import type { PieceId, UserId } from '#core/base'
import type { Preview, Recipients, WhoGetsWhat } from '#shared/contracts/work'
import { FIELD_WORDS } from '~/shared/words/refusals'
import { OWN_WORDS } from '~/shared/words/rules'
import { sayMoment } from '~/shared/words/times'
import { LEVEL_WORDS } from '~/shared/words/moments'

/** One learner and one piece, in words. */
export interface WhoRow extends WhoGetsWhat {
  readonly key: string
  /** Empty where there is only one. */
  readonly piece: string
  readonly className: string
  /** What is other than for everyone, and because of what. */
  readonly why: readonly string[]
}

/** Every learner's terms for every piece, by name. */
export function whoRows(
  preview: Preview,
  recipients: Recipients,
  pieces: readonly { readonly id: PieceId; readonly title: string }[],
): readonly WhoRow[] {
  const titles = new Map(pieces.map((p) => [p.id, p.title]))
  const classes = new Map(recipients.classes.map((c) => [c.id, c.name]))
  const waiting = new Set(preview.waiting)
  const groups = new Map<string, string>(recipients.groups.map((g) => [g.id, g.name]))
  return preview.who.map((w) => ({
    ...w,
    key: `${w.learnerId} ${w.pieceId}`,
    piece: pieces.length > 1 ? (titles.get(w.pieceId) ?? '') : '',
    className: classes.get(w.classId) ?? '',
    why: [
      ...(waiting.has(w.learnerId) ? ['waits until less is open'] : []),
      ...new Set(w.because.filter((b) => b.level !== 'assignment').map((b) => sayWhy(b, groups))),
    ],
  }))
}

type Field = WhoGetsWhat['because'][number]['field']
const isMoment = (field: Field): field is WindowField => field in FIELD_WORDS

function sayWhy(b: WhoGetsWhat['because'][number], groups: ReadonlyMap<string, string>): string {
  const field = isMoment(b.field) ? FIELD_WORDS[b.field].toLowerCase() : OWN_WORDS[b.field]
  const group = b.level === 'group' ? groups.get(b.sourceId ?? '') : undefined
  return `${field}: ${group ?? LEVEL_WORDS[b.level]}`
}

const COLUMNS = ['opens', 'due', 'closes'] as const

/** The same as rows of a spreadsheet, the first with what stands in them. */
export function asTable(rows: readonly WhoRow[], zone: string): readonly (readonly string[])[] {
  const said = (row: WhoRow, field: (typeof COLUMNS)[number]) => {
    const at = row.terms[field]
    return at === null ? '' : sayMoment(at, zone, field)
  }
  return [
    ['Learner', 'Class', 'Piece', 'Opens', 'Due', 'Closes', 'Tries', 'Minutes', 'Why it differs'],
    ...rows.map((r) => [
      r.name,
      r.className,
      r.piece,
      ...COLUMNS.map((f) => said(r, f)),
      String(r.terms.maxAttempts ?? 'any'),
      String(r.terms.timeLimitMinutes ?? ''),
      r.why.join('; '),
    ]),
  ]
}

/** What comes of a row of learners or of a group who all have the same; null: no such window. */
export function windowOfTargets(
  targets: readonly Target[],
  preview: Preview | null,
  recipients: Recipients,
): Window | null {
  if (preview === null) return null
  const learnerIds = new Set(targets.flatMap((t) => learnersIn(t, recipients)))
  const [first, ...others] = preview.who.filter((w) => learnerIds.has(w.learnerId)).map((w) => w.terms)
  if (first === undefined) return null
  const isSame = others.every((o) => WINDOW_FIELDS.every((f) => o[f] === first[f]))
  return isSame ? first : null
}

function learnersIn(target: Target, { groups }: Recipients): readonly UserId[] {
  if (target.kind === 'learner') return [target.learnerId]
  return target.kind === 'group' ? (groups.find((g) => g.id === target.groupId)?.learnerIds ?? []) : []
}
