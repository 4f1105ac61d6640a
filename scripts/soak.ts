// npm run soak: thirty stations for ten minutes, the server killed twice, every station cut off once; prints what was lost.
// A second desk opens the shelf of a thousand lessons and the term meanwhile. Options: --seconds 600 --stations 30 --lessons 1000 --no-pages
// --together 3: the stations are in so many lessons that run together, with one code and one board.
// --postgres: two processes on a PostgreSQL server, which restarts once; stations and board are spread over both.
import { parseArgs } from 'node:util'
import { soak } from '../test/soak/soak'

const { values } = parseArgs({
  options: {
    seconds: { type: 'string' },
    stations: { type: 'string' },
    lessons: { type: 'string' },
    'no-pages': { type: 'boolean' },
    postgres: { type: 'boolean' },
    together: { type: 'string' },
  },
})
const [seconds, stations] = [Number(values.seconds ?? 600), Number(values.stations ?? 30)]
console.log(`${stations} stations for ${seconds} s, the server killed and started again twice, every station cut off once ...`)
const lessons = Number(values.lessons ?? 1000)
const { pages, shelf, stretches, changed, ...figures } = await soak({
  seconds,
  stations,
  pages: !values['no-pages'],
  lessons,
  postgres: values.postgres,
  investigations: Number(values.together ?? 1),
})
const growth = (100 * (figures.memoryAfter - figures.memoryBefore)) / figures.memoryBefore
console.log(
  `entries                        ${figures.entered}, acknowledged ${figures.acknowledged}, refused ${figures.refused}, still waiting ${figures.stillWaiting}`,
)
console.log(`acknowledged entries lost      ${figures.lost}`)
console.log(
  `without a home                 ${figures.homeless}; plans saved ${changed.saved} times, groups split off and joined ${changed.splits} times, own questions ${changed.questions}`,
)
console.log(`stored twice                   ${figures.doubled}`)
console.log(`out of order                   ${figures.outOfOrder}`)
console.log(`never on the board             ${figures.unseen}`)
console.log(
  `entry to board, median         ${figures.median} ms (wanted: 150), over ${figures.measured} entries outside the outages`,
)
console.log(`entry to board, 95 in 100      ${figures.percentile95} ms (wanted: 500)`)
console.log(
  `memory of the server           ${figures.memoryBefore} MB after warm-up, ${figures.memoryAfter} MB at the end: ${growth.toFixed(1)} % (wanted: 10)`,
)
console.log(
  `the second desk                opened shelf and term of ${lessons} lessons ${shelf.opened} times, ${shelf.median} ms at the median`,
)
console.log(
  `the server at a stretch        ${stretches.longest} ms at the longest, 99 in 100 under ${stretches.p99} ms (wanted: none over 50)`,
)
if (pages) {
  for (const [name, { count, longest }] of Object.entries(pages)) {
    console.log(`tasks over 50 ms on the ${name.padEnd(5)}  ${count}, the longest ${longest} ms (wanted: none)`)
  }
}
const failed =
  figures.lost + figures.homeless + figures.doubled + figures.outOfOrder + figures.refused + figures.stillWaiting + figures.unseen >
  0
process.exit(failed ? 1 : 0)
