import { capped, gradeOfP, noSurerThan, type Evidence, type Grade, type Limit } from './grade'
import { holm } from './model'

/** By luck alone a gap like this comes up so often; undefined where nothing was tested. */
export function luckOf({ whole, friedman, sorted }: Evidence): number | undefined {
  return whole?.judged ?? friedman?.p ?? sorted?.test?.p
}

/** The evidence with nothing that was compared surer than a grade. What is told of single changes is asked for by itself. */
export function heldTo(evidence: Evidence, grade: Grade, judge = (own: Grade): Grade => noSurerThan(grade, own)): Evidence {
  const held = <Graded extends { grade: Grade }>(one: Graded): Graded => ({ ...one, grade: judge(one.grade) })
  return {
    ...evidence,
    grade,
    lead: evidence.lead && held(evidence.lead),
    pairs: evidence.pairs.map(held),
    neighbours: evidence.neighbours.map(held),
  }
}

/**
 * The evidence of one of several questions that a lesson asks at once: the more there are, the more chances luck has, so all of them are one family under
 * Holm's correction, and nothing of one is surer than its place among them.
 * @param others what each of them says by itself, this one among them
 */
export function oneOfFamily(own: Evidence, others: Evidence[]): Evidence {
  const judged = others.flatMap((one) => {
    const luck = luckOf(one)
    return luck === undefined ? [] : [{ one, luck }]
  })
  const corrected = holm(judged.map(({ luck }) => luck))
  const p = corrected[judged.findIndex(({ one }) => one === own)]
  if (p === undefined || judged.length < 2) return own
  const of = judged.length
  // Steps from moment to moment are told apart by themselves, and there are as many of them again in each question.
  const steps = own.steps.map((one) => ({ ...one, grade: noSurerThan(gradeOfP(Math.min(1, of * one.pHolm)), one.grade) }))
  const family = { ...own, steps, family: { of, p } }
  if (own.grade !== 'clear' && own.grade !== 'leaning') return family
  return heldTo(family, noSurerThan(own.grade, gradeOfP(p)))
}

/** The evidence with one limit more. */
export function withLimit(evidence: Evidence, limit: Limit): Evidence {
  if (evidence.limits.includes(limit)) return evidence
  const limited = <Graded extends { grade: Grade }>(one: Graded): Graded => ({ ...one, grade: capped([limit], one.grade) })
  const grade = capped([limit], evidence.grade)
  return {
    ...heldTo(evidence, grade, (own) => noSurerThan(grade, capped([limit], own))),
    limits: [...evidence.limits, limit],
    fromNothing: evidence.fromNothing.map(limited),
    steps: evidence.steps.map(limited),
  }
}
