import { describe, expect, it } from 'vitest'
import { USUAL_BOARD, withBoardChange, type BoardState } from '~~/core/lesson'
import { later, madeClock } from '../../test/madeClock'
import { growingSentence, type SentenceState } from './growingSentence'

class Away extends Error {}

/** The server's board, and as many desks as write on it. */
function classroom() {
  const clock = madeClock()
  let board: BoardState = USUAL_BOARD
  let away = false
  const desks: { sentence: ReturnType<typeof growingSentence>; state: SentenceState; troubles: number }[] = []
  const tell = () => desks.forEach(({ sentence }) => sentence.takeIn(board))

  function desk() {
    const own = { state: { text: '', waiting: false }, troubles: 0 } as (typeof desks)[number]
    own.sentence = growingSentence(
      {
        send: async (_lesson, change) => {
          await Promise.resolve()
          if (away) throw new Away()
          board = withBoardChange(board, change)
          return board
        },
        isAway: (error) => error instanceof Away,
        trouble: () => (own.troubles += 1),
        changed: (state) => (own.state = state),
      },
      clock,
    )
    desks.push(own)
    own.sentence.open('lesson', board, '')
    return own
  }
  return { clock, desk, tell, board: () => board, setAway: (now: boolean) => (away = now) }
}

describe('the class’s sentence', () => {
  it('goes to the board while it is written, half a second after the last word', async () => {
    const { clock, desk, board } = classroom()
    const one = desk()
    one.sentence.write('Tissue lifts')
    await clock.pass(400)
    one.sentence.write('Tissue lifts water')
    await clock.pass(400)
    expect(board().draft).toBe('')
    await clock.pass(200)
    expect(board().draft).toBe('Tissue lifts water')
  })

  it('two desks in one sentence: both have both changes, whoever sent first', async () => {
    const { clock, desk, tell, board } = classroom()
    const [one, other] = [desk(), desk()]
    one.sentence.write('Tissue lifted the water.')
    await clock.pass(500)
    tell()
    expect(other.state.text).toBe('Tissue lifted the water.')
    one.sentence.write('Tissue lifted the water highest.')
    other.sentence.write('Thin tissue lifted the water.')
    await clock.pass(500)
    tell()
    await clock.pass(2000)
    tell()
    for (const text of [one.state.text, other.state.text, board().draft]) expect(text).toBe('Thin tissue lifted the water highest.')
  })

  it('words typed while the last ones are on their way are not lost', async () => {
    const clock = madeClock()
    const slow = later<BoardState>()
    let state: SentenceState = { text: '', waiting: false }
    const sent: string[] = []
    const sentence = growingSentence(
      {
        send: (_lesson, { draft }) => {
          sent.push(draft)
          return sent.length === 1 ? slow.promise : Promise.resolve({ ...USUAL_BOARD, draft, draftNumber: sent.length })
        },
        isAway: () => false,
        trouble: () => expect.unreachable('nothing is wrong'),
        changed: (now) => (state = now),
      },
      clock,
    )
    sentence.open('lesson', USUAL_BOARD, '')
    sentence.write('It was')
    await clock.pass(500)
    sentence.write('It was the felt')
    // The board's own news of the first words comes before the answer does.
    sentence.takeIn({ draft: 'It was', draftNumber: 1 })
    slow.keep({ ...USUAL_BOARD, draft: 'It was', draftNumber: 1 })
    await clock.pass(500)
    expect([state.text, sent]).toEqual(['It was the felt', ['It was', 'It was the felt']])
  })

  it('waits while the server is away, and goes as soon as it is back', async () => {
    const { clock, desk, board, setAway } = classroom()
    const one = desk()
    setAway(true)
    one.sentence.write('We cannot tell yet.')
    await clock.pass(500)
    expect(one.state).toEqual({ text: 'We cannot tell yet.', waiting: true })
    setAway(false)
    await clock.pass(3000)
    expect([board().draft, one.state.waiting, one.troubles]).toEqual(['We cannot tell yet.', false, 0])
  })

  it('an older sentence that comes late changes nothing, and the one kept last is where a new one begins', () => {
    const { desk } = classroom()
    const one = desk()
    one.sentence.takeIn({ draft: 'newer', draftNumber: 3 })
    one.sentence.takeIn({ draft: 'older', draftNumber: 2 })
    expect(one.state.text).toBe('newer')
    one.sentence.open('another lesson', USUAL_BOARD, 'kept before')
    expect(one.state.text).toBe('kept before')
  })
})
