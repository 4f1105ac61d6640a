import type { ResolvedMethod } from '../../test'

/** How a way of reading is talked about. */
export interface WayWords {
  /** How it is offered where it has no tool of its own. */
  name: string
  /** With what, and how finely. */
  method: (method: ResolvedMethod) => string
  /** The same for the middle of a sentence. */
  measured: (method: ResolvedMethod) => string
  /** What going through it once is called on the clock. */
  oneGo: string
  /** What is asked of each condition before it is tested. */
  guess: (who: 'you' | 'we', each: boolean, capital: boolean) => string
  /** What its list of words is called: in the plan, and over the words on a sheet. Nothing where there is none. */
  list: string
  words: string
  /** What is waited for, where the time until then counts. */
  until: string
}

/** A number, as most ways ask for it. */
export function whatWillWeRead(who: 'you' | 'we', each: boolean, capital: boolean): string {
  return `${capital ? 'What' : 'what'} will ${who} read${each ? ' for each' : ''}?`
}

/** A tool for the middle of a sentence, in the words that say how finely it reads; counting is done with nothing. */
export function withTool({ tool }: Pick<ResolvedMethod, 'tool'>, words: string, before = 'with a '): string {
  if (tool.trim() === 'counting') return 'by counting'
  return tool.trim() === '' ? words : `${before}${words}`
}
