import { z } from 'zod'
import type { AssignmentId, Instant } from '#core/base'
import type { LearnerCard, NoticeKind } from '#core/work'
import { contract } from './define'

// apart from what doing work needs: this comes with a learner's first page
export interface MyWork {
  readonly work: readonly LearnerCard[]
  /** How much they were told and have not read. */
  readonly unread: number
  /** How much work waits until they have handed in some of what they have. */
  readonly waiting: number
  /** In which order they find finished work under its headings; others come after these. */
  readonly headings: readonly string[]
  readonly now: Instant
  readonly zone: string
}
export const ListMyWork = contract<MyWork>()({ for: 'learner', method: 'GET', path: '/api/my-work' })

/** What a learner is told about their work. */
export interface MyNotice {
  readonly id: number
  readonly assignmentId: AssignmentId
  readonly kind: NoticeKind
  readonly fromAt: Instant
  readonly title: string
  readonly dueAt: Instant | null
  readonly isRead: boolean
}
export const ListMyNotices = contract<{
  readonly notices: readonly MyNotice[]
  readonly now: Instant
  readonly zone: string
}>()({ for: 'learner', method: 'GET', path: '/api/my-notices' })
/** All that could be read by now was. */
export const ReadMyNotices = contract<{ readonly done: true }>()({
  for: 'learner',
  method: 'POST',
  path: '/api/my-notices',
  body: z.strictObject({}),
})
