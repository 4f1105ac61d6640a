const MOST = 200

/**
 * Remembers what a slow pure function answered. The Second look asks for the same rota after every key that is typed; the
 * argument has to be plain data.
 */
export function remembered<Ask, Answer>(work: (ask: Ask) => Answer): (ask: Ask) => Answer {
  const answers = new Map<string, Answer>()
  return (ask) => {
    const key = JSON.stringify(ask)
    if (answers.has(key)) return answers.get(key)!
    if (answers.size >= MOST) answers.clear()
    const answer = work(ask)
    answers.set(key, answer)
    return answer
  }
}
