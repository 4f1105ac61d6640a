import { execFileSync } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startApplication } from '../application'
import { unmount } from './disks'
import { addReadings, countReadings, sleep, startOn, type Outcome } from './library'
import { row, type FaultRow, type MadeLibrary } from './row'

const WRITES = 240

/** Whatever had been acknowledged when the copy began must be in it. */
export async function powerCut(name: string, made: MadeLibrary, what: 'disk' | 'process'): Promise<FaultRow> {
  const place = mkdtempSync(join(tmpdir(), 'jolly-beaker-power-'))
  const [image, disk] = [join(place, 'disk.image'), join(place, 'disk')]
  mkdirSync(disk)
  if (what === 'disk') {
    execFileSync('dd', ['if=/dev/zero', `of=${image}`, 'bs=1M', 'count=400', 'status=none'])
    execFileSync('mkfs.ext4', ['-q', image])
    execFileSync('mount', ['-o', 'loop', image, disk])
  }
  const folder = join(disk, 'data')
  cpSync(made.folder, folder, { recursive: true })
  if (what === 'disk') execFileSync('sync')
  const application = await startApplication({ data: folder })
  let acknowledged = 0
  const writing = (async () => {
    for (let written = 0; written < WRITES; written += 4) acknowledged += await addReadings(application, made.lesson, 4)
  })()
  let worst: Outcome | undefined
  let [lost, of] = [0, 0]
  for (let cut = 0; cut < 3; cut += 1) {
    await sleep(500 + 400 * cut)
    const [copied, again] = [join(place, `copy-${cut}`), join(place, `again-${cut}`)]
    const sure = acknowledged
    if (what === 'disk') {
      execFileSync('cp', ['--sparse=always', image, copied])
      mkdirSync(again)
      execFileSync('mount', ['-o', 'loop', copied, again])
    } else {
      if (cut < 2) continue
      application.process.kill('SIGKILL')
      await writing
      cpSync(disk, again, { recursive: true })
    }
    for (const name of ['in-use.json', 'in-use.lock']) rmSync(join(again, 'data', name), { recursive: true, force: true })
    const outcome = await startOn(join(again, 'data'), made)
    of = Math.max(of, made.all + sure)
    lost = Math.max(lost, made.all + sure - outcome.readings)
    if (!worst || outcome.seconds > worst.seconds || !outcome.started) worst = outcome
    if (what === 'disk') unmount(again)
  }
  await writing
  if (what === 'disk') {
    const whole = await countReadings(application.base, made.lesson)
    await application.stop()
    unmount(disk)
    if (whole < made.all + acknowledged) lost = Math.max(lost, made.all + acknowledged - whole)
  }
  rmSync(place, { recursive: true, force: true })
  return row(name, { ...made, all: of }, { ...worst!, readings: of - lost }, 0, { 'does not start': worst!.started })
}
