import type { AssignmentId, ClassId, PieceId } from '#core/base'
import type { Parts } from '#core/combining'
import type { AnswerToScore, ScoreGiven } from '#core/evidence'
import { ReleaseScores } from '#shared/contracts/evidence'
import { useStillMeant } from '~/shared/conflict/stillMeant'
import type { PartWords } from '~/shared/conflict/words'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { answerName } from './drafting'
import type { OfAnswer } from './drafting'

/** A score that is not released, as it was looked at. */
type Looked = OfAnswer & ScoreGiven & { readonly name: string; readonly version: number }
interface Drafts {
  readonly drafts: readonly Looked[]
}
const PARTS: Parts<Drafts> = { drafts: { nameOf: answerName } }

/** '6 points (3, 3), “Say why.”, another go'. */
function sayGiven(value: unknown): string {
  if (value === undefined) return 'nothing given'
  const { levels, comment, again } = value as Looked
  const points = levels.reduce<number>((sum, level) => sum + (level ?? 0), 0)
  const parts = levels.length > 1 ? ` (${levels.map((l) => l ?? '–').join(', ')})` : ''
  const said = [count(points, 'point') + parts, comment ? `“${comment}”` : '', again ? 'another go' : '']
  return said.filter(Boolean).join(', ')
}

const WORDS: PartWords<Drafts> = {
  label: (_, value) => (value as Looked).name,
  value: (_, value) => sayGiven(value),
}

/** Releases what was looked at; what somebody else gave or changed since is said first. Null: it was left. */
export function useReleasing(
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId; readonly classId: ClassId },
  queue: {
    readonly load: () => Promise<void>
    /** Whether all that was given here has arrived. */
    readonly sent: () => Promise<boolean>
    readonly given: () => readonly AnswerToScore[]
    readonly versionOf: (of: OfAnswer) => number
  },
) {
  const stillMeant = useStillMeant()
  const drafts = (): Drafts => ({
    drafts: queue.given().flatMap(({ attemptId, itemId, name, draft }) => {
      if (!draft) return []
      const { levels, comment, again } = draft
      const version = queue.versionOf({ attemptId, itemId })
      return [{ attemptId, itemId, name, levels, comment, again, version }]
    }),
  })
  return async function release() {
    if (!(await queue.sent())) return { ok: false, error: { code: 'wire/lost' } } as const
    const { assignmentId, pieceId, classId } = of
    const reply = await stillMeant({
      what: 'a score',
      act: 'Release what stands now',
      parts: PARTS,
      words: WORDS,
      seen: { value: drafts(), version: 0 },
      send: ({ value }) => {
        const seen = value.drafts.map(({ attemptId, itemId, version }) => ({ attemptId, itemId, version }))
        return call(ReleaseScores, { params: { assignmentId }, body: { pieceId, classId, seen } })
      },
      current: async () => {
        await queue.load()
        return { value: drafts(), version: 0 }
      },
    })
    if (reply?.ok) await queue.load()
    return reply
  }
}
