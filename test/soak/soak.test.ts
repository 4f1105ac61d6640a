import { expect, it } from 'vitest'
import { soak } from './soak'

// A minute of what `npm run soak` does for ten. How fast it was is said there, since machines differ.
it('thirty stations in three investigations that run together lose nothing while the server is killed twice and each of them is cut off once', async () => {
  const { entered, acknowledged, shelf, changed, ...trouble } = await soak({
    seconds: 60,
    stations: 30,
    pages: false,
    lessons: 40,
    investigations: 3,
  })
  expect(entered).toBeGreaterThan(100)
  expect(acknowledged).toBe(entered)
  // The other desk looked through the shelf all the while.
  expect(shelf.opened).toBeGreaterThan(0)
  // A desk saved plans, split groups off and had questions asked all the while.
  expect(Math.min(changed.saved, changed.splits, changed.questions)).toBeGreaterThan(0)
  expect(trouble).toMatchObject({ lost: 0, homeless: 0, doubled: 0, outOfOrder: 0, refused: 0, stillWaiting: 0, unseen: 0 })
}, 600_000)

// Half a minute of the same on a PostgreSQL server that restarts, with two processes.
it('at two processes on one database server, which restarts in the middle, nothing is lost either', async () => {
  const { entered, acknowledged, shelf, changed, ...trouble } = await soak({
    seconds: 40,
    stations: 16,
    pages: false,
    lessons: 0,
    postgres: true,
    investigations: 2,
  })
  expect(entered).toBeGreaterThan(50)
  expect(acknowledged).toBe(entered)
  expect(shelf.opened).toBeGreaterThan(0)
  expect(Math.min(changed.saved, changed.splits)).toBeGreaterThan(0)
  expect(trouble).toMatchObject({ lost: 0, homeless: 0, doubled: 0, outOfOrder: 0, refused: 0, stillWaiting: 0, unseen: 0 })
}, 600_000)
