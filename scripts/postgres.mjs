// The database server of tests and of the soak: PostgreSQL from Debian's packages.
import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { run } from './prepare.mjs'

const PLACE = '/usr/lib/postgresql'

/** Where its programs are; undefined where it is not installed. */
export function postgresPrograms() {
  const versions = existsSync(PLACE) ? readdirSync(PLACE).sort((a, b) => Number(b) - Number(a)) : []
  return versions.map((version) => join(PLACE, version, 'bin')).find((path) => existsSync(join(path, 'initdb')))
}

export async function installPostgres() {
  if (postgresPrograms()) return
  console.log('Installing PostgreSQL from the system packages (once) ...')
  const [command, ...before] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', 'apt-get']
  await run(command, [...before, 'update'])
  // No server of the system's own: tests start theirs.
  await run(command, [...before, 'install', '-y', '--no-install-recommends', 'postgresql'], {
    env: { DEBIAN_FRONTEND: 'noninteractive' },
  })
}
