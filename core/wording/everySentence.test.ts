import fc from 'fast-check'
import { expect, it } from 'vitest'
import { conclusion, counter, emptyRecord, reading } from '../../test/soakUp'
import { demoCupboard } from '../../demo/school'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { doubtsOfConclusion, isChecked, nextTests, readConclusion } from '../agree'
import { graphChoices, handGraph, resultsGraph, squareScale } from '../charts'
import { fitOf, testEndsOf } from '../clock'
import { evidenceOf, surerBy, trendOf } from '../evidence'
import { gettingReady, needsOf, NO_SCHOOL, withThings, type School } from '../kit'
import { AGES, AVERAGE_WAYS, BEST, COUNTED, EACH_IS, type LessonEvent, type LessonRecord, type Plan, type Reading } from '../lesson'
import { momentsOf, readBy } from '../test'
import { waysToSee } from '../measuring'
import { comparedWith, journalOf, nextTrial, oddResults, progressOf, resultsTable, workedOutFor } from '../record'
import { secondLook } from '../secondLook'
import { mendsOf, scarceLimits, waysOut } from '../waysOut'
import { testOf, withMethod, planFrom } from '../../core/test'
import { faceOf, judgedOf } from '../lists'
import { classReport, gradeInList, groupReport, questionInList, teacherNotes, termOverview } from './reports'
import * as words from '.'

/** Any lesson of the library, with any numbers of children in any state: gaps, slips, set aside, put right, late. */
const anyLesson = fc
  .record({
    investigation: fc.constantFrom(...Object.keys(INVESTIGATIONS)),
    children: fc.integer({ min: 1, max: 34 }),
    repeats: fc.integer({ min: 1, max: 4 }),
    average: fc.constantFrom(...AVERAGE_WAYS),
    age: fc.constantFrom(...AGES),
    minutes: fc.constantFrom(5, 40, 90),
    retells: fc.boolean(),
    low: fc.integer({ min: -20, max: 60 }),
    step: fc.integer({ min: -15, max: 15 }),
    jitter: fc.array(fc.integer({ min: -4, max: 4 }), { minLength: 9, maxLength: 9 }),
    gapEvery: fc.integer({ min: 2, max: 9 }),
    oddAt: fc.integer({ min: 0, max: 60 }),
    best: fc.constantFrom(null, ...BEST),
    gapsStay: fc.boolean(),
    counting: fc.record({
      counts: fc.constantFrom(null, ...COUNTED),
      countsPlace: fc.constantFrom(null, 0, 1),
      countsUntil: fc.constantFrom(null, 2, 20),
      eachIs: fc.constantFrom(...EACH_IS),
      known: fc.constantFrom(null, 12, -3),
      knownName: fc.constantFrom('', 'the usual amount'),
      knownWeekly: fc.constantFrom(null, 14),
    }),
    twoPlaces: fc.boolean(),
    saidInWords: fc.boolean(),
  })
  .map(
    ({
      investigation,
      children,
      low,
      step,
      jitter,
      gapEvery,
      oddAt,
      minutes,
      retells,
      best,
      counting,
      twoPlaces,
      saidInWords,
      ...change
    }) => {
      const begun = { ...planFrom(INVESTIGATIONS[investigation]!, 'Puffin', children, counter('g')), ...change }
      const watch = twoPlaces ? { ...begun.watch, places: ['top', 'bottom'] } : begun.watch
      const plan = withMethod({ ...begun, watch, date: '2026-03-12', clock: { ...begun.clock, minutes } }, (method) => ({
        ...(saidInWords && begun.kind === 'over-time' ? readBy(method, 'words') : method),
        ...counting,
        best,
        bestNumber: best === 'nearest' ? low + step : null,
      }))
      const unit = testOf(plan).unit
      const places = plan.groups.flatMap(({ id: group }) =>
        plan.conditions.flatMap(({ id: condition }, at) =>
          Array.from({ length: plan.repeats }, (_, repeat) =>
            momentsOf(plan).map(({ id: moment }, time) => ({ group, condition, repeat: repeat + 1, moment, size: at + time })),
          ).flat(),
        ),
      )
      const { words } = testOf(plan)
      const orders = unit === 'place' || words.length > 0
      const readings = places.flatMap(({ size, ...place }, nth): Reading[] => {
        if (nth % gapEvery === gapEvery - 1) return []
        const value = orders ? (size % (words.length || 3)) + 1 : low + step * size + jitter[nth % 9]! + (nth === oddAt ? 300 : 0)
        const row = reading({ ...place, id: `r${nth}`, value, unit, entered: String(value) })
        if (nth === oddAt + 1) return [{ ...row, status: 'set-aside', reason: 'it leaked' }]
        if (nth === oddAt + 2 && retells) return [row, { ...row, id: `r${nth}b`, supersedes: row.id, reason: 'read again' }]
        return [row]
      })
      const record: LessonRecord = {
        ...emptyRecord,
        readings,
        conclusions: [
          conclusion({ group: 'g1', agreed: false, text: 'It is always the best, because we saw it.' }),
          conclusion({ text: 'We found no difference.', hands: 12 }),
        ],
        remarks: [{ id: 'm', group: 'g1', list: 'wondered', text: 'why is it so', at: '2026-03-12T10:40:00.000Z' }],
      }
      return { plan, record }
    },
  )

const SCHOOL: School = { ...NO_SCHOOL, things: demoCupboard(counter('t')) }
const TERM = { from: '2026-01-01', to: '', className: 'Puffin' }
const EVENTS: { at: string; body: LessonEvent }[] = [
  { at: '2026-03-12T10:30:00.000Z', body: { kind: 'plan', revision: 2 } },
  { at: '2026-03-12T10:50:00.000Z', body: { kind: 'station', change: 'moved', station: 's', group: 'g2', to: 'g1' } },
]

/** Everything that the desk, the board, the stations and the paper say of a lesson. */
function allThatIsSaid({ plan, record }: { plan: Plan; record: LessonRecord }): unknown[] {
  const stocked = withThings(plan, SCHOOL.things)
  const judged = judgedOf(plan, record, NO_SCHOOL)
  const evidence = evidenceOf(plan, record)
  const method = testOf(plan).method!
  const graphs = graphChoices(plan, record)
  const table = resultsTable(plan, record.readings)
  const compared = comparedWith(
    plan,
    new Map(table.flatMap(({ condition, results }) => (results[0] ? [[condition, results[0]]] : []))),
  )
  const trend = trendOf(plan, record)
  const hand = handGraph(plan, record)
  const scale = hand && squareScale(hand.up.values, 24, hand.up.withZero)
  const findings = secondLook(stocked, record, SCHOOL)
  const needs = needsOf(stocked, SCHOOL)
  return [
    words.question(plan),
    words.conditionsWords(plan.kind),
    words.wordMat(plan),
    words.careLines(plan),
    words.predictionPrompt(plan),
    words.trialSum(plan),
    [
      words.testSum(fitOf(plan)),
      words.fitVerdict(fitOf(plan), testEndsOf(plan)),
      words.endWords(plan, fitOf(plan)),
      words.paceWords(plan),
    ],
    findings.map((finding) => [words.findingWords(finding, stocked), finding.fixes.map((fix) => words.fixWords(fix, stocked))]),
    needs.map((need, place) => [
      words.needSum(need, stocked.materials[place]!, stocked),
      words.measuredWords(need.forClass, need.unit),
      waysOut(stocked, need, SCHOOL, counter('w')).map((way) => words.wayOutWords(way, stocked, need.unit)),
    ]),
    scarceLimits(stocked, SCHOOL).map((limit) => words.limitWords(limit, stocked)),
    gettingReady(stocked, SCHOOL).map((step) => words.stepWords(step, stocked, needs)),
    mendsOf(plan).map((mend) => words.mendWords(mend)),
    waysToSee(plan).map((way) => [words.wayWords(way, plan), words.wayCost(way), words.wayChance(way)]),
    progressOf(plan, record.readings).map((progress) => {
      const cell = nextTrial(plan, progress)
      return cell ? words.trialAloud(plan, cell) : 'all done'
    }),
    words.graphReason(plan, graphs.reason),
    graphs.choices.map(({ kind, loss }) => [
      words.graphLoss(loss) || 'It loses nothing.',
      words.chartWords(plan, resultsGraph({ ...plan, graph: kind }, record)!),
    ]),
    words.axisTitles(plan),
    table.map(({ results, workedOut, ...row }) => [
      words.workingSteps(plan, results, method.unit),
      words.readingPieces(plan, { results, workedOut, ...row }),
      workedOutFor(plan).map((column) => [
        words.workedOutName(plan, column, compared?.condition),
        workedOut[column] === undefined ? 'none' : words.workedOutWords(plan, column, workedOut[column]),
      ]),
    ]),
    oddResults(plan, record, EVENTS).map((odd) => [
      words.oddWords(plan, odd),
      odd.explanations.map((explanation) => words.explanationWords(plan, explanation, odd.reading.group)),
    ]),
    evidence && [
      words.gradeSentence(plan, evidence),
      evidence.spread && [words.agreementSentence(plan, evidence), words.gapSentence(plan, evidence.spread)],
      words.childSentence(plan, evidence),
      words.overlapSentence(plan, evidence),
      words.modelLines(plan, evidence),
      surerBy(plan, evidence).map((one) => words.surerSentence(one)),
      words.sentenceStarters(plan, evidence),
      words.podiumLines(plan, evidence),
      [words.bestChoices(plan), words.bestIs(plan) || 'none'],
      record.conclusions.flatMap(({ text }) =>
        doubtsOfConclusion(text, plan, evidence).map((doubt) => words.doubtWordsOfConclusion(doubt, plan)),
      ),
    ],
    trend && [words.patternWords(plan, trend), words.trendLines(trend)],
    scale && words.scaleSentence(scale, method.unit),
    nextTests(plan).map((next) => words.nextQuestion(next)),
    journalOf(record, EVENTS).map((line) => words.journalWords(plan, line)),
    [classReport(plan, record), groupReport(plan, record, 'g1'), teacherNotes(plan, record)],
    termOverview([{ id: 'l', ...faceOf(plan), ...judged, question: questionInList(plan), grade: gradeInList(plan, judged) }], TERM),
  ]
}

/** All texts, however deep they lie, with the way to them. */
function textsOf(value: unknown, path = ''): [string, string][] {
  if (typeof value === 'string') return [[path, value]]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, inner]) => textsOf(inner, `${path}/${key}`))
}

const BROKEN =
  /undefined|NaN|Infinity|\[object|\bnull\b| {2}|\s[.,;:!?](?!\w)|\.\.|\b(\w+) \1 \1\b|\b1 (groups|repeats|trials|minutes|conditions|packs|rounds|readings)\b|^\s|\s$|“”|\band \S+ and \S+ and\b|with a (counting|with)/

it('whatever a lesson looks like, no sentence about it is broken', () => {
  fc.assert(
    fc.property(anyLesson, (lesson) => {
      const texts = textsOf(allThatIsSaid(lesson))
      expect(texts.length).toBeGreaterThan(100)
      expect(texts.filter(([, text]) => BROKEN.test(text))).toEqual([])
    }),
    { numRuns: 60 },
  )
})

it('what is offered to begin with passes the reading that every sentence gets', () => {
  const LEFT_OUT = ['no-numbers', 'does-not-say-how-sure', 'cause-without-reason', 'unfinished']
  fc.assert(
    fc.property(anyLesson, ({ plan, record }) => {
      const evidence = evidenceOf(plan, record)
      if (!evidence || evidence.grade === 'nothing-yet') return
      const ready = [...words.sentenceStarters(plan, evidence), words.childSentence(plan, evidence)]
      const blamed = ready.flatMap((text) =>
        doubtsOfConclusion(text, plan, evidence)
          .filter(({ code }) => !LEFT_OUT.includes(code))
          .map((doubt) => [text, doubt]),
      )
      expect(blamed).toEqual([])
    }),
    { numRuns: 200 },
  )
})

it('what is offered whole is ticked, in nine of ten', () => {
  const told = { ticked: 0, read: 0 }
  fc.assert(
    fc.property(anyLesson, ({ plan, record }) => {
      const evidence = evidenceOf(plan, record)
      if (!evidence || evidence.grade === 'nothing-yet') return
      const whole = [...words.sentenceStarters(plan, evidence), words.childSentence(plan, evidence)].filter(
        (text) => !text.includes('…'),
      )
      told.read += whole.length
      told.ticked += whole.filter((text) => isChecked(readConclusion(text, plan, evidence))).length
    }),
    { numRuns: 300, seed: 11 },
  )
  console.log(`${told.ticked} of ${told.read} sentences that are offered whole are ticked`)
  expect(told.ticked / told.read).toBeGreaterThan(0.9)
})
