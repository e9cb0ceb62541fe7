import {
  PassOver,
  ChangeFeed,
  ClassFile,
  DoCommand,
  PlanFile,
  PreviewRipple,
  ReadFeed,
  Redo,
  ShowDesk,
  ShowFeed,
  ShowHistory,
  Undo,
} from '#shared/contracts/pacing'
import { passOver, redo, showHistory, undo } from '#usecases/journal/journal'
import { showDesk } from '#usecases/pacing/desk'
import { doCommand } from '#usecases/pacing/doCommand'
import { changeFeed, classFile, planFile, readFeed, showFeed } from '#usecases/pacing/files'
import { previewRipple } from '#usecases/pacing/previewRipple'
import { fileRoute, route } from '../http/route'
import type { Route } from '../http/route'

/** The planning desk, its journal, and calendars that go out. */
export const PACING_ROUTES: readonly Route[] = [
  route(ShowDesk, ({ deps, actor }) => showDesk(deps, actor)),
  route(DoCommand, ({ deps, actor }, { body }) => doCommand(deps, actor, body)),
  route(Undo, ({ deps, actor }, { body }) => undo(deps, actor, body.seq)),
  route(PassOver, ({ deps, actor }) => passOver(deps, actor)),
  route(Redo, ({ deps, actor }) => redo(deps, actor)),
  route(PreviewRipple, ({ deps, actor }, { body }) => previewRipple(deps, actor, body)),
  route(ShowHistory, ({ deps, actor }) => showHistory(deps, actor)),
  route(ShowFeed, ({ deps, actor }, { params }) => showFeed(deps, actor, params.classId)),
  route(ChangeFeed, ({ deps, actor }, { params, body }) => changeFeed(deps, actor, { ...params, ...body })),
  fileRoute(ReadFeed, ({ deps }, { params }) => readFeed(deps, params.token)),
  fileRoute(ClassFile, ({ deps, actor }, { params, query }) =>
    classFile(deps, actor, params.classId, query.kind),
  ),
  fileRoute(PlanFile, ({ deps, actor }, { params }) => planFile(deps, actor, params.planId)),
]
