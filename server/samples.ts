import { readFile } from 'node:fs/promises'
import { pathToFileURL } from 'node:url'
import type { ShelfReading } from '#core/formats'

/** The build lays them beside the server. */
const SAMPLES = new URL('samples.json', pathToFileURL(process.argv[1] ?? ''))

/** The textbooks that ship with this server; none where the build left them out. */
export async function shippedSamples(): Promise<readonly ShelfReading[]> {
  try {
    return JSON.parse(await readFile(SAMPLES, 'utf8')) as readonly ShelfReading[]
  } catch (problem) {
    if ((problem as NodeJS.ErrnoException).code === 'ENOENT') return []
    throw problem
  }
}
