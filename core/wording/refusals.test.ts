import { describe, expect, it } from 'vitest'
import { refusalWords, type RefusalCode } from '.'

/** Each refusal with what it may have to say. */
const SAID: Record<RefusalCode, string> = {
  'not-json': refusalWords('not-json'),
  'bad-text': refusalWords('bad-text'),
  'too-large': refusalWords('too-large', { megabytes: 2 }),
  invalid: refusalWords('invalid', { fault: '"repeats" must be a number' }),
  'bad-request': refusalWords('bad-request'),
  'no-such-address': refusalWords('no-such-address'),
  'not-found': refusalWords('not-found', { what: 'lesson' }),
  'foreign-origin': refusalWords('foreign-origin'),
  internal: refusalWords('internal'),
  'desk-closed': refusalWords('desk-closed'),
  'wrong-passphrase': refusalWords('wrong-passphrase'),
  'slow-down': refusalWords('slow-down', { seconds: 4 }),
  'unknown-code': refusalWords('unknown-code'),
  'own-question-open': refusalWords('own-question-open'),
  'asks-no-own-questions': refusalWords('asks-no-own-questions'),
  'nothing-to-split': refusalWords('nothing-to-split'),
  'not-the-same-test': refusalWords('not-the-same-test'),
  'library-full': refusalWords('library-full', { most: 500 }),
  'together-full': refusalWords('together-full', { most: 12 }),
  'unknown-own-code': refusalWords('unknown-own-code'),
  'not-joined': refusalWords('not-joined'),
  locked: refusalWords('locked'),
  'other-group': refusalWords('other-group'),
  stale: refusalWords('stale'),
  'investigation-ships': refusalWords('investigation-ships'),
  'group-in-use': refusalWords('group-in-use'),
  'condition-in-use': refusalWords('condition-in-use'),
  'unknown-group': refusalWords('unknown-group'),
  'unknown-condition': refusalWords('unknown-condition'),
  'moment-in-use': refusalWords('moment-in-use'),
  'unknown-moment': refusalWords('unknown-moment'),
  'desk-is-open': refusalWords('desk-is-open'),
  'id-taken': refusalWords('id-taken'),
  'supersedes-unknown': refusalWords('supersedes-unknown'),
  'no-such-card': refusalWords('no-such-card'),
  'no-date': refusalWords('no-date'),
  'not-a-picture': refusalWords('not-a-picture'),
  'too-many-pictures': refusalWords('too-many-pictures', { most: 120 }),
  'name-taken': refusalWords('name-taken', { name: 'Ruler' }),
  'not-a-spreadsheet': refusalWords('not-a-spreadsheet'),
  'file-too-much': refusalWords('file-too-much'),
  'library-not-a-zip': refusalWords('library-not-a-zip'),
  'library-foreign': refusalWords('library-foreign'),
  'library-newer': refusalWords('library-newer'),
  'library-broken': refusalWords('library-broken', { place: undefined }),
  'head-desk-only': refusalWords('head-desk-only'),
  'class-mode-first': refusalWords('class-mode-first'),
  'desk-name-taken': refusalWords('desk-name-taken'),
  'disk-full': refusalWords('disk-full'),
  'too-many-rows': refusalWords('too-many-rows', { most: 5000 }),
  'table-too-large': refusalWords('table-too-large'),
  'library-lesson-missing': refusalWords('library-lesson-missing'),
  away: refusalWords('away'),
  'getting-ready': refusalWords('getting-ready'),
  'page-broke': refusalWords('page-broke'),
}

describe('every refusal', () => {
  it.each(Object.entries(SAID))('%s says what is the matter and what to do or what became of it', (_code, words) => {
    expect(words).not.toMatch(/undefined|null|NaN|\[object|\b(error|exception|invalid|request failed)\b/i)
    expect(words).toMatch(/^[A-Z“"].*[.!]$|npm start -- --class-mode-off$/)
    // What is the matter, and then what to do next.
    expect(words.split(/(?<=[.;:]) /).length + (words.includes(', ') ? 1 : 0)).toBeGreaterThan(1)
    expect(words.length).toBeLessThan(200)
  })

  it('that is about something names it', () => {
    expect(SAID['name-taken']).toContain('“Ruler”')
    expect(SAID['slow-down']).toContain('4 s')
    expect(refusalWords('library-broken', { place: 'cupboard.things' })).toContain('“cupboard.things”')
    expect(refusalWords('invalid', { fault: 'x'.repeat(900) })).toHaveLength(400)
  })
})
