/** One piece of a report; drawn on paper, written as Markdown or as HTML. */
export type Block =
  | { kind: 'heading'; text: string }
  | { kind: 'text'; text: string }
  | { kind: 'facts'; rows: { term: string; text: string }[] }
  | { kind: 'list'; items: string[] }
  /** The first column names the row; the others hold figures where `figures` says so. */
  | { kind: 'table'; caption: string; head: string[]; rows: string[][]; figures: boolean }
  /** `measure` says of which of several things that were measured, `group` of whose readings alone where it is one group's. */
  | { kind: 'chart'; words: string; measure: string | null; group?: string }
  | { kind: 'quote'; text: string; note: string }

export interface Report {
  title: string
  /** Class and day. */
  under: string
  /** The question, large. */
  question: string
  blocks: Block[]
}
