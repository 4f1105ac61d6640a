import { race } from './race'
import type { ResolvedMethod } from '../../test'
import { withTool, type WayWords } from './wayWords'

export const balance: WayWords = {
  ...race,
  name: 'pan balance',
  method: ({ tool }) => tool.trim() || 'balance, two at a time',
  measured: (method: ResolvedMethod) => withTool(method, balance.method(method)),
  oneGo: 'One weighing (two at a time)',
}
