import { ok } from '#core/base'
import {
  BookFile,
  FrameworkFile,
  HandFile,
  KeepFile,
  ListFrameworks,
  ListImports,
  MakeImport,
  PieceFile,
  PreviewImport,
  ShowFile,
  TakeFileBack,
  TakeImportBack,
  TakeSamples,
} from '#shared/contracts/files'
import { handFile, takeFileBack } from '#usecases/learning/handFiles'
import { frameworkFile, listFrameworks, outlineFile, pieceFile } from '#usecases/library/exports'
import { keepFile, showFile } from '#usecases/library/files'
import {
  listImports,
  makeImport,
  previewImport,
  takeImportBack,
  takeSamples,
} from '#usecases/library/imports'
import { fileRoute, route } from '../http/route'
import { shippedSamples } from '../samples'
import type { Route } from '../http/route'

/** Files that are read in, kept, handed in and sent out. */
export const FILES_ROUTES: readonly Route[] = [
  route(PreviewImport, ({ deps, actor }, { body }) => previewImport(deps, actor, body)),
  route(MakeImport, ({ deps, actor }, { body }) => makeImport(deps, actor, body)),
  route(TakeSamples, async ({ deps, actor }) => takeSamples(deps, actor, await shippedSamples())),
  route(ListImports, ({ deps, actor }) => listImports(deps, actor)),
  route(TakeImportBack, ({ deps, actor }, { params }) => takeImportBack(deps, actor, params.importId)),
  fileRoute(PieceFile, ({ deps, actor }, { params, query }) =>
    pieceFile(deps, actor, { ...params, ...query }),
  ),
  route(ListFrameworks, ({ deps, actor }) => listFrameworks(deps, actor)),
  fileRoute(FrameworkFile, ({ deps, actor }, { params }) => frameworkFile(deps, actor, params.frameworkId)),
  fileRoute(BookFile, ({ deps, actor }, { params }) => outlineFile(deps, actor, params.bookId)),
  route(KeepFile, ({ deps, actor }, { body }) => keepFile(deps, actor, body)),
  fileRoute(ShowFile, async ({ deps, actor }, { params }) => {
    const found = await showFile(deps, actor, params.fileId)
    if (!found.ok) return found
    const { name, type, sort } = found.value.file
    return ok({ name, type, text: found.value.bytes, isShown: sort !== 'document' && sort !== 'text' })
  }),
  route(HandFile, ({ deps, actor }, { params, body }) => handFile(deps, actor, { ...params, ...body })),
  route(TakeFileBack, ({ deps, actor }, { params, body }) =>
    takeFileBack(deps, actor, { ...params, ...body }),
  ),
]
