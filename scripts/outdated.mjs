// npm run outdated: which packages are behind, each with the reason in docs/pins.md why it stays, or with none.
import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { home } from './prepare.mjs'

const reasons = new Map(
  readFileSync(join(home, 'docs', 'pins.md'), 'utf8')
    .split('\n')
    .map((line) => /^\| (\S.*?) \| (.+) \|$/.exec(line))
    .filter(Boolean)
    .map(([, name, why]) => [name, why]),
)
// It ends with 1 where something is behind.
const { stdout } = spawnSync('npm', ['outdated', '--json'], { cwd: home, encoding: 'utf8' })
const behind = Object.entries(JSON.parse(stdout || '{}'))
for (const [name, { current, latest }] of behind)
  console.log(`${name} ${current} -> ${latest}: ${reasons.get(name) ?? 'NO REASON, raise it'}`)
console.log(`${behind.length} behind, ${behind.filter(([name]) => !reasons.has(name)).length} of them without a reason`)
