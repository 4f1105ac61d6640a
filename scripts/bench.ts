// npm run bench: how fast the sums, the server and the first page are, and how often "clear" is said rightly, each beside a named
// reference measured in the same run.
import { benchCalibration } from './bench/calibration'
import { benchComputations } from './bench/computations'
import { benchRotas } from './bench/rotas'
import { benchScreen } from './bench/screen'
import { benchServer } from './bench/server'
import { benchWeight } from './bench/weight'

const wanted = process.argv.slice(2)
const parts = {
  calibration: benchCalibration,
  computations: benchComputations,
  rotas: benchRotas,
  screen: benchScreen,
  server: benchServer,
  weight: benchWeight,
}
for (const [name, bench] of Object.entries(parts)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue
  console.log(`\n${name}`)
  console.table(await bench())
}
