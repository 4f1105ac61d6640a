import { execFileSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import postgres from 'postgres'
import { postgresPrograms } from '../scripts/postgres.mjs'
import { freePort } from './freePort'

export interface PostgresServer {
  /** Without the name of a database. */
  address: string
  /** The address of one of its databases, which is made where it is not there. */
  database(name: string): Promise<string>
  /** Stops it in the middle of whatever it does, or as its keeper would (every connection is ended), and starts it again. */
  restart(how?: 'immediate' | 'fast'): void
  stop(): void
}

// PostgreSQL does not run as root.
const UNPRIVILEGED = process.getuid?.() === 0 ? ['setpriv', '--reuid=postgres', '--regid=postgres', '--clear-groups'] : []

/** A PostgreSQL server of its own, in a folder that goes away with it, on this computer and a free port only. */
export async function startPostgres(): Promise<PostgresServer> {
  const programs = postgresPrograms()
  if (!programs) throw new Error('PostgreSQL is not installed: npm test installs it.')
  const home = mkdtempSync(join(tmpdir(), 'jolly-beaker-postgres-'))
  chmodSync(home, 0o755)
  const data = join(home, 'data')
  if (UNPRIVILEGED.length > 0) execFileSync('chown', ['postgres:postgres', home])
  const run = (program: string, ...args: string[]) => {
    const [command, ...rest] = [...UNPRIVILEGED, join(programs, program), ...args]
    execFileSync(command!, rest, { stdio: 'ignore', cwd: home })
  }
  run('initdb', '-D', data, '-U', 'teacher', '-A', 'trust', '-E', 'UTF8', '--locale=C', '--no-sync')
  const port = await freePort()
  const options = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c max_connections=80`
  const start = () => run('pg_ctl', 'start', '-w', '-D', data, '-l', join(home, 'log'), '-o', options)
  const stop = (how = 'immediate') => run('pg_ctl', 'stop', '-w', '-m', how, '-D', data)
  start()
  const address = `postgres://teacher@127.0.0.1:${port}`
  return {
    address,
    database: (name) => makeDatabase(address, name),
    restart(how) {
      stop(how)
      start()
    },
    stop() {
      stop()
      rmSync(home, { recursive: true, force: true })
    },
  }
}

/** Makes a database where it is not there; the address of the server comes without its name. */
async function makeDatabase(server: string, name: string): Promise<string> {
  const sql = postgres(`${server}/postgres`, { max: 1, onnotice: () => undefined })
  const [there] = await sql`select 1 from pg_database where datname = ${name}`
  if (!there) await sql.unsafe(`create database "${name}"`)
  await sql.end()
  return `${server}/${name}`
}

/** In tests that run on PostgreSQL: the address of the database that stands for a data folder. */
export async function databaseFor(folder: string): Promise<string | undefined> {
  const server = process.env.JOLLY_BEAKER_TEST_POSTGRES
  return server ? makeDatabase(server, `t${createHash('sha1').update(folder).digest('hex').slice(0, 16)}`) : undefined
}
