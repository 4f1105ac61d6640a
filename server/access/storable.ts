/** Written so in JSON, a text may hold what a database cannot: a NUL, or half a surrogate pair. */
const SUSPICIOUS = /\\u(?:0000|[dD][89a-fA-F])/
const DEEPEST = 12

/** May a JSON document hold text that cannot be stored: only then it has to be gone through. It is bounded in depth, too. */
export function isSuspicious(json: string): boolean {
  return SUSPICIOUS.test(json) || nestsTooDeep(json)
}

function nestsTooDeep(json: string): boolean {
  let depth = 0
  let quoted = false
  for (let at = 0; at < json.length; at += 1) {
    const letter = json.charCodeAt(at)
    if (quoted) {
      if (letter === BACKSLASH) at += 1
      else if (letter === QUOTE) quoted = false
    } else if (letter === QUOTE) quoted = true
    else if (letter === OPEN_LIST || letter === OPEN_OBJECT) {
      depth += 1
      if (depth > DEEPEST + 1) return true
    } else if (letter === CLOSE_LIST || letter === CLOSE_OBJECT) depth -= 1
  }
  return false
}
const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [...'"\\[]{}'].map((sign) => sign.charCodeAt(0))

type Step = string | number

/**
 * Where the first text stands that a database cannot hold (a NUL, half a surrogate pair); nesting deeper than any of our shapes counts as that. Goes through every
 * value once, and writes a place out only where it found one.
 */
export function unstorable(value: unknown): string | undefined {
  const path: Step[] = []
  return reaches(value, path) ? path.reverse().join('.') : undefined
}

function reaches(value: unknown, path: Step[], depth = 0): boolean {
  if (typeof value === 'string') return !isStorable(value)
  if (typeof value !== 'object' || value === null) return false
  if (depth > DEEPEST) return true
  if (Array.isArray(value)) {
    const place = value.findIndex((inner) => reaches(inner, path, depth + 1))
    return place !== -1 && path.push(place) > 0
  }
  for (const key of Object.keys(value)) {
    if (!isStorable(key)) return true
    if (reaches((value as Record<string, unknown>)[key], path, depth + 1)) return path.push(key) > 0
  }
  return false
}

/** Can a database hold this text. */
export function isStorable(text: string): boolean {
  return !text.includes('\0') && !/[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/.test(text)
}
