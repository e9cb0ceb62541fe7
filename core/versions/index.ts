/** Support laid over pieces, trails from little support to much, what scores say of a next step. */
export { MOST_CELLS, MOST_IN_PART, MOST_ORGANISERS, checkLayer } from './checkLayer'
export { LAYER_COMBINING, TRAIL_SETTING_PARTS } from './combining'
export type { TrailSetting } from './combining'
export { compareVersions, itemsAsked } from './compare'
export type { ComparedBlock } from './compare'
export { NO_SUPPORT, composeVersion } from './composeVersion'
export type { ComposedVersion, Support } from './composeVersion'
export { effectOfSupport, supportByWeek } from './effect'
export type { SupportEffect, SupportWeek } from './effect'
export { EMPTY_LAYER, LAYER_PARTS, partsIn } from './emptyLayer'
export type { LayerPart } from './emptyLayer'
export { keptItems } from './keptItems'
export { markOf, placeMarks } from './marks'
export type { PlacedMark } from './marks'
export { mended, misfitsOf } from './misfits'
export type { Misfit } from './misfits'
export { MOST_SORTS, newSort } from './newSort'
export { asLayerStep } from './command'
export type { LayerCommand, LayerStep } from './command'
export { cellsOf, tableRows } from './organiser'
export type { CellPlace, OrganiserCell, OrganiserRow } from './organiser'
export { readAs } from './readAs'
export type { VersionsRefusal } from './refusals'
export { isSupportItem, organiserOf } from './supportItems'
export { starterShown } from './starter'
export { DEFAULT_THRESHOLDS, faultInThresholds, suggestStep } from './suggest'
export type { StepReason, StepSuggestion, StepThresholds, TrailPoint } from './suggest'
export {
  DEFAULT_TRAILS,
  FEWEST_TRAILS,
  MOST_TRAILS,
  checkTrails,
  supportOf,
  trailOf,
  versionFor,
} from './trails'
export type { ClassTrails, TrailUse } from './trails'
export { MARK_LOOKS, ORGANISER_KINDS } from './types'
export type {
  FilledCells,
  Frame,
  GivenVersion,
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
  VersionChoice,
} from './types'
