/** A line that is no row: what stands above the headings, and sums. */
export interface LeftLine {
  readonly line: number
  readonly why: 'above-headings' | 'total'
  readonly text: string
}

/** Which column is what, as somebody said it; null: nobody has. */
export type ColumnsChosen = Readonly<Record<string, number>> | null

/** A table as a person sees it who is asked which column is what. */
export interface TableSeen {
  /** What heads each column; empty where nothing does. */
  readonly head: readonly string[]
  /** Its first rows. */
  readonly sample: readonly (readonly string[])[]
  readonly at: Readonly<Record<string, number>>
  /** Whether its first row heads the columns: by words that are known, because somebody said so, or it does not. */
  readonly headed: 'known' | 'said' | 'not'
  readonly left: readonly LeftLine[]
}
