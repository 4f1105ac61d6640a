import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { ROUTE_FILES } from '../api/routes'

const HOME = process.cwd()
const CONTRACT = join(HOME, 'schemas/contract.ts')

/** What the compiler says of a file of the app or the server when the contract reads like this. */
function complaints(side: 'app' | 'server', name: string, contract: string): string[] {
  const config = ts.readConfigFile(join(HOME, `.nuxt/tsconfig.${side}.json`), (path) => readFileSync(path, 'utf8'))
  const { options } = ts.parseJsonConfigFileContent(config.config, { ...ts.sys, readDirectory: () => [] }, join(HOME, '.nuxt'))
  const host = ts.createCompilerHost(options)
  const read = host.getSourceFile.bind(host)
  host.getSourceFile = (path, languageVersion) => {
    return path === CONTRACT ? ts.createSourceFile(path, contract, languageVersion) : read(path, languageVersion)
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
      const [, name] =
        /(?:open|desk|head|lesson|station|together)Route<'([^']+)'>/.exec(readFileSync(`server/api/${file}`, 'utf8')) ?? []
      return [name, `${method} ${path}`]
    })
    expect(named.length).toBeGreaterThan(40)
    for (const [name, place] of named) expect(name).toBe(place)
  })

  // That nothing is said of the contract as it stands, the type check of everything says.
  it('an answer that changes, a body without one of its parts and an address that is not there do not compile', () => {
    const contract = readFileSync(CONTRACT, 'utf8')
    const saving = "'PUT /api/lessons/[lesson]/plan': { body: { plan: Plan; revision: number }; answer: { revision: number } }"
    expect(contract).toContain(saving)
    const answering = saving.replace('answer: { revision', 'answer: { version')
    expect(
      complaints('server', 'server/api/lessons/[lesson]/plan.put.ts', contract.replace(saving, answering)).join('\n'),
    ).toContain("'version' is missing")
    const changed = contract
      .replace(saving, answering.replace('}; answer', '; why: string }; answer'))
      .replaceAll("/school': {", "/cupboard': {")
    const ofThePage = complaints('app', 'app/stores/lesson.ts', changed).join('\n')
    expect(ofThePage).toContain("Property 'revision' does not exist on type '{ version: number; }'")
    expect(ofThePage).toContain("Property 'why' is missing")
    expect(ofThePage).toContain('GET /api/lessons/[lesson]/school')
  }, 120_000)
})
