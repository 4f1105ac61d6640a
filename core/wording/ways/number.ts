import { unitOf, withUnit, writeShort } from '../../quantity'
import type { ResolvedMethod } from '../../test'
import { whatWillWeRead, withTool, type WayWords } from './wayWords'

export const number: WayWords = {
  name: 'a number',
  method: ({ tool, unit, resolution }) => {
    const symbol = unitOf(unit).symbol || 'one'
    const mark = resolution === 1 ? symbol : withUnit(writeShort(resolution), unit)
    return `${tool.trim() || 'with what?'}, to the nearest ${mark}`
  },
  measured: (method: ResolvedMethod) => withTool(method, number.method(method)),
  oneGo: 'One trial',
  guess: whatWillWeRead,
  list: '',
  words: '',
  until: 'the time until a number',
}
