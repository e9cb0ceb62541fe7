import { mkdirSync, writeFileSync } from 'node:fs'
import { layOutBench } from './layOut.bench'
import { print } from './measure'
import type { Line } from './measure'
import { windowsBench } from './windows.bench'

// npm run bench: figures as a table, and as JSON in .tmp/bench.json
const SUITES: Readonly<Record<string, () => Line[]>> = { 'Laying out': layOutBench, 'Audience and windows': windowsBench }
const wanted = process.argv[2]
const report: Record<string, readonly Line[]> = {}
for (const [title, run] of Object.entries(SUITES)) {
  if (wanted && !title.toLowerCase().includes(wanted.toLowerCase())) continue
  report[title] = run()
  print(title, report[title])
}
mkdirSync('.tmp', { recursive: true })
writeFileSync('.tmp/bench.json', JSON.stringify({ node: process.version, report }, null, 2))
