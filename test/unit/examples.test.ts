import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { transformSync } from 'esbuild'
import { describe, expect, it } from 'vitest'
import * as ready from '../ready'

/** One worked example of a doc comment: code, and what it gives. */
interface Example {
  file: string
  line: number
  code: string
  gives: string
}

const FILES = readdirSync('core', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
  .sort()

/** What of a comment's line is text. */
const textOf = (line: string) => line.replace(/^\s*(?:\/\*\*|\*\/|\*)? ?/, '').replace(/\s*\*\/\s*$/, '')

function examplesIn(file: string): Example[] {
  const lines = readFileSync(join('core', file), 'utf8').split('\n')
  return lines.flatMap((line, place) => {
    // In one line, between backquotes, before what is public.
    if (/^\/\*\*.*\*\/$/.test(line) && lines[place + 1]!.startsWith('export '))
      return [...line.matchAll(/`([^`]+?) \/\/ (?:=> )?([^`]+)`/g)].map(([, code, gives]) => ({
        file,
        line: place + 1,
        code: code!,
        gives: gives!,
      }))
    const [, first] = /@example (.*)$/.exec(line) ?? []
    if (first === undefined) return []
    const text = [textOf(first)]
    // An example goes on until the comment ends or another tag begins.
    for (let next = place + 1; !line.includes('*/') && !lines[next]!.includes('*/') && !/\* @/.test(lines[next]!); next += 1)
      text.push(textOf(lines[next]!))
    const [code, gives] = text.join('\n').split(/\/\/ (?:=> )?/)
    return [{ file, line: place + 1, code: code!.trim(), gives: gives?.trim() ?? '' }]
  })
}

/** Everything an example may name: the lessons that stand ready, all of core's public face, and what its own file exports. */
const load = (file: string) => import(/* @vite-ignore */ join(process.cwd(), 'core', file)) as Promise<Record<string, unknown>>
async function scopeOf(file: string): Promise<Record<string, unknown>> {
  const faces = await Promise.all(FILES.filter((one) => one.endsWith('index.ts')).map(load))
  return Object.assign({}, ...faces, await load(file), ready) as Record<string, unknown>
}

function run(code: string, scope: Record<string, unknown>): unknown {
  const { code: plain } = transformSync(`return (${code}\n)`, { loader: 'ts' })
  return new Function(...Object.keys(scope), plain)(...Object.values(scope)) as unknown
}

/** A number as it is written stands for all that round to it. */
function rounded(value: unknown, like: unknown): unknown {
  if (typeof value === 'number' && typeof like === 'number') {
    const decimals = /\.(\d+)$/.exec(String(like))?.[1]?.length ?? 0
    return decimals === 0 && Number.isInteger(value) ? value : Number(value.toFixed(decimals))
  }
  if (Array.isArray(value) && Array.isArray(like)) return value.map((one, place) => rounded(one, like[place]))
  if (isPlain(value) && isPlain(like))
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, rounded(one, like[key])]))
  return value
}

/** Spaces that do not break are written as plain ones in an example. */
function plainSpaces(value: unknown): unknown {
  if (typeof value === 'string') return value.replace(/[\u00a0\u202f]/g, ' ')
  if (Array.isArray(value)) return value.map(plainSpaces)
  return isPlain(value) ? Object.fromEntries(Object.entries(value).map(([key, one]) => [key, plainSpaces(one)])) : value
}

const isPlain = (value: unknown): value is Record<string, unknown> => Object.prototype.toString.call(value) === '[object Object]'

describe.each(FILES.map((file) => [file, examplesIn(file)] as const).filter(([, examples]) => examples.length > 0))(
  'the examples in core/%s',
  (file, examples) => {
    it.each(examples)('line $line: $code', async ({ code, gives }) => {
      const scope = await scopeOf(file)
      const value = plainSpaces(run(code, scope))
      // Three dots stand for what is left out.
      const whole = !gives.includes('…')
      const wanted = plainSpaces(run(gives.replace(/,?\s*…/g, ''), scope))
      if (whole) expect(rounded(value, wanted)).toEqual(wanted)
      else expect(rounded(value, wanted)).toMatchObject(wanted as object)
    })
  },
)
