import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'
import aliases from './scripts/aliases.mjs'

const STARTING = ['test/api/{start,versionBefore,packed,classMode,keptApart}.test.ts']
const FOLDERS = ['test/api/{database,putBack}.test.ts']

export default defineConfig({
  test: {
    projects: [
      {
        resolve: aliases.resolve,
        test: {
          name: 'unit',
          testTimeout: 360_000,
          // What computes keeps nothing to itself, so that the files of a worker may share what they import: half the time.
          isolate: false,
          include: [
            'core/**/*.test.ts',
            'schemas/**/*.test.ts',
            'demo/**/*.test.ts',
            'app/following/*.test.ts',
            'test/unit/**/*.test.ts',
          ],
        },
      },
      {
        resolve: aliases.resolve,
        plugins: [vue()],
        test: {
          name: 'components',
          include: ['app/componentTests/*.test.ts'],
          environment: 'happy-dom',
          testTimeout: 360_000,
          setupFiles: ['app/componentTests/nuxtNames.ts'],
          server: { deps: { inline: ['vuetify'] } },
        },
      },
      {
        test: {
          name: 'api',
          include: ['test/api/**/*.test.ts'],
          exclude: [...STARTING, ...FOLDERS],
          globalSetup: ['test/api/globalApplication.ts'],
          testTimeout: 360_000,
          hookTimeout: 360_000,
          fileParallelism: false,
        },
      },
      // What starts applications of its own, and what befalls their data; beside the others, so that two cores have work.
      {
        test: { name: 'start', include: STARTING, testTimeout: 360_000, hookTimeout: 360_000, fileParallelism: false },
      },
      {
        test: { name: 'folders', include: FOLDERS, testTimeout: 360_000, hookTimeout: 360_000, fileParallelism: false },
      },
      // The same on a PostgreSQL server, but for what is about folders, refusals, files or access, whatever the database; and what several
      // processes on it have to do.
      {
        test: {
          name: 'postgres',
          include: ['test/api/**/*.test.ts', 'test/machines/**/*.test.ts'],
          exclude: [...STARTING, ...FOLDERS, 'test/api/{hostile,wonder}.test.ts'],
          globalSetup: ['test/machines/globalPostgres.ts', 'test/api/globalApplication.ts'],
          testTimeout: 360_000,
          hookTimeout: 360_000,
          fileParallelism: false,
        },
      },
      {
        resolve: aliases.resolve,
        test: {
          name: 'browsers',
          include: ['test/browsers/*.test.ts'],
          testTimeout: 180_000,
          hookTimeout: 360_000,
          fileParallelism: false,
        },
      },
      // A minute of its own, most of it spent waiting.
      { test: { name: 'soak', include: ['test/soak/*.test.ts'] } },
    ],
  },
})
