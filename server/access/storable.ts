/** Where the first text stands that a database cannot hold (a NUL, half a surrogate pair); nesting deeper than any of our shapes counts as that. */
export function unstorable(value: unknown, path = '', depth = 0): string | undefined {
  if (typeof value === 'string') return value.includes('\0') || !isWellFormed(value) ? path : undefined
  if (typeof value !== 'object' || value === null) return undefined
  if (depth > 12) return path
  for (const [key, inner] of Object.entries(value)) {
    const found = unstorable(key, path, depth) ?? unstorable(inner, path ? `${path}.${key}` : key, depth + 1)
    if (found !== undefined) return found
  }
  return undefined
}

function isWellFormed(text: string): boolean {
  return !/[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/.test(text)
}
