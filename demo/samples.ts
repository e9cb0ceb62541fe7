import { writeFileSync } from 'node:fs'
import { sampleReadings } from './sampleReadings'

// writes the sample textbooks that ship: tsx demo/samples.ts PATH
const path = process.argv[2]
if (!path) throw new Error('name the file to write')
writeFileSync(path, JSON.stringify(sampleReadings()))
