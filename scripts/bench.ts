// npm run bench: how fast the sums, the server and the first page are, and how often "clear" is said rightly, each beside a named
// reference measured in the same run. With --small only as much as shows that each still runs.
import { benchAdviser } from './bench/adviser'
import { benchCalibration } from './bench/calibration'
import { benchComputations } from './bench/computations'
import { benchDraft } from './bench/draft'
import { benchFiles } from './bench/files'
import { benchLibrary } from './bench/library'
import { benchPace } from './bench/pace'
import { benchRotas } from './bench/rotas'
import { benchScreen } from './bench/screen'
import { benchServer } from './bench/server'
import { benchShelf } from './bench/shelf'
import { benchTogether } from './bench/together'
import { benchWeight } from './bench/weight'
import type { Row, Size } from './bench/figures'

const size: Size = process.argv.includes('--small') ? 'small' : 'full'
const wanted = process.argv.slice(2).filter((word) => !word.startsWith('--'))
const parts: Record<string, (size: Size) => Row[] | Promise<Row[]>> = {
  adviser: benchAdviser,
  calibration: benchCalibration,
  computations: benchComputations,
  draft: benchDraft,
  files: benchFiles,
  library: benchLibrary,
  pace: benchPace,
  rotas: benchRotas,
  screen: benchScreen,
  server: benchServer,
  shelf: benchShelf,
  together: benchTogether,
  weight: benchWeight,
}
for (const [name, bench] of Object.entries(parts)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue
  console.log(`\n${name}`)
  const rows = await bench(size)
  console.table(
    rows.map(({ what, figure, wanted: asked, reference, missed }) => ({
      what,
      figure,
      wanted: asked,
      reference,
      ...(missed ? { missed } : {}),
    })),
  )
  // Too few classes in the small size to judge a bar by.
  if (size === 'full' && rows.some(({ missed }) => missed)) process.exitCode = 1
}
