/** A greeting; for whom and how long; what was done before; the topic alone: sentences in front of what is asked. */
const ASIDES = [
  /^(?:hi|hello|hey|good (?:morning|evening|afternoon)|dear)\b[^.?!,]{0,30}[.!,]\s+/iu,
  /^(?:(?:for )?(?:my |our )?(?:year|grade|class|stage|reception|kindergarten)\b[^.?!:;,]{0,15}|(?:about )?\d+ (?:children|pupils|kids)|(?:about )?\d+ ?min(?:ute)?s?)(?:,? (?:and )?(?:(?:year|grade|class)\b[^.?!:;,]{0,15}|(?:about )?\d+ (?:children|pupils|kids)|(?:about )?\d+ ?min(?:ute)?s?))*[.:;]\s+/iu,
  /^(?:last (?:week|time|term|year)\b|we (?:did|had|have (?:done|been|looked|talked|learn(?:ed|t))|talked about|learn(?:ed|t) about|looked at|are (?:doing|learning about))\b)[^.?!:,;]{0,60}[.!]\s+(?:now[:,]?\s+)?/iu,
  /^(?:i|we) (?:want|would like|need) (?:to do )?something (?:with|on|about)\b[^.?!:,;]{0,40}[.!]\s+/iu,
  /^\p{L}+(?: and \p{L}+)?\.\s+(?=\p{Lu})/u,
]

/** "Year 3, 50 minutes. Which soil lets water through?": the question alone; the line as it is where nothing else stands in it. */
export function withoutAsides(line: string): string {
  let text = line
  for (const aside of [...ASIDES, ...ASIDES]) {
    const rest = text.replace(aside, '')
    if (/\p{L}+\W+\p{L}+\W+\p{L}+/u.test(rest)) text = rest
  }
  return text
}
