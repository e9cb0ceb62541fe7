import { z } from 'zod'
import type { ClassId, ItemId, UserId } from '#core/base'
import { calendarShapes } from '#shared/shapes/calendar'
import { commandShapes } from '#shared/shapes/command'
import { itemShapes } from '#shared/shapes/items'
import { libraryShapes } from '#shared/shapes/library'
import { STORED, id } from '#shared/shapes/makers'
import { classWorkShapes } from '#shared/shapes/classWork'
import { pacingShapes } from '#shared/shapes/pacing'
import { versionShapes } from '#shared/shapes/versions'
import { workShapes } from '#shared/shapes/work'
import { workCommandShapes } from '#shared/shapes/workCommand'
import { bodyOf, readOnce } from './body'
import { commandWithLaterParts } from './upgrade/command'
import { layerWithOrganisers } from './upgrade/layer'
import { pacingWithBeginning, pacingWithLaterParts, planWithLaterParts } from './upgrade/plan'
import {
  assignmentWithClasses,
  assignmentWithLaterParts,
  assignmentWithTeams,
  bookWithBenchmarks,
  importWithBook,
  pieceHandedInAlone,
  resourceWithFiles,
  resourceWithHints,
  resourceWithMaterial,
  resourceWithRanges,
  workCommandWithLaterParts,
  workCommandWithTeams,
} from './upgrade/work'

const { year, patternRow } = calendarShapes(STORED)
const { plan, classPacing } = pacingShapes(STORED)
const { command } = commandShapes(STORED)
const { workCommand, worksCommand } = workCommandShapes(STORED)
const classWork = classWorkShapes(STORED)
const { filing, series, standing, standingSetting } = classWork
const { book, items, standards, content, material, tray, classShelf, shelfImport } = libraryShapes(STORED)
const {
  window,
  rules,
  pieceParts,
  overrides,
  ownRules,
  ruledGroup,
  groupRule,
  because,
  about,
  score,
  scoreDraft,
} = workShapes(STORED)

const { layer, layerCommand, trails, thresholds, givenVersion, choices } = versionShapes(STORED)

/** What is stored as JSON, each with its version and the steps from the older ones. */
export const yearBody = bodyOf('years.body', year.omit({ id: true }))
export const planBody = bodyOf('plans.body', plan.omit({ id: true }), [planWithLaterParts])
export const classBody = bodyOf(
  'classes.body',
  classPacing.extend({ pattern: STORED.list(patternRow, 60) }),
  [pacingWithLaterParts, pacingWithBeginning],
)
export const commandBody = bodyOf(
  'journal.command',
  z.union([
    workCommand,
    worksCommand,
    classWork.seriesCommand,
    classWork.standingCommand,
    classWork.filingCommand,
    classWork.rosterCommand,
    layerCommand,
    command,
  ]),
  [commandWithLaterParts, workCommandWithLaterParts, workCommandWithTeams],
)
export const bookBody = bodyOf('books.body', book.omit({ id: true }), [bookWithBenchmarks])
export const resourceBody = readOnce(
  bodyOf('resources.body', z.object({ standards, content, items, material }), [
    resourceWithHints,
    resourceWithMaterial,
    resourceWithFiles,
    resourceWithRanges,
  ]),
  300,
)
export const trayBody = bodyOf('trays.body', tray)
export const shelfImportBody = bodyOf('shelf_imports.body', shelfImport, [importWithBook])
export const classShelfBody = bodyOf('class_shelves.body', classShelf)
export const assignmentBody = readOnce(
  bodyOf(
    'assignments.body',
    z.object({
      window,
      rules,
      notFor: STORED.list(id<ClassId>(), 1000),
      about,
      isFirst: z.boolean(),
      inTurn: z.boolean(),
      newcomers: z.boolean(),
      teams: STORED.list(STORED.list(id<UserId>(), 40), 300),
      ruled: STORED.list(ruledGroup, 300),
      overCeiling: STORED.list(id<UserId>(), 1000).default([]),
    }),
    [assignmentWithClasses, assignmentWithLaterParts, assignmentWithTeams],
  ),
  1000,
)
export const pieceBody = readOnce(bodyOf('assignment_pieces.body', pieceParts, [pieceHandedInAlone]), 1000)
export const overridesBody = bodyOf(
  'assignment_targets.overrides',
  overrides.extend({
    rules: ownRules.optional(),
    versions: choices.optional(),
  }),
)
/** Looked at for every piece of work that is resolved. */
export const filingBody = readOnce(bodyOf('class_filing.body', filing), 300)
export const seriesBody = bodyOf('series.body', series.omit({ classId: true }))
export const standingBody = bodyOf('standing.body', standing.omit({ lessonId: true }))
export const standingBaseBody = bodyOf('standing_laid.base', standingSetting)
/** Those of a class or a group are the same for each of its learners. */
export const ownRulesBody = readOnce(bodyOf('learner_work.rules', ownRules), 300)
/** Layers are read by every learner of a class. */
export const layerBody = readOnce(bodyOf('layers.body', layer, [layerWithOrganisers]), 300)
export const trailSettingsBody = bodyOf('trail_settings.body', z.object({ trails, thresholds }))
export const givenVersionBody = readOnce(bodyOf('learner_work.version', givenVersion), 100)
export const becauseBody = bodyOf('learner_work.because', z.object({ reasons: STORED.list(because, 100) }))
export const presetBody = bodyOf('presets.rules', z.object({ rules }))
export const groupRuleBody = bodyOf('groups.rule', groupRule)
export const scoreBody = bodyOf('attempts.score', score)
export const scoreDraftBody = bodyOf('score_drafts.body', scoreDraft)
/** An answer is stored without a version: there are hundreds of thousands. */
export const answerShape = itemShapes(STORED).answer
/** Ids of a try's items are a plain list. */
export const itemIdsShape = STORED.list(id<ItemId>(), 100)
