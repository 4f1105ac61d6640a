/** Follows a stream of server-sent events the way a browser does: reconnects from the last number it saw. */
export interface EventLine {
  /** Readings that came in, by id, with the time of their first coming. */
  arrived: Map<string, number>
  close(): void
}

const AGAIN_AFTER = 300
const LOOK_AGAIN_AFTER = 3000

/** @param whole what a page looks up anew, until it gets it, when lessons were split or joined and when its line stands again: the ids of all readings */
export function followEvents(address: string, headers: Record<string, string>, whole?: () => Promise<string[]>): EventLine {
  const arrived = new Map<string, number>()
  const control = new AbortController()
  let last = 0
  void follow()
  return { arrived, close: () => control.abort() }

  async function follow(): Promise<void> {
    while (!control.signal.aborted) {
      await read().catch(() => undefined)
      await new Promise((next) => setTimeout(next, AGAIN_AFTER))
    }
  }

  async function read(): Promise<void> {
    const joint = address.includes('?') ? '&' : '?'
    const response = await fetch(`${address}${joint}since=${last}`, { headers, signal: control.signal })
    if (!response.ok || !response.body) return
    if (last > 0) void lookAnew()
    const decoder = new TextDecoder()
    let text = ''
    for await (const chunk of response.body) {
      text += decoder.decode(chunk as Uint8Array, { stream: true })
      const blocks = text.split('\n\n')
      text = blocks.pop()!
      for (const block of blocks) take(block)
    }
  }

  function see(ids: string[]): void {
    for (const id of ids) if (!arrived.has(id)) arrived.set(id, performance.now())
  }

  async function lookAnew(): Promise<void> {
    const ids = await whole?.().catch(() => undefined)
    if (ids) see(ids)
    else if (whole && !control.signal.aborted) setTimeout(() => void lookAnew(), LOOK_AGAIN_AFTER)
  }

  function take(block: string): void {
    last = Number(/^id: (\d+)$/m.exec(block)?.[1] ?? last)
    if (block.includes('"kind":"together"')) void lookAnew()
    const data = /^data: (?:\{"lesson":"[^"]+","event":)?(\{"kind":"reading".*)$/m.exec(block)?.[1]
    const id = data && /"reading":\{"id":"([^"]+)"|"id":"([0-9a-f-]{36})"/.exec(data)
    const reading = id && (id[1] ?? id[2])
    if (reading && !arrived.has(reading)) arrived.set(reading, performance.now())
  }
}
