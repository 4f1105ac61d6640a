import pino from 'pino'

/** Where a line goes that no file is named for: to whoever started it. */
const STANDARD_ERROR = 2

/**
 * One line a thing that happened, as JSON: starts, snapshots, mends, requests that failed or were slow. No names, no texts, no tokens: a request is named by its
 * route and not by its address. Level and file come from the start script.
 */
export const log = pino(
  {
    level: process.env.JOLLY_BEAKER_LOG_LEVEL || 'info',
    base: undefined,
    timestamp: pino.stdTimeFunctions.isoTime,
    formatters: { level: (level) => ({ level }) },
    serializers: { err: shownError },
  },
  pino.destination({ dest: process.env.JOLLY_BEAKER_LOG || STANDARD_ERROR, sync: true, mkdir: true, append: true }),
)

interface ShownError {
  type: string
  code: string | undefined
  message: string
  at: string[]
  cause: ShownError | undefined
}

/** What a query was given, which children may have typed. */
const GIVEN = /\nparams:[\s\S]*$/
const MOST_FRAMES = 8

/** What an error says, without what was asked for. */
function shownError(error: unknown): ShownError {
  if (!(error instanceof Error)) return { type: typeof error, code: undefined, message: '', at: [], cause: undefined }
  const { name, stack = '', cause } = error
  const code = 'code' in error ? String(error.code) : undefined
  const at = stack
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, MOST_FRAMES)
    .map((line) => line.trim())
  const message = error.message.replace(GIVEN, '')
  return { type: name, code, message, at, cause: cause instanceof Error ? shownError(cause) : undefined }
}
