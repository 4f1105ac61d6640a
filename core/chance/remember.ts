const MOST = 200

/**
 * Remembers what a slow pure function answered. The Second look asks for the same rota after every key that is typed; the
 * argument has to be plain data.
 * @param most so many answers are kept; then it begins anew
 */
export function remembered<Ask, Answer>(work: (ask: Ask) => Answer, most = MOST): (ask: Ask) => Answer {
  const answers = new Map<string, Answer>()
  return (ask) => {
    const key = JSON.stringify(ask)
    if (answers.has(key)) return answers.get(key)!
    if (answers.size >= most) answers.clear()
    const answer = work(ask)
    answers.set(key, answer)
    return answer
  }
}
/**
 * Works something out once for a list or a plan that does not change any more: the desk asks for the same rows many times while
 * thirty stations write. What is asked about is not kept alive by it.
 */
export function oncePer<Of extends object, Answer>(work: (of: Of) => Answer): (of: Of) => Answer {
  const answers = new WeakMap<Of, { answer: Answer }>()
  return (of) => {
    const known = answers.get(of)
    if (known) return known.answer
    const answer = work(of)
    answers.set(of, { answer })
    return answer
  }
}

/** The same for two. */
export function oncePerPair<One extends object, Other extends object, Answer>(
  work: (one: One, other: Other) => Answer,
): (one: One, other: Other) => Answer {
  const ofOne = oncePer((one: One) => oncePer((other: Other) => work(one, other)))
  return (one, other) => ofOne(one)(other)
}
