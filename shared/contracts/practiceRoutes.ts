import type { ResourceId } from '#core/base'
import type { ResourceKind } from '#core/library'
import { contract } from './define'

// apart from what practising needs: this comes with a learner's first page
/** A piece of a route; `times` that the learner did it, `ratio` the share of points of the last time. */
export interface RoutePiece {
  readonly id: ResourceId
  readonly title: string
  readonly kind: ResourceKind
  readonly minutes: number
  readonly itemCount: number
  readonly times: number
  readonly ratio: number | null
}
/** A textbook in its order; `isHere`: the class is at this lesson. */
export interface RouteToPractise {
  readonly id: string
  readonly className: string
  readonly title: string
  /** What has to be finished first; null: nothing. */
  readonly waitsFor: string | null
  readonly units: readonly {
    readonly number: string
    readonly title: string
    readonly lessons: readonly {
      readonly number: string
      readonly title: string
      readonly isHere: boolean
      readonly pieces: readonly RoutePiece[]
    }[]
  }[]
}
export const ShowPractice = contract<{ readonly routes: readonly RouteToPractise[] }>()({
  for: 'learner',
  method: 'GET',
  path: '/api/practice',
})
