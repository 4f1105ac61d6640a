import { PORT } from '../../playwright.config'
import { startApplication, temporaryFolder } from '../application'

/** One application with the demo class for all browser tests. */
export default async function start(): Promise<() => Promise<void>> {
  const { folder, remove } = temporaryFolder()
  const application = await startApplication({ data: folder, demo: true, port: PORT })
  return async () => {
    await application.stop()
    remove()
  }
}
