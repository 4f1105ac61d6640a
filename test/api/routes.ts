import { readdirSync } from 'node:fs'
import { EVERY_KIND } from '../../core/lesson'

export interface Route {
  method: string
  path: string
}

/** Every file of a route, with the method and path at which it stands. */
export const ROUTE_FILES = readdirSync('server/api', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.includes('[...]'))
  .map((file) => {
    const [, path = '', method = 'get'] = /^(.*?)\.(get|post|put|delete)\.ts$/.exec(file) ?? []
    return { file, method: method.toUpperCase(), path: `/api/${path.replace(/(^|\/)index$/, '')}`.replace(/\/$/, '') }
  })

/** Every route there is, read from the folder, so that a new one is thrown at as well; those of rows once for each kind. */
export const ROUTES: Route[] = ROUTE_FILES.flatMap(({ method, path }) =>
  path.includes('[list]')
    ? EVERY_KIND.filter(({ desk }) => desk).map(({ list }) => ({ method, path: path.replace('[list]', list) }))
    : [{ method, path }],
)

/** The address of a route about this lesson, and about things that nobody has. */
export function addressOf(path: string, lesson: string, unknown: string): string {
  return path.replace('[lesson]', lesson).replace(/\[(thing|station|picture|desk|notice|together)\]/, unknown)
}
