import type { UserId } from '../base'

/** A learner with what they are grouped by: a share of points, 0 to 1; null: nothing was handed in. */
export interface Scored {
  readonly learnerId: UserId
  readonly share: number | null
}

/** A class in groups: everybody once, the lowest first; who has no share stands apart where shares decide. */
export interface Split {
  readonly groups: readonly (readonly UserId[])[]
  readonly unscored: readonly UserId[]
}

/** Whom groups may not part, and whom they have to. */
export interface Wishes {
  readonly together: readonly (readonly UserId[])[]
  readonly apart: readonly (readonly [UserId, UserId])[]
}
export const NO_WISHES: Wishes = { together: [], apart: [] }

/** Why there are no such groups, and because of whom. */
export type GroupingRefusal =
  /** Kept together, by way of others, too, and kept apart. */
  | { readonly code: 'grouping/together-and-apart'; readonly learnerIds: readonly UserId[] }
  /** More are kept together than a group holds. */
  | {
      readonly code: 'grouping/too-many-together'
      readonly learnerIds: readonly UserId[]
      readonly most: number
    }
  /** Each of these is kept apart from each other one, and there are fewer groups. */
  | { readonly code: 'grouping/too-many-apart'; readonly learnerIds: readonly UserId[] }
  /** All was tried, or as much as can be: no even groups obey all wishes. */
  | { readonly code: 'grouping/no-such-groups' }
