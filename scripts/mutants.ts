// npm run mutants [folder ...]: would anybody notice? Changes core in many small ways, one at a time, in a copy, and counts how many of a seeded sample the
// folder's own tests notice. What stayed unnoticed is listed. Not a part of npm test: it takes some five minutes a folder.
import { execFileSync } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { availableParallelism, tmpdir } from 'node:os'
import { join } from 'node:path'
import { Stryker } from '@stryker-mutator/core'

const FOLDERS = ['kit', 'fairness', 'clock', 'evidence', 'record', 'agree', 'test']
const WANTED = 0.85
/** What the result of a mutant says of the tests. */
const NOTICED = ['Killed', 'Timeout', 'RuntimeError']
const UNNOTICED = ['Survived', 'NoCoverage']

const home = process.cwd()
const asked = process.argv.slice(2).filter((word) => !word.startsWith('--'))
const shares = []
for (const folder of asked.length > 0 ? asked : FOLDERS) {
  const results = await mutate(folder)
  const [noticed, unnoticed] = [NOTICED, UNNOTICED].map((names) => results.filter(({ status }) => names.includes(status)))
  console.log(`\ncore/${folder}: ${noticed!.length} of ${noticed!.length + unnoticed!.length} noticed. Not noticed:`)
  for (const { fileName, location, mutatorName, replacement, status } of unnoticed!) {
    const line = readFileSync(join(home, fileName), 'utf8').split('\n')[location.start.line - 1]!.trim()
    const put = (replacement ?? '').replace(/\s+/g, ' ').slice(0, 100)
    console.log(`  ${fileName}:${location.start.line}:${location.start.column} ${mutatorName}: ${put}   in   ${line}   (${status})`)
  }
  shares.push({ folder, share: noticed!.length / (noticed!.length + unnoticed!.length) })
}
console.table(shares.map(({ folder, share }) => ({ folder, 'noticed of 100': Math.round(share * 100) })))
process.exit(shares.every(({ share }) => share >= WANTED) ? 0 : 1)

/** In a copy, since the files are changed where they stand. */
async function mutate(folder: string) {
  const copy = mkdtempSync(join(tmpdir(), 'jolly-beaker-mutants-'))
  const kept = execFileSync('git', ['ls-files', '-z'], { cwd: home, encoding: 'utf8' }).split('\0').filter(Boolean)
  for (const file of kept) cpSync(join(home, file), join(copy, file))
  for (const made of ['node_modules', '.nuxt']) symlinkSync(join(home, made), join(copy, made))
  const config = `export default { root: ${JSON.stringify(copy)}, test: { include: ['core/${folder}/**/*.test.ts'], testTimeout: 60_000 } }\n`
  writeFileSync(join(copy, 'mutants.vitest.config.mjs'), config)
  process.chdir(copy)
  try {
    const results = await new Stryker({
      testRunner: 'vitest',
      vitest: { configFile: 'mutants.vitest.config.mjs', related: false },
      plugins: ['@stryker-mutator/vitest-runner', join(copy, 'scripts/mutants/drawMutants.mjs')],
      checkers: ['draw'],
      mutate: [`core/${folder}/**/*.ts`, '!**/*.test.ts'],
      inPlace: true,
      ignoreStatic: true,
      coverageAnalysis: 'perTest',
      disableTypeChecks: false,
      concurrency: availableParallelism(),
      reporters: [],
      allowConsoleColors: false,
    }).runMutationTest()
    return results.map((one) => ({ ...one, fileName: one.fileName.slice(one.fileName.indexOf('core/')) }))
  } finally {
    process.chdir(home)
    rmSync(copy, { recursive: true, force: true })
  }
}
