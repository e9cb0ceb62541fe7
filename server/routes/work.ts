import {
  ActOnMany,
  Assign,
  ChangeWork,
  DropPreset,
  GiveMore,
  KeepPreset,
  ListPresets,
  ListRecipients,
  ListWork,
  PreviewWork,
  PublishWork,
  ShowWork,
  StandOfRecipients,
  WithdrawWork,
} from '#shared/contracts/work'
import { PreviewRegrade, Regrade } from '#shared/contracts/regrading'
import { dropPreset, keepPreset, listPresets } from '#usecases/presets/presets'
import { actOnMany } from '#usecases/work/actOnMany'
import { assign } from '#usecases/work/assign'
import { changeWork } from '#usecases/work/changeWork'
import { giveMore } from '#usecases/work/giveMore'
import { listRecipients } from '#usecases/work/listRecipients'
import { listWork } from '#usecases/work/listWork'
import { previewWork } from '#usecases/work/previewWork'
import { publishWork } from '#usecases/work/publishWork'
import { previewRegrade, regrade } from '#usecases/work/regrade'
import { showWork } from '#usecases/work/showWork'
import { standOfRecipients } from '#usecases/work/standOfRecipients'
import { withdrawWork } from '#usecases/work/withdrawWork'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** Assigning work and changing it. */
export const WORK_ROUTES: readonly Route[] = [
  route(PreviewWork, ({ deps, actor }, { body }) => previewWork(deps, actor, body)),
  route(Assign, ({ deps, actor }, { body }) => assign(deps, actor, body)),
  route(ChangeWork, ({ deps, actor }, { params, body }) => changeWork(deps, actor, { ...params, ...body })),
  route(PublishWork, ({ deps, actor }, { params, body }) => publishWork(deps, actor, { ...params, ...body })),
  route(WithdrawWork, ({ deps, actor }, { params, body }) =>
    withdrawWork(deps, actor, { ...params, ...body }),
  ),
  route(ActOnMany, ({ deps, actor }, { body }) => actOnMany(deps, actor, body)),
  route(ListPresets, ({ deps, actor }) => listPresets(deps, actor)),
  route(KeepPreset, ({ deps, actor }, { body }) => keepPreset(deps, actor, body)),
  route(DropPreset, ({ deps, actor }, { params }) => dropPreset(deps, actor, params.presetId)),
  route(PreviewRegrade, ({ deps, actor }, { params, body }) =>
    previewRegrade(deps, actor, { ...params, ...body }),
  ),
  route(Regrade, ({ deps, actor }, { params, body }) => regrade(deps, actor, { ...params, ...body })),
  route(GiveMore, ({ deps, actor }, { params, body }) => giveMore(deps, actor, { ...params, ...body })),
  route(ListWork, ({ deps, actor }) => listWork(deps, actor)),
  route(ShowWork, ({ deps, actor }, { params }) => showWork(deps, actor, params.assignmentId)),
  route(ListRecipients, ({ deps, actor }) => listRecipients(deps, actor)),
  route(StandOfRecipients, ({ deps, actor }, { body }) => standOfRecipients(deps, actor, body)),
]
