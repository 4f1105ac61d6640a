import { rmSync } from 'node:fs'
import { dirname } from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { startApplication } from '../application'
import { copyOf, sleep, startOn } from './library'
import { row, type Fault } from './row'

/** A spreadsheet whose first sheet has two cells, the first and the very last that there can be. */
export function withLastCorner(spreadsheet: Uint8Array): Uint8Array {
  const inside = unzipSync(spreadsheet)
  const first = Object.keys(inside).find((name) => /worksheets\/sheet1\.xml$/.test(name))!
  const cells = '<row r="1"><c r="A1"><v>1</v></c></row><row r="1048576"><c r="XFD1048576"><v>1</v></c></row>'
  const xml = strFromU8(inside[first]!).replace(/<sheetData>.*<\/sheetData>/s, `<sheetData>${cells}</sheetData>`)
  return zipSync({ ...inside, [first]: strToU8(xml) })
}

/** Waits for some work while somebody else asks the server again and again. @returns milliseconds they waited at the longest */
export async function whileOthersAsk<T>(base: string, work: Promise<T>): Promise<{ answer: T; seconds: number; longest: number }> {
  const began = performance.now()
  let over = false
  let longest = 0
  const asking = (async () => {
    while (!over) {
      const start = performance.now()
      await fetch(`${base}/api/class-mode`).catch(() => undefined)
      longest = Math.max(longest, performance.now() - start)
      await sleep(10)
    }
  })()
  const answer = await work
  const seconds = (performance.now() - began) / 1000
  over = true
  await asking
  return { answer, seconds, longest }
}

/** A file that somebody brings while a class measures: refused in time, and nobody waits for it. */
export function hostile(name: string, prepare: (base: string, lesson: string) => Promise<{ path: string; body: string }>): Fault {
  return {
    name,
    run: async (made) => {
      const folder = copyOf(made.folder)
      const application = await startApplication({ data: folder })
      const { path, body } = await prepare(application.base, made.lesson.id)
      const bytes = Buffer.from(body)
      const sent = fetch(application.base + path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: bytes })
      const { answer, seconds, longest } = await whileOthersAsk(
        application.base,
        Promise.race([sent, sleep(60_000)]).catch(() => undefined),
      )
      const status = answer?.status ?? 0
      const said =
        status >= 400 ? `${status} after ${seconds.toFixed(1)} s, others waited ${Math.round(longest)} ms at most` : `${status}`
      application.process.kill('SIGKILL')
      await application.stop()
      const outcome = await startOn(folder, made)
      rmSync(dirname(folder), { recursive: true })
      return row(name, made, { ...outcome, said, seconds: 0 }, 0, {
        'is not refused': status >= 400 && status < 500,
        'takes longer than two seconds': seconds < 2,
        'lets others wait': longest < 500,
      })
    },
  }
}
