/** The week ahead: meetings, what they lack, what opens, falls due and closes. */
export type {
  LessonInWeek,
  Missing,
  WeekClass,
  WeekDay,
  WeekLesson,
  WeekMeeting,
  WeekMoment,
  WeekSums,
  WeekWork,
} from './types'
export { sumsOf, weekOf, weekToPrepare } from './weekOf'
