import { randomUUID } from 'node:crypto'
import { fileURLToPath } from 'node:url'
import { openStore } from '#db/client'
import { clockAt } from '#standins/clock'
import { seededIds } from '#standins/ids'
import { publicHolidays } from '#standins/holidays'
import { noMail } from '#standins/mail'
import { scryptPasswords } from '#standins/passwords'
import { sessionTickets } from '#standins/tickets'
import type { Deps } from '#usecases/ground/deps'
import { onThisThread } from '#usecases/ground/heavy'
import { instant } from '#core/base'
import { zoneOf } from '#core/calendar'
import { liveThrough } from './history'
import { runClassWork } from './classWork'
import { followUpCheck } from './followUp'
import { fillPages } from './pages'
import { SEED, YEAR } from './scenario'
import { buildBoats } from './handedIn'
import { misprintKey } from './misprint'
import { buildSchool, openAsPractice } from './school'
import { writeTexts } from './texts'
import { beginTrails, layVersions } from './trails'

// fills an empty database file with the demo school: tsx demo/fill.ts PATH
const path = process.argv[2]
if (!path) throw new Error('name the database file to fill')
const store = await openStore({
  url: path,
  migrationsFolder: fileURLToPath(new URL('../db/migrations', import.meta.url)),
  safeOnPowerLoss: false,
})
const clock = clockAt(instant(zoneOf(YEAR.zone).at(YEAR.firstOn, 0) - 3 * 86_400_000))
const deps: Deps = {
  store,
  clock,
  ids: seededIds(SEED),
  passwords: scryptPasswords(),
  // nobody goes on with the sessions in which the demo was made
  tickets: sessionTickets(randomUUID()),
  holidays: publicHolidays(),
  signUp: { kind: 'open' },
  heavy: onThisThread,
  mail: noMail,
}
const school = await buildSchool(deps)
await layVersions(deps, school)
await beginTrails(deps, school)
await liveThrough(deps, school, clock)
await openAsPractice(deps, school)
await writeTexts(deps, school, clock)
await buildBoats(deps, school)
await fillPages(deps, school, clock)
await followUpCheck(deps, school, clock)
await runClassWork(deps, school)
await misprintKey(deps, school)
await store.settle()
store.close()
