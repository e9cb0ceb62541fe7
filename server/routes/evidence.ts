import {
  AddTexts,
  DraftScore,
  ForgetComment,
  KeepComment,
  ListToScore,
  ReleaseScores,
  ShowClassPractice,
  ShowGrid,
  ShowItems,
} from '#shared/contracts/evidence'
import { ShowFollowUp } from '#shared/contracts/followUp'
import { ShowStandardsMap } from '#shared/contracts/standardsMap'
import { addTexts } from '#usecases/evidence/addTexts'
import { forgetComment, keepComment } from '#usecases/evidence/comments'
import { draftScore } from '#usecases/evidence/draftScore'
import { showGrid, showItems } from '#usecases/evidence/evidence'
import { showFollowUp } from '#usecases/evidence/followUp'
import { showClassPractice } from '#usecases/evidence/practice'
import { releaseScores } from '#usecases/evidence/releaseScores'
import { showStandardsMap } from '#usecases/evidence/standardsMap'
import { listToScore } from '#usecases/evidence/toScore'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** What came back: the grid, questions, scoring. */
export const EVIDENCE_ROUTES: readonly Route[] = [
  route(ShowGrid, ({ deps, actor }, { params }) => showGrid(deps, actor, params.classId)),
  route(ShowStandardsMap, ({ deps, actor }, { params }) => showStandardsMap(deps, actor, params.classId)),
  route(ShowFollowUp, ({ deps, actor }, { params }) => showFollowUp(deps, actor, params)),
  route(ShowClassPractice, ({ deps, actor }, { params }) => showClassPractice(deps, actor, params.classId)),
  route(ListToScore, ({ deps, actor }, { params, query }) =>
    listToScore(deps, actor, { ...params, ...query }),
  ),
  route(DraftScore, ({ deps, actor }, { params, body }) => draftScore(deps, actor, { ...params, ...body })),
  route(ReleaseScores, ({ deps, actor }, { params, body }) =>
    releaseScores(deps, actor, { ...params, ...body }),
  ),
  route(AddTexts, ({ deps, actor }, { params, body }) => addTexts(deps, actor, { ...params, ...body })),
  route(KeepComment, ({ deps, actor }, { body }) => keepComment(deps, actor, body)),
  route(ForgetComment, ({ deps, actor }, { params }) => forgetComment(deps, actor, params)),
  route(ShowItems, ({ deps, actor }, { params, query }) =>
    showItems(deps, actor, {
      ...params,
      classId: query.classId ?? null,
      pieceId: query.pieceId ?? null,
    }),
  ),
]
