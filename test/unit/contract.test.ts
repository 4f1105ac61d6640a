import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import type { lessonRoute } from '../../server/access/route'
import { savePlanSchema } from '../../schemas/requests'
import { ROUTE_FILES } from '../api/routes'

it('every route is written for the method and path at which it stands', () => {
  const named = ROUTE_FILES.filter(({ path }) => !path.includes('[list]')).map(({ file, method, path }) => {
    const [, name] =
      /(?:open|desk|head|lesson|station|together)Route<'([^']+)'>/.exec(readFileSync(`server/api/${file}`, 'utf8')) ?? []
    return [name, `${method} ${path}`]
  })
  expect(named.length).toBeGreaterThan(40)
  for (const [name, place] of named) expect(name).toBe(place)
})

/** Never run: the type check of everything fails where one of the marked lines does compile. What a page asks stands in app/following/callServer.test.ts. */
export function refusedByTheCompiler(route: typeof lessonRoute): void {
  const shape = { body: savePlanSchema }
  route<'PUT /api/lessons/[lesson]/plan'>(shape, ({ body }) => ({ revision: body.revision }))
  // @ts-expect-error The answer has another name in the contract.
  route<'PUT /api/lessons/[lesson]/plan'>(shape, () => ({ version: 4 }))
  // @ts-expect-error The body has no such part.
  route<'PUT /api/lessons/[lesson]/plan'>(shape, ({ body }) => ({ revision: body.why }))
  // @ts-expect-error A route that takes a body says what it may be.
  route<'PUT /api/lessons/[lesson]/plan'>({}, () => ({ revision: 4 }))
  // @ts-expect-error There is no such route.
  route<'PUT /api/lessons/[lesson]/plans'>(shape, () => ({ revision: 4 }))
}
