import type { SeriesAct } from '#core/series'
import type { StandingStep } from '#core/standing'
import type { LayerStep } from '#core/versions'
import type { WorkAct } from '#core/work'

/** What was done to work, in a word or two before or behind its name. */
export const WORK_WORDS: Record<WorkAct, string> = {
  made: 'held',
  changed: 'changed',
  published: 'published',
  withdrawn: 'withdrawn',
  'given-more': 'more given in',
  excused: 'left out of, or taken in again',
  shifted: 'moved',
  regraded: 'put a question right in',
}

/** The same of series, versions and standing work. */
export const SERIES_WORDS: Record<SeriesAct, string> = {
  made: 'made',
  changed: 'changed',
  released: 'released',
  cleared: 'cleared',
  removed: 'removed',
}

export const LAYER_WORDS: Record<LayerStep['what'], string> = {
  laid: 'laid over it',
  changed: 'changed',
  'taken-off': 'taken off',
}

export const STANDING_WORDS: Record<StandingStep['what'], string> = {
  added: 'added to the plan',
  changed: 'changed in the plan',
  'taken-out': 'taken out of the plan',
}
