import { expect, it } from 'vitest'
import { soak } from './soak'

// A minute of what `npm run soak` does for ten. Speed is measured there and only looked at here, since machines differ.
it('thirty stations lose nothing while the server is killed twice and each of them is cut off once', async () => {
  const { entered, acknowledged, measured, median, ...trouble } = await soak({ seconds: 60, stations: 30, pages: false })
  expect(entered).toBeGreaterThan(500)
  expect(acknowledged).toBe(entered)
  expect(trouble).toMatchObject({ lost: 0, doubled: 0, outOfOrder: 0, refused: 0, stillWaiting: 0 })
  expect(measured).toBeGreaterThan(100)
  expect(median).toBeLessThan(2000)
}, 240_000)
