import { keyOf } from '#core/audience'
import type { Recipients } from '#shared/contracts/work'
import type { DraftNames } from '~/shared/words/draftParts'

/** Names of classes, groups and learners, as far as the asker may give work to them. */
export function namesIn(
  recipients: Recipients | null,
  lesson: DraftNames['lesson'],
): Omit<DraftNames, 'piece'> {
  const classes = recipients?.classes ?? []
  const learners = new Map<string, string>(classes.flatMap((c) => c.learners.map((l) => [l.id, l.name])))
  const targets = new Map<string, string>([
    ...classes.map((c) => [keyOf({ kind: 'class', classId: c.id }), c.name] as const),
    ...(recipients?.groups ?? []).map((g) => [keyOf({ kind: 'group', groupId: g.id }), g.name] as const),
    ...classes.flatMap((c) =>
      c.learners.map((l) => [keyOf({ kind: 'learner', learnerId: l.id }), l.name] as const),
    ),
  ])
  return {
    lesson,
    target: (key) => targets.get(key) ?? 'a class of a colleague',
    learner: (id) => learners.get(id) ?? 'a learner of a colleague',
  }
}
