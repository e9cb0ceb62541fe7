/** Loading and saving whole core values inside a given transaction. */
export {
  addAttempt,
  answersOf,
  attemptById,
  attemptsAt,
  attemptsOf,
  attemptsOfLearner,
  begunBy,
  endAttempt,
  latestRecordedAt,
  overdueAttempts,
} from './attempts'
export {
  addBook,
  addResource,
  addStandards,
  bookById,
  booksFor,
  cardsFor,
  ownCodeTaken,
  resourceById,
  resourcesById,
  standardsByCode,
} from './library'
export type { ResourceCard } from './library'
export {
  addSchool,
  addSession,
  addTeacher,
  addUsers,
  classesOfLearner,
  clearFailures,
  countFailure,
  enrol,
  failuresOf,
  groupsOf,
  learnersOf,
  removeSession,
  saveAccommodation,
  saveClaim,
  saveGroup,
  setMember,
  schoolName,
  takenSignIns,
  teachersOf,
  userById,
  userBySignIn,
  userOfSession,
} from './people'
export type { GroupRecord, Person, UserRecord } from './people'
export type { AnswerSave, Connection, Store } from './store'
export {
  addPlan,
  addToJournal,
  dropJournalOf,
  feedByToken,
  feedOf,
  historyOf,
  markJournal,
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
  saveYear,
  yearsById,
  yearsOf,
} from './teaching'
export type { YearRecord } from './teaching'
export {
  addAssignment,
  assignmentById,
  assignmentIdsTouching,
  assignmentsById,
  assignmentsFor,
  learnerWorkOf,
  listedWorkFor,
  publishedIdsOf,
  publishedWorkFor,
  replaceLearnerWork,
  saveAssignment,
} from './work'
export type { ClassRecord } from '../rows/calendarRows'
export type { ResourceRecord } from '../rows/libraryRows'
