/** Pieces released one after another: their windows by rule and by hand. */
export { checkSeries } from './checkSeries'
export { asSeriesStep, SERIES_ACTS } from './command'
export type { SeriesAct, SeriesCommand, SeriesStep } from './command'
export { draftOfRow } from './draftOfRow'
export { filledDown, moved, shifted, withOnly, withOther, withOwn } from './editRows'
export { followed } from './followed'
export { layRows } from './layRows'
export { overlapsIn } from './overlaps'
export { SERIES_PARTS } from './parts'
export type { SeriesRefusal } from './refusals'
export type {
  LaidRow,
  NotReleased,
  Overlap,
  RowDaysOrWhy,
  RowDays,
  RowFor,
  Series,
  SeriesDays,
  SeriesPlan,
  SeriesRow,
  SeriesRule,
  WholeDays,
} from './types'
