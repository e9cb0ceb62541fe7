import { writeFileSync } from 'node:fs'
import { licencesText } from './steps/licences.mjs'
import { ROOT } from './steps/run.mjs'

// npm run licences: docs/licences.md, from the lock file
writeFileSync(`${ROOT}docs/licences.md`, licencesText())
