import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { ROUTE_FILES } from '../api/routes'

const HOME = process.cwd()
const CONTRACT = join(HOME, 'schemas/contract.ts')
/** What was parsed once; every program below is made of the same files but for the contract. */
const parsed = new Map<string, ts.SourceFile | undefined>()

/** What the compiler says of a file of the app or the server when the contract reads like this. */
function complaints(side: 'app' | 'server', name: string, contract: string): string[] {
  const config = ts.readConfigFile(join(HOME, `.nuxt/tsconfig.${side}.json`), (path) => readFileSync(path, 'utf8'))
  const { options } = ts.parseJsonConfigFileContent(config.config, { ...ts.sys, readDirectory: () => [] }, join(HOME, '.nuxt'))
  const host = ts.createCompilerHost(options)
  const read = host.getSourceFile.bind(host)
  host.getSourceFile = (path, languageVersion) => {
    if (path === CONTRACT) return ts.createSourceFile(path, contract, languageVersion)
    if (!parsed.has(side + path)) parsed.set(side + path, read(path, languageVersion))
    return parsed.get(side + path)
  }
  const file = join(HOME, name)
  const program = ts.createProgram({
    rootNames: [file, join(HOME, '.nuxt/nuxt.d.ts')],
    options: { ...options, noEmit: true },
    host,
  })
  return program
    .getSemanticDiagnostics(program.getSourceFile(file))
    .map(({ messageText }) => ts.flattenDiagnosticMessageText(messageText, '\n'))
}

describe('the contract', () => {
  it('every route is written for the method and path at which it stands', () => {
    const named = ROUTE_FILES.filter(({ path }) => !path.includes('[list]')).map(({ file, method, path }) => {
      const [, name] = /(?:open|desk|head|lesson|station)Route<'([^']+)'>/.exec(readFileSync(`server/api/${file}`, 'utf8')) ?? []
      return [name, `${method} ${path}`]
    })
    expect(named.length).toBeGreaterThan(40)
    for (const [name, place] of named) expect(name).toBe(place)
  })

  // Each of these is a program of its own for the compiler.
  it('an answer that changes breaks the type check of the route that gives it and of the page that uses it', () => {
    const contract = readFileSync(CONTRACT, 'utf8')
    const answer = "'PUT /api/lessons/[lesson]/plan': { body: { plan: Plan; revision: number }; answer: { revision: number } }"
    expect(contract).toContain(answer)
    const changed = contract.replace(answer, answer.replace('answer: { revision: number }', 'answer: { version: number }'))
    const [route, page] = ['server/api/lessons/[lesson]/plan.put.ts', 'app/stores/lesson.ts']
    expect([complaints('server', route, contract), complaints('app', page, contract)]).toEqual([[], []])
    expect(complaints('server', route, changed).join('\n')).toContain("'version' is missing")
    expect(complaints('app', page, changed).join('\n')).toContain(
      "Property 'revision' does not exist on type '{ version: number; }'",
    )
  }, 120_000)

  it('a body without one of its parts, and an address that is not there, do not compile either', () => {
    const contract = readFileSync(CONTRACT, 'utf8')
    const more = contract.replace(
      'body: { plan: Plan; revision: number }; answer: { revision',
      'body: { plan: Plan; revision: number; why: string }; answer: { revision',
    )
    expect(complaints('app', 'app/stores/lesson.ts', more).join('\n')).toContain("Property 'why' is missing")
    const moved = contract.replaceAll("/school': {", "/cupboard': {")
    expect(complaints('app', 'app/stores/lesson.ts', moved).join('\n')).toContain('GET /api/lessons/[lesson]/school')
  }, 120_000)
})
