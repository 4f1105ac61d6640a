import { draftOf, fitDraft, type Draft, type DraftChoices } from '~~/core/draft'
import { emptyPlan, type Plan } from '~~/core/lesson'
import { newId } from '~/following/newId'

export interface DraftAsk {
  line: string
  choices: DraftChoices
  /** What it is put into: a class without a lesson, or a lesson that has no cards yet. */
  into: { className: string; children: number } | { plan: Plan }
}

export interface DraftNews {
  /** Nothing where the line says nothing that a test could be made of. */
  draft: Draft | undefined
  /** Whether it fits its time was looked at, too. */
  whole: boolean
}

/** Reads a line and makes a draft of it, beside the page: what it says at once, whether it fits a little later. */
self.onmessage = ({ data: { line, choices, into } }: MessageEvent<DraftAsk>) => {
  const begun = 'plan' in into ? into.plan : emptyPlan(into.className, into.children, newId)
  const draft = draftOf(line, choices, begun, newId)
  self.postMessage({ draft, whole: draft === undefined } satisfies DraftNews)
  if (draft) self.postMessage({ draft: fitDraft(draft, choices), whole: true } satisfies DraftNews)
}
