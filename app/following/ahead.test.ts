import { expect, it } from 'vitest'
import { Ahead } from './ahead'

interface Board {
  tapped: string[]
  sound: boolean
}

it('a second press is not lost when the first comes back, and what others change is seen again', () => {
  const ahead = new Ahead<Board>(['tapped'])
  ahead.begin({ tapped: ['Birch'] })
  ahead.begin({ tapped: ['Birch', 'Fir'] })
  expect(ahead.over({ tapped: ['Birch'], sound: true }, 0)).toEqual({ tapped: ['Birch', 'Fir'], sound: true })
  ahead.end(true, 10)
  ahead.end(true, 20)
  expect(ahead.over({ tapped: ['Birch'], sound: false }, 30)).toEqual({ tapped: ['Birch', 'Fir'], sound: false })
  expect(ahead.over({ tapped: ['Birch', 'Fir'], sound: false }, 40).tapped).toEqual(['Birch', 'Fir'])
  expect(ahead.over({ tapped: ['Elm'], sound: false }, 50).tapped).toEqual(['Elm'])
})

it('what the server refused, or never sent back, does not stand for ever', () => {
  const ahead = new Ahead<Board>(['tapped'])
  ahead.begin({ tapped: ['Birch'] })
  ahead.end(false, 10)
  expect(ahead.over({ tapped: [], sound: true }, 20).tapped).toEqual([])
  ahead.begin({ tapped: ['Birch'] })
  ahead.end(true, 30)
  expect(ahead.over({ tapped: [], sound: true }, 40).tapped).toEqual(['Birch'])
  expect(ahead.over({ tapped: [], sound: true }, 5000).tapped).toEqual([])
})
