import { describe, expect, it } from 'vitest'
import { afterChange, noHistory, stepBack, stepForward, type History } from './history'

/** Types texts one after the other, each so many milliseconds after the last. */
function typed(texts: string[], key: string, apart: number): { history: History<string>; now: string } {
  let history = noHistory<string>()
  let now = ''
  texts.forEach((text, place) => {
    history = afterChange(history, now, key, place * apart)
    now = text
  })
  return { history, now }
}

describe('undo', () => {
  it('takes a word that was typed in one go back at once, and a pause begins another step', () => {
    const quick = typed(['w', 'wa', 'wat', 'wate', 'water'], 'title', 300)
    expect(stepBack(quick.history, quick.now)!.now).toBe('')
    const slow = typed(['w', 'water'], 'title', 2000)
    expect(stepBack(slow.history, slow.now)!.now).toBe('w')
  })

  it('keeps changes without a key, and of different fields, apart', () => {
    const ticks = typed(['a', 'b', 'c'], '', 10)
    expect(ticks.history.past).toEqual(['', 'a', 'b'])
    const other = afterChange(typed(['a'], 'title', 0).history, 'a', 'notes', 1)
    expect(other.past).toEqual(['', 'a'])
  })

  it('goes there and back again over every step, and stops at the ends', () => {
    let { history, now } = typed(['a', 'b', 'c'], '', 10)
    const seen = [now]
    for (let back = stepBack(history, now); back; back = stepBack(history, now)) {
      ;({ history, now } = back)
      seen.push(now)
    }
    expect(seen).toEqual(['c', 'b', 'a', ''])
    for (let forward = stepForward(history, now); forward; forward = stepForward(history, now)) ({ history, now } = forward)
    expect(now).toBe('c')
    expect(history.past).toEqual(['', 'a', 'b'])
  })

  it('a new change closes the way forward, and typing after an undo is a step of its own', () => {
    const start = typed(['a', 'b'], 'title', 10)
    const back = stepBack(start.history, start.now)!
    const changed = afterChange(back.history, back.now, 'title', 30)
    expect(changed.future).toEqual([])
    expect(changed.past).toEqual([''])
  })

  it('remembers two hundred steps and forgets the oldest', () => {
    const many = typed(
      Array.from({ length: 260 }, (_, place) => String(place)),
      '',
      1,
    )
    expect(many.history.past).toHaveLength(200)
    expect(many.history.past[0]).toBe('59')
  })
})
