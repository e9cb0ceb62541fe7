/** Support laid over pieces, trails from little support to much, what scores say of a next step. */
export { MOST_IN_PART, checkLayer } from './checkLayer'
export { compareVersions, itemsAsked } from './compare'
export type { ComparedBlock } from './compare'
export { composeVersion } from './composeVersion'
export type { ComposedVersion, Support } from './composeVersion'
export { FEW_CHANGES, effectOfSupport, supportByWeek } from './effect'
export type { SupportEffect, SupportWeek } from './effect'
export { EMPTY_LAYER, LAYER_PARTS, partsIn } from './emptyLayer'
export type { LayerPart } from './emptyLayer'
export { keptItems } from './keptItems'
export { markOf, placeMarks } from './marks'
export type { PlacedMark } from './marks'
export { mended, misfitsOf } from './misfits'
export type { Misfit } from './misfits'
export { cellsOf } from './organiser'
export type { CellPlace, OrganiserCell } from './organiser'
export { readAs } from './readAs'
export type { VersionsRefusal } from './refusals'
export { DEFAULT_THRESHOLDS, faultInThresholds, suggestStep } from './suggest'
export type { StepReason, StepSuggestion, StepThresholds, TrailPoint } from './suggest'
export { DEFAULT_TRAILS, FEWEST_TRAILS, MOST_TRAILS, checkTrails, supportOf, versionFor } from './trails'
export type { TrailUse } from './trails'
export { MARK_LOOKS, ORGANISER_KINDS } from './types'
export type {
  FilledCells,
  Frame,
  GlossaryEntry,
  ItemHint,
  KeptItems,
  Layer,
  LegendEntry,
  Mark,
  MarkLook,
  Organiser,
  OrganiserKind,
  ParallelTask,
  Trail,
  Translation,
  Version,
} from './types'
