import { KeepFiling, ShowFiling } from '#shared/contracts/filing'
import { KeepGroups } from '#shared/contracts/grouping'
import {
  AddRoster,
  BringBack,
  GradeLearners,
  MakeClass,
  MakeYear,
  OfferHolidays,
  ReadClosures,
  ReadRoster,
  RemoveLearner,
  ResetPassword,
  SaveGroup,
  SetAccommodation,
  SetJoining,
  SetMember,
  ShowClass,
  ShowOverview,
  TakeAway,
} from '#shared/contracts/teaching'
import { keepFiling, showFiling } from '#usecases/filing/keepFiling'
import { bringBack, takeAway } from '#usecases/teaching/archive'
import { setAccommodation, showClass } from '#usecases/teaching/classes'
import { gradeLearners } from '#usecases/teaching/gradeLearners'
import { offerHolidays } from '#usecases/teaching/holidays'
import { setJoining } from '#usecases/teaching/joiningCode'
import { keepGroup } from '#usecases/teaching/keepGroup'
import { keepGroups } from '#usecases/teaching/keepGroups'
import { makeClass } from '#usecases/teaching/makeClass'
import { removeLearner } from '#usecases/teaching/removeLearner'
import { resetPassword } from '#usecases/teaching/resetPassword'
import { addRoster, readRoster } from '#usecases/teaching/roster'
import { setMember } from '#usecases/teaching/setMember'
import { showOverview } from '#usecases/teaching/showOverview'
import { makeYear, readClosures } from '#usecases/teaching/years'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** Years, classes, rosters, groups, headings. */
export const TEACHING_ROUTES: readonly Route[] = [
  route(ShowFiling, ({ deps, actor }, { params }) => showFiling(deps, actor, params)),
  route(KeepFiling, ({ deps, actor }, { params, body }) => keepFiling(deps, actor, { ...params, ...body })),
  route(ShowOverview, ({ deps, actor }) => showOverview(deps, actor)),
  route(MakeYear, ({ deps, actor }, { body }) => makeYear(deps, actor, body)),
  route(OfferHolidays, ({ deps, actor }, { query }) =>
    offerHolidays(deps, actor, { ...query, country: query.country ?? null, region: query.region ?? null }),
  ),
  route(ReadClosures, ({ deps, actor }, { body }) => readClosures(deps, actor, body)),
  route(MakeClass, ({ deps, actor }, { body }) => makeClass(deps, actor, body)),
  route(ShowClass, ({ deps, actor }, { params }) => showClass(deps, actor, params.classId)),
  route(ReadRoster, ({ deps, actor }, { params, body }) => readRoster(deps, actor, { ...params, ...body })),
  route(AddRoster, ({ deps, actor }, { params, body }) => addRoster(deps, actor, { ...params, ...body })),
  route(SaveGroup, ({ deps, actor }, { params, body }) => keepGroup(deps, actor, { ...params, ...body })),
  route(KeepGroups, ({ deps, actor }, { params, body }) => keepGroups(deps, actor, { ...params, ...body })),
  route(SetMember, ({ deps, actor }, { params, body }) => setMember(deps, actor, { ...params, ...body })),
  route(GradeLearners, ({ deps, actor }, { params, body }) =>
    gradeLearners(deps, actor, { ...params, ...body }),
  ),
  route(
    SetAccommodation,
    ({ deps, actor }, { params, body: { learnerId, grade, startsOn, seen, ...accommodation } }) =>
      setAccommodation(deps, actor, { ...params, learnerId, grade, startsOn, seen, accommodation }),
  ),
  route(ResetPassword, ({ deps, actor }, { params, body }) =>
    resetPassword(deps, actor, { ...params, ...body }),
  ),
  route(RemoveLearner, ({ deps, actor }, { params, body }) =>
    removeLearner(deps, actor, { ...params, ...body }),
  ),
  route(SetJoining, ({ deps, actor }, { params, body }) => setJoining(deps, actor, { ...params, ...body })),
  route(TakeAway, ({ deps, actor }, { body }) => takeAway(deps, actor, body)),
  route(BringBack, ({ deps, actor }, { body }) => bringBack(deps, actor, body)),
]
