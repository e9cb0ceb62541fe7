import { FixAnswer, HandIn, SaveAnswers, ShowMyPiece, StartTry } from '#shared/contracts/learning'
import { ListMyNotices, ListMyWork, ReadMyNotices } from '#shared/contracts/myWork'
import { CheckPractice, FindPiece, OpenPractice } from '#shared/contracts/practice'
import { findPiece } from '#usecases/learning/findPiece'
import { fixAnswer } from '#usecases/learning/fixAnswer'
import { showMyPiece } from '#usecases/learning/myPiece'
import { listMyWork } from '#usecases/learning/myWork'
import { checkPractice, openPractice } from '#usecases/learning/practice'
import { handIn, saveAnswers, startTry } from '#usecases/learning/tries'
import { listMyNotices, readMyNotices } from '#usecases/notices/myNotices'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** What learners see and do. */
export const LEARNING_ROUTES: readonly Route[] = [
  route(ShowMyPiece, ({ deps, actor }, { params, query }) =>
    showMyPiece(deps, actor, { ...params, pieceId: query.pieceId ?? null }),
  ),
  route(StartTry, ({ deps, actor }, { params, body }) => startTry(deps, actor, { ...params, ...body })),
  route(SaveAnswers, ({ deps, actor }, { params, body }) => saveAnswers(deps, actor, { ...params, ...body })),
  route(HandIn, ({ deps, actor }, { params, body }) => handIn(deps, actor, { ...params, ...body })),
  route(FixAnswer, ({ deps, actor }, { params, body }) => fixAnswer(deps, actor, { ...params, ...body })),
  route(ListMyWork, ({ deps, actor }) => listMyWork(deps, actor)),
  route(ListMyNotices, ({ deps, actor }) => listMyNotices(deps, actor)),
  route(ReadMyNotices, ({ deps, actor }) => readMyNotices(deps, actor)),
  route(FindPiece, ({ deps, actor }, { params }) => findPiece(deps, actor, params.resourceId)),
  route(OpenPractice, ({ deps, actor }, { params }) => openPractice(deps, actor, params.resourceId)),
  route(CheckPractice, ({ deps, actor }, { params, body }) =>
    checkPractice(deps, actor, { ...params, ...body }),
  ),
]
