/** Words that only sound like an answer to "how do we keep it the same?", a list a line. */
const ABOUT = 'about|around|roughly|nearly|almost|more or less|sort of|kind of|quite|fairly|not too|not very|approximately'
const ALONE =
  'some|a bit|a little|a lot|enough|steady|steadily|normal|normally|usual|as usual|similar|alike|the same|same|equal|equally|carefully|gently|slowly|quickly|medium|fair|fairly|yes|ok|okay|fine|well|properly'
const VAGUE = new RegExp(
  String.raw`^(?:(?:it is|we keep it|keep it|just|all) )?(?:(?:${ABOUT})\b.*|some \p{L}+|(?:${ALONE}))[.!]?$`,
  'iu',
)

/**
 * Is what was said of how something is kept the same neither a number nor a habit: "about the same", "some water".
 * @example isVague('about the same') // => true
 * @example isVague('about 20 mL, to the line') // => false
 */
export function isVague(how: string): boolean {
  return !/\d/.test(how) && VAGUE.test(how.trim())
}
