import { spawn, spawnSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import { CHROMIUM } from '../../playwright.config'
import { freePort, startApplication, temporaryFolder } from '../../test/application'
import type { Row, Size } from './figures'

const MOST_FILES = 70

interface Weight {
  script: number
  style: number
  files: number
}

/** Script and style that the first page loads, against an empty page of Nuxt and Vuetify built here and now. All gzipped. */
export async function benchWeight(size: Size): Promise<Row[]> {
  // Building a second application takes a minute; in the small size the page is weighed beside itself.
  const empty = size === 'full' ? await weightOfEmptyPage() : undefined
  const { folder, remove } = temporaryFolder()
  const application = await startApplication({ data: folder })
  const own = await weigh(application.base)
  const station = await weigh(`${application.base}/station`)
  await application.stop()
  remove()
  const kilobytes = (bytes: number) => `${(bytes / 1000).toFixed(0)} kB`
  const row = (what: 'script' | 'style', wanted: number): Row => ({
    what: `${what} of the first page`,
    figure: kilobytes(own[what]),
    wanted: `at most ${wanted} x an empty page`,
    reference:
      empty === undefined
        ? 'not built'
        : `${(own[what] / empty[what]).toFixed(2)} x an empty Nuxt + Vuetify page (${kilobytes(empty[what])})`,
  })
  const files = (where: string, { files }: Weight): Row => ({
    what: `scripts and styles that ${where} asks for`,
    figure: String(files),
    wanted: `at most ${MOST_FILES}`,
    reference: 'each is asked for on its own',
    missed: files > MOST_FILES,
  })
  return [row('script', 1.45), row('style', 1.2), files('the first page', own), files('a station', station)]
}

async function weightOfEmptyPage(): Promise<Weight> {
  const folder = mkdtempSync(join(tmpdir(), 'empty-nuxt-'))
  symlinkSync(join(process.cwd(), 'node_modules'), join(folder, 'node_modules'))
  mkdirSync(join(folder, 'app', 'pages'), { recursive: true })
  writeFileSync(join(folder, 'package.json'), '{ "private": true, "type": "module" }')
  writeFileSync(
    join(folder, 'nuxt.config.ts'),
    `export default defineNuxtConfig({ compatibilityDate: '2026-01-01', telemetry: false, ssr: false, modules: ['vuetify-nuxt-module'],
      vuetify: { vuetifyOptions: { icons: { defaultSet: 'mdi-svg' } } }, vite: { build: { cssMinify: 'lightningcss' } } })`,
  )
  writeFileSync(join(folder, 'app', 'app.vue'), '<template><VApp><NuxtPage /></VApp></template>')
  writeFileSync(join(folder, 'app', 'pages', 'index.vue'), '<template><VMain><VBtn>Empty</VBtn><VTextField /></VMain></template>')
  const built = spawnSync('npx', ['nuxt', 'build'], {
    cwd: folder,
    encoding: 'utf8',
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
  })
  if (built.status !== 0) throw new Error(`The empty page could not be built:\n${built.stdout}${built.stderr}`)
  const port = await freePort()
  const server = spawn('node', [join(folder, '.output', 'server', 'index.mjs')], {
    env: { ...process.env, PORT: String(port), HOST: '127.0.0.1' },
  })
  try {
    return await weigh(`http://127.0.0.1:${port}`)
  } finally {
    server.kill()
    rmSync(folder, { recursive: true, force: true })
  }
}

/** Gzipped bytes of all script and style that a page loads until it rests. */
async function weigh(address: string): Promise<Weight> {
  const browser = await chromium.launch(CHROMIUM)
  const page = await browser.newPage()
  // What is fetched ahead while nobody does anything is no weight of this page.
  await page.addInitScript(() => Object.assign(globalThis, { requestIdleCallback: () => 0 }))
  // A preloaded script answers twice and is loaded once.
  const bodies = new Map<string, Promise<number>>()
  page.on('response', (response) => {
    if (response.ok() && /\.(?:js|css)(\?|$)/.test(response.url()))
      bodies.set(
        response.url(),
        response.body().then((body) => gzipSync(body).length),
      )
  })
  for (let attempt = 0; attempt < 50; attempt += 1) {
    const opened = await page.goto(address, { waitUntil: 'networkidle' }).catch(() => undefined)
    if (opened) break
    await new Promise((next) => setTimeout(next, 100))
  }
  const weights = await Promise.all([...bodies].map(async ([url, body]) => ({ url, weight: await body })))
  await browser.close()
  const sum = (ending: RegExp) => weights.reduce((all, { url, weight }) => all + (ending.test(url) ? weight : 0), 0)
  return { script: sum(/\.js(\?|$)/), style: sum(/\.css(\?|$)/), files: weights.length }
}
