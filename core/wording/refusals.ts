/** What was refused or could not be done, and what to do next, by code. */
const WORDS = {
  'not-json': () => 'The request is not complete JSON. Send it again.',
  'bad-text': () => 'The text holds characters that cannot be kept. Type it again without them.',
  'too-large': ({ megabytes }: { megabytes: number }) =>
    `This is larger than ${megabytes < 1 ? `${megabytes * 1000} kB` : `${megabytes} MB`}. Send a smaller one.`,
  invalid: ({ fault }: { fault: string | undefined }) =>
    `${fault ?? 'The request is not complete'}. Correct it and send it again.`.slice(0, 400),
  'bad-request': () => 'The request could not be understood. Go back to the shelf.',
  'no-such-address': () => 'There is nothing at this address. Go back to the shelf.',
  'not-found': ({ what }: { what: string }) => `There is no such ${what}. Go back to the shelf and open it from there.`,
  'foreign-origin': () => 'This page came from somewhere else. Open Jolly Beaker by the address that it printed at the start.',
  internal: () => 'Something broke on our side. Nothing was stored; try it once more.',

  'desk-closed': () => 'The desk is closed. Type in its passphrase.',
  'desk-is-open': () => 'Class mode is off, so the desk is open to this computer. Go on to the shelf.',
  'wrong-passphrase': () =>
    'This is not the passphrase. If nobody knows it, stop Jolly Beaker and start it with: npm start -- --class-mode-off',
  'head-desk-only': () => 'This concerns every class. It is done at the head desk.',
  'class-mode-first': () => 'Turn class mode on first: then each class can have a desk of its own.',
  'desk-name-taken': () => 'Another class has a desk of this name. Give this one another name.',
  'slow-down': ({ seconds }: { seconds: number }) => `That was wrong too often. Wait ${seconds} s, then try again.`,
  'unknown-code': () => 'No lesson has this code. Look at the board and type it again.',
  'unknown-own-code': () => 'Nobody in this lesson has this code. Look at your strip and type it again.',
  'not-joined': () => 'This station is not part of a lesson. Type in the code from the board.',
  locked: () => 'Your teacher has paused this station. What you entered is kept.',
  'other-group': () => 'A station writes for its own group only. Join again to change groups.',

  stale: () => 'This plan was changed in another window meanwhile. Load the page again, then make your change once more.',
  'investigation-ships': () => 'This lesson comes with the library and stays. Only lessons that somebody kept can be taken away.',
  'group-in-use': () => 'This group has readings or predictions. Keep it in the plan.',
  'condition-in-use': () => 'This condition has readings or predictions. Leave it out instead; nothing is lost then.',
  'moment-in-use': () => 'There are readings of this time, place or measure. Keep it in the plan, or set them aside first.',
  'unknown-moment': () => 'The plan has no such time, place or measure any more. Load the page again and enter it once more.',
  'unknown-group': () => 'The plan has no such group any more. Load the page again and enter it once more.',
  'unknown-condition': () => 'The plan has no such condition any more. Load the page again and enter it once more.',
  'id-taken': () => 'This entry already belongs to another lesson. Enter it again.',
  'supersedes-unknown': () => 'The reading to be corrected is not in this lesson and group. Load the page again.',
  'no-such-card': () => 'This card is not left over any more. Load the page again and choose another.',
  'own-question-open': () =>
    'This question is not whole yet. Tap what you change and what you measure, and name two things to try.',
  'asks-no-own-questions': () =>
    'In this lesson the groups ask no questions of their own. Choose “Each group its own” under Wonder first.',
  'nothing-to-split': () => 'Some groups have to go and some to stay. Choose again.',
  'not-the-same-test': () => 'These two change or measure different things, or have a group in common, so they stay two lessons.',
  'library-full': ({ most }: { most: number }) => `The library keeps no more than ${most} lessons of your own. Take one out first.`,
  'together-full': ({ most }: { most: number }) => `No more than ${most} lessons run together. Take one out first.`,
  'no-date': () => 'The lesson has no day or no start yet. Choose both at the Clock, then save the calendar file.',

  'not-a-picture': () => 'This is not a picture that can be shown. Choose a PNG, JPEG or WebP picture.',
  'disk-full': () =>
    'The disk is full on the computer that Jolly Beaker runs on. Make room there; what you entered is kept on this page.',
  'too-many-rows': ({ most }: { most: number }) =>
    `There are ${most} of these, and no more can be kept here. Make a copy of the lesson and go on there.`,
  'too-many-pictures': ({ most }: { most: number }) =>
    `All the room for pictures is taken (${most} were sent from here). Use those that are there.`,
  'name-taken': ({ name }: { name: string }) =>
    `“${name}” is in the cupboard already. Change that one, or give this one another name.`,
  'not-a-spreadsheet': () => 'This file cannot be read as a spreadsheet. Save it as XLSX or CSV and choose it again.',
  'table-too-large': () =>
    'This table is too large to look through. Save the part with your numbers as a table of its own and choose that.',
  'file-too-much': () => 'This file holds too much to be read. Nothing was changed; look for another copy of it.',
  'library-not-a-zip': () => libraryWords('This file cannot be opened: it is not a whole backup.'),
  'library-lesson-missing': () => 'The backup names this lesson and does not have it. Look for an older backup.',
  'library-foreign': () => libraryWords('This is not a backup of Jolly Beaker.'),
  'library-newer': () => libraryWords('This backup was made by a newer Jolly Beaker. Update this one first.'),
  'library-broken': ({ place }: { place: string | undefined }) =>
    libraryWords(`This backup is damaged${place === undefined ? '' : ` at “${place}”`}.`),

  away: () => 'Jolly Beaker cannot be reached. What you entered is kept on this page; it is sent when it is back.',
  'getting-ready': () => 'Jolly Beaker is getting ready. Try again in a moment.',
  'page-broke': () => 'Something broke on this page. Load it again; what was saved is kept.',
}

export type RefusalCode = keyof typeof WORDS
/** What a refusal's sentence has to know. */
export type RefusalDetails<Code extends RefusalCode> = Parameters<(typeof WORDS)[Code]>

/**
 * The sentence for a refusal.
 * @example refusalWords('slow-down', { seconds: 4 }) // => 'That was wrong too often. Wait 4 s, then try again.'
 */
export function refusalWords<Code extends RefusalCode>(code: Code, ...details: RefusalDetails<Code>): string {
  return (WORDS[code] as (...details: RefusalDetails<Code>) => string)(...details)
}

function libraryWords(what: string): string {
  return `${what} Nothing was changed. Choose a file whose name ends in .beaker.zip.`
}
