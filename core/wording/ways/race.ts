import type { ResolvedMethod } from '../../test'
import { whatWillWeRead, withTool, type WayWords } from './wayWords'

const SIDE_BY_SIDE = 'side by side, who is first'

export const race: WayWords = {
  name: SIDE_BY_SIDE,
  method: ({ tool }) => tool.trim() || SIDE_BY_SIDE,
  measured: (method: ResolvedMethod) => withTool(method, race.method(method), ''),
  oneGo: 'One race or round',
  guess: whatWillWeRead,
  list: '',
  words: '',
  until: 'the time until a number',
}
