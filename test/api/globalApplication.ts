import type { TestProject } from 'vitest/node'
import { startApplication, temporaryFolder } from '../application'

declare module 'vitest' {
  export interface ProvidedContext {
    base: string
  }
}

/** One empty application for all API tests; each test makes the lessons it needs. */
export default async function start(project: TestProject): Promise<() => Promise<void>> {
  const { folder, remove } = temporaryFolder()
  const application = await startApplication({ data: folder })
  project.provide('base', application.base)
  return async () => {
    await application.stop()
    remove()
  }
}
