// npm run faults: each fault that can befall the data, tried on a copy of a library; prints what was said, what was lost, and after how
// long it could be used again. Everything happens on this computer and in scratch folders. Options: --only "words of its name"
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { parseArgs } from 'node:util'
import { FAULTS, leftOut } from '../test/faults/faults'
import { makeLibrary } from '../test/faults/library'

const { values } = parseArgs({ options: { only: { type: 'string' } } })
const folder = join(mkdtempSync(join(tmpdir(), 'jolly-beaker-library-')), 'data')
const made = { ...(await makeLibrary(folder)), folder }
console.log(`A library with ${made.all} readings, ${made.before} of them in its snapshot.\n`)
console.log('fault | said | lost | back after')
let failed = 0
for (const fault of FAULTS) {
  if (values.only && !fault.name.includes(values.only)) continue
  const missing = leftOut(fault)
  if (missing) {
    console.log(`${fault.name} | left out: ${missing} | |`)
    continue
  }
  try {
    const { said, lost, of, back, wrong } = await fault.run(made)
    const after = back === undefined ? 'does not start' : `${back.toFixed(1)} s`
    console.log(`${fault.name} | ${said.slice(0, 260) || 'nothing'} | ${lost} of ${of} | ${after}`)
    for (const what of wrong) console.log(`  ✘ ${what}`)
    failed += wrong.length
  } catch (error) {
    console.log(`${fault.name} | it could not be tried: ${String(error).slice(0, 300)} | |`)
    failed += 1
  }
}
rmSync(dirname(folder), { recursive: true })
console.log(failed === 0 ? '\nAll of it as promised.' : `\n${failed} things are not as promised.`)
process.exit(failed === 0 ? 0 : 1)
