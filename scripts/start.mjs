// npm start: everything from a fresh clone to a running application. See README.md for the options.
import { existsSync, mkdirSync } from 'node:fs'
import { createServer } from 'node:http'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { dirname, join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import './awake.mjs'
import { schoolNetwork } from './network.mjs'
import { buildApplication, home, installPackages } from './prepare.mjs'

const USAGE =
  'npm start -- [--port 4280] [--data folder] [--no-demo] [--class-mode-off] [--snapshot name] [--log file] [--log-level info]'
const HOST = '127.0.0.1'
const LOG_LEVELS = ['debug', 'info', 'warn', 'error', 'silent']

// Whoever read what is printed may go away; an error about that would be printed, and so on for ever.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => {})

const options = readOptions()
const server = createServer()
if (process.env.JOLLY_BEAKER_MEASURE) printStretches()
await listen(options.port)
// What was packed holds its build and needs nothing else.
if (!existsSync(join(home, 'packed.json'))) {
  await installPackages()
  await buildApplication()
}
await serve()

function readOptions() {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: 'string' },
        data: { type: 'string' },
        'no-demo': { type: 'boolean' },
        'class-mode-off': { type: 'boolean' },
        snapshot: { type: 'string' },
        log: { type: 'string' },
        'log-level': { type: 'string', default: 'info' },
      },
    })
    const level = values['log-level']
    if (!LOG_LEVELS.includes(level)) throw new Error(`“${level}” is no level of the log. There are: ${LOG_LEVELS.join(', ')}.`)
    const port = Number(values.port ?? 4280)
    if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Error(`“${values.port}” is not a port from 1 to 65535.`)
    return {
      port,
      data: values.data,
      demo: !values['no-demo'],
      classModeOff: values['class-mode-off'],
      snapshot: values.snapshot,
      log: values.log,
      logLevel: values['log-level'],
    }
  } catch (error) {
    return stop(`${error.message.split('\n')[0]} Use: ${USAGE}`)
  }
}

/** Takes the port first: a taken one is said before anything is built. Until all is ready, the page says so. */
function listen(port) {
  server.on('request', sayNotReady)
  return new Promise((ready) => {
    server.once('error', (error) => {
      const other = `Start with another one: npm start -- --port ${port === 65535 ? 4280 : port + 1}`
      if (error.code === 'EADDRINUSE') stop(`Port ${port} is taken by another program. ${other}`)
      stop(`Port ${port} cannot be used (${error.code}). ${other}`)
    })
    server.listen(port, HOST, ready)
  })
}

function sayNotReady(request, response) {
  response.writeHead(503, { 'content-type': 'text/plain; charset=utf-8', 'retry-after': '2' })
  response.end('Jolly Beaker is getting ready. Load this page again in a moment.')
}

async function serve() {
  const data = options.data === undefined ? join(home, 'data') : resolve(process.env.INIT_CWD ?? process.cwd(), options.data)
  if (options.data === undefined) mkdirSync(dirname(data), { recursive: true })
  process.env.JOLLY_BEAKER_HOME = home
  process.env.JOLLY_BEAKER_DATA = data
  process.env.JOLLY_BEAKER_DEMO = options.demo ? 'yes' : 'no'
  process.env.JOLLY_BEAKER_CLASS_MODE = options.classModeOff ? 'off' : ''
  if (options.snapshot) process.env.JOLLY_BEAKER_SNAPSHOT = options.snapshot
  if (options.log) process.env.JOLLY_BEAKER_LOG = resolve(process.env.INIT_CWD ?? process.cwd(), options.log)
  process.env.JOLLY_BEAKER_LOG_LEVEL = options.logLevel
  process.env.NODE_ENV = 'production'
  // The listener is there after the network: stations that knock meanwhile are told to wait.
  let answer = sayNotReady
  const network = schoolNetwork(options.port, (request, response) => answer(request, response))
  globalThis.jollyBeakerNetwork = network
  console.log(`Opening the class data ${process.env.DATABASE_URL ? 'on the database server' : `in ${data}`} ...`)
  const { listener } = await import(join(home, '.output', 'server', 'index.mjs'))
  const { ready, close } = globalThis.jollyBeaker
  const opened = await ready.catch((error) => stop(error.constructor.name === 'StartError' ? error.message : error.stack))
  for (const notice of opened.notices) console.warn(notice)
  answer = listener
  server.off('request', sayNotReady)
  server.on('request', listener)
  for (const signal of ['SIGTERM', 'SIGINT']) process.once(signal, () => shutDown(close, network))
  console.log(`Jolly Beaker is ready: http://localhost:${options.port}  (stop it with Ctrl+C)`)
  if (opened.classMode) {
    const found = network.addresses().map((address) => `http://${address}:${options.port}`)
    console.log(`Class mode is on. Stations join at ${found.join(' or ') || 'no address yet: this computer is on no network'}`)
  }
}

async function shutDown(close, network) {
  console.log('Closing ...')
  server.close()
  network.close()
  await close()
  server.closeAllConnections()
  process.exit(0)
}

/** For measuring: prints on SIGUSR2 the longest stretches in which nobody else was heard since the last time. */
function printStretches() {
  const resolution = 5
  const delay = monitorEventLoopDelay({ resolution })
  delay.enable()
  process.on('SIGUSR2', () => {
    const over = (nanoseconds) => Math.max(0, Math.round(nanoseconds / 1e6 - resolution))
    console.log(`stretches: median ${over(delay.percentile(50))} p99 ${over(delay.percentile(99))} longest ${over(delay.max)} ms`)
    delay.reset()
  })
}

function stop(sentence) {
  console.error(sentence)
  process.exit(1)
}
