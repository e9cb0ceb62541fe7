import {
  DropLayer,
  KeepLayer,
  SetTrailSettings,
  SetTrails,
  ShowTrailSettings,
  ShowTrailSheet,
  ShowVersions,
} from '#shared/contracts/versions'
import { setTrails, showTrailSheet } from '#usecases/evidence/trailSheet'
import { dropLayer, keepLayer, showVersions } from '#usecases/library/versions'
import { setTrailSettings, showTrailSettings } from '#usecases/teaching/trailSettings'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** Support laid over pieces, and trails. */
export const VERSIONS_ROUTES: readonly Route[] = [
  route(ShowVersions, ({ deps, actor }, { params }) => showVersions(deps, actor, params.resourceId)),
  route(KeepLayer, ({ deps, actor }, { params, body }) => keepLayer(deps, actor, { ...params, ...body })),
  route(DropLayer, ({ deps, actor }, { params, body }) => dropLayer(deps, actor, { ...params, ...body })),
  route(ShowTrailSettings, ({ deps, actor }) => showTrailSettings(deps, actor)),
  route(SetTrailSettings, ({ deps, actor }, { body }) => setTrailSettings(deps, actor, body)),
  route(ShowTrailSheet, ({ deps, actor }, { params }) => showTrailSheet(deps, actor, params.classId)),
  route(SetTrails, ({ deps, actor }, { params, body }) => setTrails(deps, actor, { ...params, ...body })),
]
