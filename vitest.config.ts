import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const app = fileURLToPath(new URL('./app', import.meta.url))

/**
 * Two at a time: by itself Vitest leaves a core of two idle, and a journey waits as much as it reckons. More would
 * only make them slower than what they wait for.
 */
const WORKERS = 2

/** Takes as long as all other tests of routes together; the daily loop goes without. */
const FUZZ = 'tests/http/fuzz.test.ts'

export default defineConfig({
  resolve: { alias: { '~': app } },
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          include: ['core/**/*.test.ts'],
          environment: 'node',
          testTimeout: 60_000,
          maxWorkers: WORKERS,
        },
      },
      {
        extends: true,
        test: {
          name: 'routes',
          include: [
            'tests/*.test.ts',
            'tests/usecases/**/*.test.ts',
            'tests/http/**/*.test.ts',
            'tests/db/**/*.test.ts',
            'app/**/*.test.ts',
          ],
          exclude: [FUZZ],
          environment: 'node',
          testTimeout: 60_000,
          hookTimeout: 120_000,
          maxWorkers: WORKERS,
        },
      },
      {
        extends: true,
        test: {
          name: 'fuzz',
          include: [FUZZ],
          environment: 'node',
          testTimeout: 60_000,
          hookTimeout: 120_000,
          maxWorkers: WORKERS,
        },
      },
      {
        extends: true,
        test: {
          name: 'e2e',
          include: ['tests/e2e/**/*.test.ts'],
          environment: 'node',
          // generous: no journey comes near half of it, on a machine that does other things neither
          testTimeout: 240_000,
          hookTimeout: 240_000,
          maxWorkers: WORKERS,
          // on a busy machine once more; the reporter says which test needed it, and that one wants mending
          retry: 1,
        },
      },
    ],
  },
})
