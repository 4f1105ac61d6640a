import { readdirSync } from 'node:fs'
import { EVERY_KIND } from '../../core/lesson'

export interface Route {
  method: string
  path: string
}

/** Every route there is, read from the folder, so that a new one is thrown at as well. */
export const ROUTES: Route[] = readdirSync('server/api', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.includes('[...]'))
  .map((file) => {
    const [, path = '', method = 'get'] = /^(.*?)\.(get|post|put|delete)\.ts$/.exec(file) ?? []
    return { method: method.toUpperCase(), path: `/api/${path.replace(/(^|\/)index$/, '')}`.replace(/\/$/, '') }
  })
  .flatMap((route) =>
    route.path.includes('[list]')
      ? EVERY_KIND.filter(({ desk }) => desk).map(({ list }) => ({ ...route, path: route.path.replace('[list]', list) }))
      : [route],
  )

/** The address of a route about this lesson, and about things that nobody has. */
export function addressOf(path: string, lesson: string, unknown: string): string {
  return path.replace('[lesson]', lesson).replace(/\[(thing|station|picture)\]/, unknown)
}
