/** Loading and saving whole core values inside a given transaction. */
export { archivedFor, deleteForGood, isInUse, setArchived } from './archive'
export type { Archivable, Archived } from './archive'
export { CannotWrite } from './cannotWrite'
export { scoresOf, termsInClass, triesOfLearners } from './classEvidence'
export { doorCounts, forgetDoorCounts, isPlaceOf, keepPlaces, placesKnownTo, saveDoorCounts } from './doors'
export {
  addAttempt,
  answersOf,
  fixAnswer,
  setItems,
  writtenIn,
  attemptById,
  attemptsAt,
  attemptsOf,
  attemptsSharedWith,
  begunBy,
  begunIn,
  copyAnswers,
  endAttempt,
  goOnWith,
  latestRecordedAt,
  overdueAttempts,
  saveScore,
} from './attempts'
export {
  addBook,
  addResource,
  addResources,
  bookById,
  booksFor,
  cardsFor,
  cardsOfBooks,
  dropBook,
  isBookInUse,
  dropResources,
  setShared,
  usesOf,
  exampleFor,
  formName,
  formerFormsOf,
  formsInShort,
  isFormInUse,
  ownCodeTaken,
  pieceIn,
  piecesIn,
  resourceById,
  resourcesById,
  saveResource,
} from './library'
export {
  cardsByCode,
  cardsById,
  gradesServed,
  piecesServing,
  piecesWithWords,
  standardsOfLessons,
} from './search'
export type { Looker, PieceForm, ResourceCard } from './library'
export { screenFor } from './learnerScreen'
export type { LearnerScreen, ListedPiece } from './learnerScreen'
export type { OwnTerms } from './learnerWork'
export {
  classHaving,
  closesForAll,
  dropLearnerWork,
  learnerWorkIn,
  learnerWorkOf,
  minutesDue,
  publishedIdsOf,
  publishedWorkFor,
  replaceLearnerWork,
  versionGiven,
} from './learnerWork'
export {
  addNotices,
  forgetNotices,
  isMailWaiting,
  markNoticesRead,
  noticesFor,
  takeNoticesToMail,
} from './notices'
export type { NoticeRecord, NoticeToMail } from './notices'
export { dropPreset, presetsOf, savePreset } from './presets'
export {
  addSchool,
  addSession,
  addTeacher,
  addUsers,
  classesOfLearner,
  enrol,
  learnersOf,
  leaveClass,
  setStart,
  removeOldSessions,
  removeSession,
  removeSessionsOf,
  saveAccommodation,
  saveClaim,
  savePassword,
  takenSignIns,
  teachersOf,
  userById,
  userBySignIn,
  setGrades,
  zoneOfLearner,
} from './people'
export type { Person, UserRecord } from './people'
export { classesOfGroup, groupsById, groupsOf, saveGroup, setMember } from './groups'
export type { GroupRecord } from './groups'
export type { AnswerSaves, Connection, SavedAnswer, Store } from './store'
export {
  addPlan,
  addToJournal,
  dropJournalOf,
  feedByToken,
  feedOf,
  historyOf,
  markJournal,
  ownActAt,
  plansById,
  plansOf,
  replaceFeed,
  savePlan,
  undoable,
} from './planning'
export type { Feed, JournalEntry, PlanRecord } from './planning'
export {
  addClass,
  addYear,
  classById,
  classByJoinCode,
  classesById,
  classesOfSchool,
  classesTaughtBy,
  classesWithPlan,
  saveClass,
  saveJoining,
  saveYear,
  yearsById,
  yearsOf,
} from './teaching'
export type { YearRecord } from './teaching'
export {
  addAssignment,
  assignmentById,
  assignmentIdsGiving,
  assignmentIdsNear,
  assignmentIdsTouching,
  assignmentsById,
  assignmentsFor,
  gistOf,
  givenBefore,
  lastGivenBy,
  saveAssignment,
} from './work'
export type { ClassRecord } from '../rows/calendarRows'
export type { ResourceRecord } from '../rows/libraryRows'
export {
  addFramework,
  addStandards,
  dropFramework,
  frameworksFor,
  standardsByCode,
  standardsFor,
  standardsOf,
} from './standards'
export type { Framework } from './standards'
export { addFile, attachFiles, addHanded, bytesOf, dropFile, filesById, handedAs, handedAt } from './files'
export type { FileRecord, HandedFile } from './files'
export {
  addImport,
  addPointer,
  classShelfOf,
  dropPointer,
  importsOf,
  markTakenBack,
  pointersFrom,
  saveClassShelf,
  saveTray,
  trayOf,
} from './shelf'
export type { GuidePointer, ShelfImport } from './shelf'
export { addPractice, closeRoute, openRoutes, practisedBy, saveRoute } from './practice'
export type { PracticeRoute, Practised } from './practice'
export {
  dropLayer,
  layersOf,
  saveClassTrail,
  saveLayer,
  saveLearnerTrails,
  saveTrailSettings,
  trailSettingsOf,
  trailUses,
  trailsIn,
  trailsMade,
} from './versions'
export type { LayerRecord, TrailSettings } from './versions'
export { addComment, commentsOf, draftsOf, dropComment, dropDraft, saveDraft } from './scoring'
export type { DraftRecord } from './scoring'
export {
  addReleases,
  dropSeries,
  forgetRelease,
  learnersHaving,
  releasesOf,
  saveSeries,
  seriesById,
  seriesOf,
} from './series'
export type { SeriesRecord } from './series'
export { laidIn, saveLaid, saveStanding, standingById, standingOf } from './standing'
export type { LaidRecord, StandingRecord } from './standing'
export { kindsOf, lateIn, latelyAtWork, waitingIn } from './week'
export type { LateIn, WaitingIn } from './week'
export { filingOf, filingsOf, saveFiling } from './filing'
export { carriedBy, classesWithQueue, queueInClasses, queueOfLearners, saveQueue } from './queue'
export type { CarriedPiece, QueuedWork } from './queue'
export type { FilingRecord } from './filing'
export { piecesToDo } from './load'
export type { PieceToDo } from './load'
