import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import type { Target } from '#core/audience'
import type { Preview, Recipients } from '#shared/contracts/work'
import { count } from '~/shared/words/numbers'
import { limitsOf } from '../draft'
import type { DraftInWork } from '../draft'
import { nameOfGroup } from '../picking'
import { targetRows } from '../targetRows'
import { windowOfTargets } from '../whoGetsWhat'

/** The rows of who and when, each with how it is called, how many it reaches and what comes of its window. */
export function useWhoRows(
  draft: Ref<DraftInWork>,
  of: {
    readonly recipients: () => Recipients
    readonly preview: () => Preview | null
    /** Why the learners for whom it was begun were chosen; '' where nothing is said. */
    readonly because: () => string
  },
) {
  const nameOf = (t: Target) => {
    if (t.kind === 'class') return of.recipients().classes.find((c) => c.id === t.classId)?.name ?? 'a class'
    if (t.kind === 'learner')
      return (
        of
          .recipients()
          .classes.flatMap((c) => c.learners)
          .find((l) => l.id === t.learnerId)?.name ?? 'a learner'
      )
    const group = of.recipients().groups.find((g) => g.id === t.groupId)
    return group ? nameOfGroup(group, of.recipients().classes) : 'a group'
  }
  /** Recipients are the asker's own classes, with their groups and learners. */
  function isOwn(t: Target): boolean {
    const { classes, groups } = of.recipients()
    if (t.kind === 'class') return classes.some((c) => c.id === t.classId)
    if (t.kind === 'group') return groups.some((g) => g.id === t.groupId)
    return classes.some((c) => c.learners.some((l) => l.id === t.learnerId))
  }
  /** Learners who have the same share a row until somebody wants them one by one. */
  const isApart = ref(false)
  const rows = computed(() =>
    targetRows(draft.value.targets, isApart.value).map((row) => {
      const [{ target, overrides }] = row.targets
      const classId = target.kind === 'class' ? target.classId : null
      const seen = classId && (of.preview()?.classes.find((c) => c.classId === classId) ?? null)
      const isShared = row.targets.length > 1
      const names = row.targets.map((t) => nameOf(t.target))
      return {
        key: row.key,
        at: row.at,
        target,
        name: isShared ? sharedName(row.targets.length) : (names[0] ?? ''),
        names: isShared ? names : [],
        overrides,
        own: limitsOf(row.targets[0]),
        learners: of.preview() && row.at.reduce((sum, i) => sum + (of.preview()?.targetCounts[i] ?? 0), 0),
        seen,
        window: seen
          ? seen.window
          : windowOfTargets(
              row.targets.map((t) => t.target),
              of.preview(),
              of.recipients(),
            ),
      }
    }),
  )
  const isShared = computed(() => rows.value.some((r) => r.names.length > 0))
  /** "8 learners, below 60 %", while they are those for whom it was begun. */
  function sharedName(learners: number): string {
    const said = count(learners, 'learner')
    return of.because() !== '' && learners === begunFor ? `${said}, ${of.because()}` : said
  }
  const begunFor = draft.value.targets.filter((t) => t.target.kind === 'learner').length
  return { rows, isApart, isShared, isOwn }
}
