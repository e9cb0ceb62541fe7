import { computed, ref, shallowRef } from 'vue'
import type { AssignmentId, ClassId, PieceId } from '#core/base'
import { givenFor, nextToScore, scoringState } from '#core/evidence'
import type { AnswerToScore, KeptComment, ScoreGiven, ScoringState } from '#core/evidence'
import { ListToScore } from '#shared/contracts/evidence'
import type { ScoringQueue } from '#shared/contracts/evidence'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import { answerName, useDrafting } from './drafting'
import type { OfAnswer } from './drafting'
import { useReleasing } from './releasing'

/** The texts of a class, the one that is being scored, and what is given for it. */
export function useScoringQueue(
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId; readonly classId: ClassId },
  areNamesHidden: () => boolean,
) {
  const queue = shallowRef<ScoringQueue | null>(null)
  const problem = ref('')
  const currentName = ref<string | null>(null)
  /** What was given here for a text that somebody else scored meanwhile. */
  const mine = shallowRef<ReadonlyMap<string, ScoreGiven>>(new Map())
  const { status, keep, seen, unsent, sent, versionOf } = useDrafting(async (of, refusal) => {
    // who is asked to choose sees what stands and goes on from there; known later, their choice is refused again
    await load()
    if (refusal.code === 'access/changed-meanwhile')
      mine.value = new Map([...mine.value, [answerName(of), of.given]])
    else problem.value = sayRefusal(refusal)
  })

  async function load(): Promise<void> {
    const { assignmentId, pieceId, classId } = of
    const reply = await call(ListToScore, { params: { assignmentId }, query: { classId, pieceId } })
    if (!reply.ok) {
      problem.value = sayRefusal(reply.error)
      return
    }
    queue.value = reply.value
    for (const answer of reply.value.answers) seen(answer, answer.draft?.version ?? 0)
    for (const of of unsent()) show(of, of.given)
    if (current.value === null) goOn()
  }
  /** By name, or, where names are hidden, in an order that says nothing of them. */
  const answers = computed<readonly AnswerToScore[]>(() => {
    const list = queue.value?.answers ?? []
    return areNamesHidden() ? [...list].sort((a, b) => (answerName(a) < answerName(b) ? -1 : 1)) : list
  })
  const at = computed(() => answers.value.findIndex((a) => answerName(a) === currentName.value))
  const current = computed(() => answers.value[at.value] ?? null)
  const given = computed(() => (current.value ? givenFor(current.value) : null))
  const count = (state: ScoringState) => answers.value.filter((a) => scoringState(a) === state).length
  const counts = computed(() => ({
    all: answers.value.length,
    left: count('waits') + count('begun'),
    scored: count('scored'),
    again: answers.value.filter((a) => scoringState(a) === 'scored' && a.draft?.again).length,
  }))

  function goTo(place: number): void {
    const answer = answers.value[place]
    if (answer) currentName.value = answerName(answer)
  }
  /** To the next text that is not scored; without one, to the first. */
  function goOn(): void {
    goTo(nextToScore(answers.value, at.value) ?? Math.max(at.value, 0))
  }
  /** Shown at once, and sent. */
  function give(change: Partial<ScoreGiven>): void {
    const answer = current.value
    if (!answer || !given.value || !queue.value) return
    const next = { ...given.value, ...change }
    show(answer, next)
    void keep(answer, next)
  }
  function show(of: OfAnswer, next: ScoreGiven): void {
    if (!queue.value) return
    const answers = queue.value.answers.map((a) => {
      if (answerName(a) !== answerName(of)) return a
      return { ...a, draft: { ...next, version: 0, by: null, byName: '' } }
    })
    queue.value = { ...queue.value, answers }
  }
  /** What somebody else gave meanwhile stays, or what was given here takes its place. */
  function settle(which: 'theirs' | 'mine'): void {
    const name = currentName.value ?? ''
    const own = mine.value.get(name)
    mine.value = new Map([...mine.value].filter(([n]) => n !== name))
    if (which === 'mine' && own) give(own)
  }
  const release = useReleasing(of, {
    load,
    sent,
    given: () => answers.value.map((a, i) => ({ ...a, name: areNamesHidden() ? `Text ${i + 1}` : a.name })),
    versionOf,
  })
  /** What the teacher keeps to say again, as it stands now. */
  function knowComments(comments: readonly KeptComment[]): void {
    if (queue.value) queue.value = { ...queue.value, comments }
  }
  const own = computed(() => mine.value.get(currentName.value ?? '') ?? null)
  return {
    queue,
    problem,
    status,
    answers,
    at,
    current,
    given,
    counts,
    own,
    load,
    goTo,
    goOn,
    give,
    settle,
    release,
    knowComments,
  }
}
