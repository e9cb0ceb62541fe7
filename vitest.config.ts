import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', include: ['core/**/*.test.ts'], environment: 'node', testTimeout: 60_000 } },
      {
        test: {
          name: 'routes',
          include: [
            'tests/*.test.ts',
            'tests/usecases/**/*.test.ts',
            'tests/http/**/*.test.ts',
            'tests/db/**/*.test.ts',
            'app/**/*.test.ts',
          ],
          environment: 'node',
          testTimeout: 60_000,
          hookTimeout: 120_000,
        },
      },
      {
        test: {
          name: 'e2e',
          include: ['tests/e2e/**/*.test.ts'],
          environment: 'node',
          testTimeout: 120_000,
          hookTimeout: 120_000,
          fileParallelism: false,
        },
      },
    ],
  },
})
