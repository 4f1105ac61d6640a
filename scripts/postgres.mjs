// The database server of tests and of the soak: PostgreSQL from Debian's packages.
import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

const PLACE = '/usr/lib/postgresql'

/** Where its programs are; undefined where it is not installed. */
export function postgresPrograms() {
  const versions = existsSync(PLACE) ? readdirSync(PLACE).sort((a, b) => Number(b) - Number(a)) : []
  return versions.map((version) => join(PLACE, version, 'bin')).find((path) => existsSync(join(path, 'initdb')))
}
