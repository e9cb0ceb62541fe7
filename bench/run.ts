import { mkdirSync, writeFileSync } from 'node:fs'
import { deskBench } from './desk.bench'
import { doorsBench } from './doors.bench'
import { evidenceBench } from './evidence.bench'
import { hostileBench } from './hostile.bench'
import { layOutBench } from './layOut.bench'
import { learnersBench } from './learners.bench'
import { loadBench } from './load.bench'
import { print } from './measure'
import { planningBench } from './planning.bench'
import { searchBench } from './search.bench'
import type { Line } from './measure'
import { windowsBench } from './windows.bench'

// npm run bench: figures as a table, and as JSON in .tmp/bench.json
const SUITES: Readonly<Record<string, () => Line[] | Promise<Line[]>>> = {
  'Laying out': layOutBench,
  'Fit, ripple, forecast': planningBench,
  'Audience and windows': windowsBench,
  'Learners at work': learnersBench,
  'Load by week': loadBench,
  Evidence: evidenceBench,
  'Search on the shelf': searchBench,
  'Doors of the server': doorsBench,
  'Beside hostile files': hostileBench,
  'The desk in a browser': deskBench,
}
const wanted = process.argv[2]
const report: Record<string, readonly Line[]> = {}
for (const [title, run] of Object.entries(SUITES)) {
  if (wanted && !title.toLowerCase().includes(wanted.toLowerCase())) continue
  const lines = await run()
  report[title] = lines
  print(title, lines)
}
mkdirSync('.tmp', { recursive: true })
writeFileSync('.tmp/bench.json', JSON.stringify({ node: process.version, report }, null, 2))
