import {
  ChangePiece,
  ChangeTray,
  CopyPiece,
  DrawCheck,
  DropPiece,
  LookInside,
  MakePiece,
  ReadCodes,
  SearchShelf,
  SetClassShelf,
  SetPointer,
  SetRoute,
  SharePiece,
  ShowClassShelf,
  ShowDifference,
  ShowGradesServed,
  ShowGuide,
  ShowRoutes,
  ShowShelfNow,
  ShowShelf,
  ShowStandard,
  ShowTray,
} from '#shared/contracts/library'
import { ShowPractice } from '#shared/contracts/practiceRoutes'
import { showPractice } from '#usecases/learning/practice'
import { changePiece } from '#usecases/library/changePiece'
import { setClassShelf, showClassShelf } from '#usecases/library/classShelf'
import { drawCheck } from '#usecases/library/drawCheck'
import { setPointer, showGuide } from '#usecases/library/guide'
import { copyPiece, dropPiece, sharePiece, showDifference } from '#usecases/library/ownPieces'
import { showShelfNow } from '#usecases/library/shelfNow'
import { setRoute, showRoutes } from '#usecases/library/practiceRoutes'
import { searchShelf } from '#usecases/library/searchShelf'
import { lookInside, makePiece, showShelf } from '#usecases/library/shelf'
import { showGradesServed, showStandard } from '#usecases/library/standards'
import { changeTray, readCodes, showTray } from '#usecases/library/tray'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** The shelf: pieces, standards, the tray, practice opened to classes. */
export const LIBRARY_ROUTES: readonly Route[] = [
  route(ShowShelf, ({ deps, actor }) => showShelf(deps, actor)),
  route(SearchShelf, ({ deps, actor }, { body }) => searchShelf(deps, actor, body)),
  route(LookInside, ({ deps, actor }, { params }) => lookInside(deps, actor, params.resourceId)),
  route(MakePiece, ({ deps, actor }, { body }) => makePiece(deps, actor, body)),
  route(ChangePiece, ({ deps, actor }, { params, body: { revision, ...piece } }) =>
    changePiece(deps, actor, { ...params, revision, piece }),
  ),
  route(ShowTray, ({ deps, actor }) => showTray(deps, actor)),
  route(ChangeTray, ({ deps, actor }, { body }) => changeTray(deps, actor, body)),
  route(ReadCodes, ({ deps, actor }, { body }) => readCodes(deps, actor, body.text)),
  route(ShowClassShelf, ({ deps, actor }, { params }) => showClassShelf(deps, actor, params.classId)),
  route(SetClassShelf, ({ deps, actor }, { params, body }) =>
    setClassShelf(deps, actor, { ...params, ...body }),
  ),
  route(ShowGradesServed, ({ deps, actor }) => showGradesServed(deps, actor)),
  route(ShowStandard, ({ deps, actor }, { params }) => showStandard(deps, actor, params.code)),
  route(DrawCheck, ({ deps, actor }, { body }) => drawCheck(deps, actor, body)),
  route(SharePiece, ({ deps, actor }, { params, body }) => sharePiece(deps, actor, { ...params, ...body })),
  route(CopyPiece, ({ deps, actor }, { params }) => copyPiece(deps, actor, params.resourceId)),
  route(DropPiece, ({ deps, actor }, { params }) => dropPiece(deps, actor, params.resourceId)),
  route(ShowDifference, ({ deps, actor }, { params }) => showDifference(deps, actor, params)),
  route(ShowGuide, ({ deps, actor }, { params }) => showGuide(deps, actor, params.resourceId)),
  route(SetPointer, ({ deps, actor }, { body }) => setPointer(deps, actor, body)),
  route(ShowShelfNow, ({ deps, actor }) => showShelfNow(deps, actor)),
  route(ShowRoutes, ({ deps, actor }, { params }) => showRoutes(deps, actor, params.classId)),
  route(SetRoute, ({ deps, actor }, { params, body }) => setRoute(deps, actor, { ...params, ...body })),
  route(ShowPractice, ({ deps, actor }) => showPractice(deps, actor)),
]
