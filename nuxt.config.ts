import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import UnoCSS from '@unocss/vite'
import { build as bundle } from 'esbuild'
import { scriptsTogether } from './scripts/bundle/scriptsTogether'
import { EMPTY, openCluster } from './server/database/folder/cluster'

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  telemetry: false,
  devtools: { enabled: false },
  // The server stands on the teacher's own computer: rendering there would save nothing. See docs/decisions.md.
  ssr: false,
  // Nuxt 4.4.5 looks for a server entry in the client's settings when it develops without server rendering; this way it finds one.
  $development: { experimental: { viteEnvironmentApi: true } },
  // A page loads what it shows; the next one's script comes when a link to it is pointed at.
  experimental: { defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } } },
  hooks: {
    'build:manifest': (manifest) => {
      for (const part of Object.values(manifest)) part.prefetch = false
    },
  },
  modules: ['@pinia/nuxt', 'vuetify-nuxt-module'],
  css: [
    '@fontsource/andika/400.css',
    '@fontsource/andika/700.css',
    '@fontsource-variable/atkinson-hyperlegible-next/index.css',
    '~/theme/base.css',
    ...['buttons', 'fields', 'choices', 'floating', 'tables'].map((part) => `~/theme/controls/${part}.css`),
    '~/theme/pieces.css',
    '~/theme/print.css',
  ],
  app: {
    head: {
      title: 'Jolly Beaker',
      htmlAttrs: { lang: 'en-GB' },
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/beaker.svg' }],
    },
  },
  // What is our own is imported where it is used, so that a reader and the check of the arrows see it; Vue's, Nuxt's and Vuetify's own names stay known everywhere.
  imports: { scan: false },
  components: { dirs: [] },
  pinia: { storesDirs: [] },
  vuetify: {
    moduleOptions: { ssrClientHints: { viewportSize: false }, disableVuetifyStyles: true },
    vuetifyOptions: './vuetify.config.ts',
  },
  // Browsers from 2022 on: the first that know the layers that Vuetify's styles come in.
  vite: {
    plugins: [UnoCSS()],
    $client: { build: { rollupOptions: { output: { manualChunks: scriptsTogether, onlyExplicitManualChunks: true } } } },
    build: {
      cssMinify: 'lightningcss',
      cssTarget: ['chrome99', 'firefox97', 'safari15.4'],
      target: ['chrome99', 'firefox97', 'safari15.4'],
      // A part of a page brings its own imports along sooner than a list of all of them is gone through; see docs/decisions.md.
      modulePreload: { resolveDependencies: (_, parts) => parts.filter((part) => part.endsWith('.css')) },
    },
  },
  nitro: {
    preset: 'node-listener',
    compressPublicAssets: { gzip: true, brotli: true },
    serveStatic: true,
    hooks: {
      // What works beside the server is a script of its own.
      compiled: async ({ options }) => {
        await bundle({
          entryPoints: {
            judge: fileURLToPath(new URL('./server/workers/judge.ts', import.meta.url)),
            packWorker: fileURLToPath(new URL('./server/database/folder/packWorker.ts', import.meta.url)),
            reading: fileURLToPath(new URL('./server/workers/reading.ts', import.meta.url)),
            parts: fileURLToPath(new URL('./server/workers/parts.ts', import.meta.url)),
          },
          outdir: join(options.output.serverDir, 'workers'),
          outExtension: { '.js': '.mjs' },
          bundle: true,
          platform: 'node',
          format: 'esm',
          target: 'node20',
          // Packages that were written for require() find it.
          banner: {
            js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
          },
        })
        await (await openCluster(join(options.output.serverDir, EMPTY))).close()
      },
    },
    errorHandler: fileURLToPath(new URL('./server/errorHandler.ts', import.meta.url)),
  },
  // Scripts and tests are checked with the rest.
  typescript: {
    strict: true,
    typeCheck: false,
    nodeTsConfig: {
      include: [
        '../scripts/**/*.ts',
        '../test/**/*.ts',
        '../core/**/*.ts',
        '../demo/**/*.ts',
        '../schemas/**/*.ts',
        '../*.config.ts',
      ],
    },
  },
})
