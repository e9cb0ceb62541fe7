/** As many headings and as many categories as one class may have. */
export const MOST_HEADINGS = 40
export const MOST_CATEGORIES = 20
/** The largest weight; weights are shares of each other, percentages as a rule. */
export const MOST_WEIGHT = 1000
/** As much as one ceiling may be set to. */
export const MOST_CEILING = 50

/** A part of the grade, and how much it counts beside the others; 0: it is read, and does not count. */
export interface Category {
  readonly name: string
  readonly weight: number
  /** As many of its pieces as a learner may have open at once, before more of them wait; null: as many as come. */
  readonly most: number | null
}

/** Under what a class's work is filed: headings for learners, categories for grading, both in their order. */
export interface Filing {
  readonly headings: readonly string[]
  readonly categories: readonly Category[]
}
export const NO_FILING: Filing = { headings: [], categories: [] }

/** A score of one piece, filed under a category; empty: under none. */
export interface FiledScore {
  readonly category: string
  /** 0 to 1. */
  readonly ratio: number
}

/** What a learner has in one category: the mean of its scores, with their count. */
export interface CategoryPart extends Category {
  readonly ratio: number | null
  readonly scores: number
}

/** A learner's evidence by category. */
export interface ByCategory {
  /** In the class's order; what is filed under no category of the class comes last, under the empty name. */
  readonly parts: readonly CategoryPart[]
  /** The means weighted; null while nothing that counts has a score. */
  readonly ratio: number | null
}
