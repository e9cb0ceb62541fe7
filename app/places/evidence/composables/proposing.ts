import { computed, shallowRef, watch } from 'vue'
import type { ResourceId, UserId } from '#core/base'
import { missedOf, proposeFollowUp } from '#core/followUp'
import type { Accepted, FollowUpTerms, Proposal } from '#core/followUp'
import type { FollowUpPage, NamedLearner } from '#shared/contracts/followUp'

/** A proposal as it stands: with the piece that was chosen, and whether it is given. */
export interface Row extends Proposal {
  /** Told from all others, whatever piece is chosen. */
  readonly key: string
  readonly learner: NamedLearner
  readonly isGiven: boolean
}
/** What was missed, with everybody who is proposed something for it. */
export interface RowGroup {
  readonly code: string
  /** It goes further than what nobody of them missed. */
  readonly isFurther: boolean
  readonly rows: readonly Row[]
}

/** Follow-up being looked through: proposed by how much and how far, then changed and declined row by row. */
export function useProposing(page: () => FollowUpPage | null) {
  const terms = shallowRef<FollowUpTerms>({ most: 2, mostMinutes: null, reach: 'level', extend: false })
  const chosen = shallowRef<ReadonlyMap<string, ResourceId>>(new Map())
  const declined = shallowRef<ReadonlySet<string>>(new Set())
  // what was said of one check says nothing of another
  watch(
    () => page()?.resourceId,
    () => {
      chosen.value = new Map()
      declined.value = new Set()
    },
  )
  const found = computed(() => {
    const of = page()
    return of ? proposeFollowUp(of.learners, of.ground, terms.value) : { proposals: [], unanswered: [] }
  })
  const rows = computed<readonly Row[]>(() => {
    const learnerOf = new Map(page()?.learners.map((l) => [l.id, l]))
    return found.value.proposals.flatMap((proposal) => {
      const learner = learnerOf.get(proposal.learnerId)
      const key = `${proposal.learnerId} ${proposal.code}`
      const own = chosen.value.get(key)
      const pieceId = own && proposal.choices.includes(own) ? own : proposal.pieceId
      return learner ? [{ ...proposal, key, learner, pieceId, isGiven: !declined.value.has(key) }] : []
    })
  })
  /** By what was missed, what most missed first; what goes further comes last. */
  const groups = computed<readonly RowGroup[]>(() => {
    const by = new Map<string, Row[]>()
    for (const row of rows.value) {
      const name = `${row.because === 'further'} ${row.code}`
      by.set(name, [...(by.get(name) ?? []), row])
    }
    return [...by.values()]
      .map((of) => ({ code: of[0]?.code ?? '', isFurther: of[0]?.because === 'further', rows: of }))
      .sort((a, b) => Number(a.isFurther) - Number(b.isFurther) || b.rows.length - a.rows.length)
  })
  /** Each piece of each learner once, though several rows may have been given it. */
  const accepted = computed<readonly Accepted[]>(() => {
    const given = rows.value.filter((r) => r.isGiven)
    const each = new Map(
      given.map(({ learnerId, pieceId }) => [`${learnerId} ${pieceId}`, { learnerId, pieceId }]),
    )
    return [...each.values()]
  })
  const scored = computed(() => page()?.learners.filter((l) => l.on.length > 0) ?? [])
  const nothingMissed = computed(() =>
    scored.value.filter((l) => missedOf(l.on).length === 0).map((l) => l.id),
  )
  /** Who was given the piece and has no score for it yet. */
  const unscored = computed<readonly UserId[]>(() => {
    const of = page()
    const has = of?.learners.filter((l) => l.on.length === 0 && l.hasIds.includes(of.resourceId))
    return has?.map((l) => l.id) ?? []
  })

  function accept(keys: readonly string[], isGiven: boolean): void {
    const next = new Set(declined.value)
    for (const key of keys)
      if (isGiven) next.delete(key)
      else next.add(key)
    declined.value = next
  }
  /** Gives this piece in each of these rows for which it would do. */
  function choose(keys: readonly string[], pieceId: ResourceId): void {
    chosen.value = new Map([...chosen.value, ...keys.map((key) => [key, pieceId] as const)])
  }
  const unanswered = computed(() => found.value.unanswered)
  return { terms, rows, groups, accepted, unanswered, scored, nothingMissed, unscored, accept, choose }
}
