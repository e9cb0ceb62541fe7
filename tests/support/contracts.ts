import { readdirSync } from 'node:fs'
import type { AnyContract } from '#shared/contracts/contract'

const FOLDER = new URL('../../shared/contracts/', import.meta.url)

const isContract = (value: unknown): value is AnyContract =>
  typeof value === 'object' && value !== null && 'method' in value && 'path' in value && 'body' in value

/** Every contract there is, read out of their folder, so that none can be forgotten. */
export const CONTRACTS: readonly AnyContract[] = (
  await Promise.all(
    readdirSync(FOLDER).map(
      async (name) =>
        Object.values((await import(new URL(name, FOLDER).href)) as object) as readonly unknown[],
    ),
  )
)
  .flat()
  .filter(isContract)
