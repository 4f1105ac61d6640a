import { startPostgres } from '../postgres'

/** One PostgreSQL server for all of them; each data folder stands for a database on it. */
export default async function start(): Promise<() => void> {
  const server = await startPostgres()
  process.env.JOLLY_BEAKER_TEST_POSTGRES = server.address
  return () => server.stop()
}
