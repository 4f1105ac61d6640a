import { describe, expect, it } from 'vitest'
import { caretAfter, isOlderBoard, mergeText, USUAL_BOARD, withBoardChange } from '.'

describe('one sentence out of two', () => {
  const base = 'Tissue came first.'

  it('takes in what either changed', () => {
    expect(mergeText(base, base, 'Card came first.')).toBe('Card came first.')
    expect(mergeText(base, 'Card came first.', base)).toBe('Card came first.')
    expect(mergeText('The tissue came out first', 'The thin tissue came out first', 'The tissue came out first by 3 mm')).toBe(
      'The thin tissue came out first by 3 mm',
    )
  })

  it('keeps both where both wrote in one place, and nothing twice', () => {
    expect(mergeText('We found', 'We found that card', 'We found tissue')).toBe('We found tissue that card')
    expect(mergeText('', 'Kitchen roll', 'Kitchen roll came first')).toBe('Kitchen roll came first')
    expect(mergeText('Kitchen', 'Kitchen roll', 'Kitchen roll')).toBe('Kitchen roll')
    expect(mergeText('', 'one', 'two')).toBe('two one')
  })

  it('a word that one took out and the other did not touch is gone', () => {
    expect(mergeText('really tissue came first', 'tissue came first', 'really tissue came first, I think')).toBe(
      'tissue came first, I think',
    )
  })

  it('leaves the caret at its words', () => {
    expect(caretAfter('came first', 'Card came first', 4)).toBe(9)
    expect(caretAfter('came first', 'came first, card last', 4)).toBe(4)
    expect(caretAfter('came first', 'came first', 10)).toBe(10)
    expect(caretAfter('aa', 'aaa', 2)).toBe(2)
    expect(caretAfter('tissue came', 'card', 7)).toBeLessThanOrEqual(4)
  })
})

describe('what the board shows', () => {
  const written = withBoardChange(USUAL_BOARD, { draft: 'Tissue came first' })

  it('has a number for every change of the sentence, and for nothing else', () => {
    expect(written).toEqual({ ...USUAL_BOARD, draft: 'Tissue came first', number: 1, draftNumber: 1 })
    expect(withBoardChange(written, { sound: false })).toEqual({ ...written, number: 2, sound: false })
  })

  it('knows what is from before an own change, and takes what others changed since', () => {
    const [once, twice] = [withBoardChange(written, { view: 'test' }), withBoardChange(written, { view: 'test', sound: false })]
    const own = withBoardChange(once, { view: 'results' })
    expect([written, once, own].map((heard) => isOlderBoard(heard, own))).toEqual([true, true, false])
    expect(isOlderBoard(withBoardChange(withBoardChange(twice, { sound: true }), { view: 'join' }), own)).toBe(false)
  })

  it('takes taps one by one, in the order of time, and takes back the one that is meant', () => {
    const [early, late] = [
      { group: 'birch', at: '2026-12-02T10:00:00.000Z' },
      { group: 'fir', at: '2026-12-02T10:01:00.000Z' },
    ]
    const both = withBoardChange(withBoardChange(written, { tap: late }), { tap: early })
    expect(both).toEqual({ ...written, number: 3, tapped: [early, late] })
    expect(withBoardChange(both, { untap: late }).tapped).toEqual([early])
    expect(withBoardChange(both, { untap: { ...late, at: early.at } }).tapped).toEqual([early, late])
  })

  it('merges a sentence that began from an older one, and takes one that began from nothing as it is', () => {
    const longer = withBoardChange(written, { draft: 'Tissue came first by far', draftFrom: 'Tissue came first' })
    const both = withBoardChange(longer, { draft: 'We think tissue came first', draftFrom: 'tissue came first' })
    expect(both.draft).toContain('We think')
    expect(both.draft).toContain('by far')
    expect(withBoardChange(written, { draft: 'Card' }).draft).toBe('Card')
    expect(withBoardChange(USUAL_BOARD, { draft: 'Card came last', draftFrom: 'an agreed sentence' }).draft).toBe('Card came last')
  })
})
