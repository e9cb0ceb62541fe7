import { ACCOUNTS_ROUTES } from './accounts'
import { EVIDENCE_ROUTES } from './evidence'
import { FILES_ROUTES } from './files'
import { LEARNING_ROUTES } from './learning'
import { LENS_ROUTES } from './lens'
import { LIBRARY_ROUTES } from './library'
import { LOAD_ROUTES } from './load'
import { PACING_ROUTES } from './pacing'
import { PLACING_ROUTES } from './placing'
import { PLANS_ROUTES } from './plans'
import { RUNNING_ROUTES } from './running'
import { SERIES_ROUTES } from './series'
import { STANDING_ROUTES } from './standing'
import { TEACHING_ROUTES } from './teaching'
import { VERSIONS_ROUTES } from './versions'
import { WEEK_ROUTES } from './week'
import { WORK_ROUTES } from './work'
import type { Route } from '../http/route'

/** Every address of the server, each with what answers it. */
export const ROUTES: readonly Route[] = [
  ...ACCOUNTS_ROUTES,
  ...EVIDENCE_ROUTES,
  ...FILES_ROUTES,
  ...LEARNING_ROUTES,
  ...LENS_ROUTES,
  ...LIBRARY_ROUTES,
  ...LOAD_ROUTES,
  ...PACING_ROUTES,
  ...PLACING_ROUTES,
  ...PLANS_ROUTES,
  ...RUNNING_ROUTES,
  ...SERIES_ROUTES,
  ...STANDING_ROUTES,
  ...TEACHING_ROUTES,
  ...VERSIONS_ROUTES,
  ...WEEK_ROUTES,
  ...WORK_ROUTES,
]
