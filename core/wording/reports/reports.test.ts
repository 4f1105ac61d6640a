import { describe, expect, it } from 'vitest'
import { conclusion, emptyRecord, reading, recordOf, soakUpPlan } from '../../../test/soakUp'
import { reportHtml, reportMarkdown } from '../../formats'
import { NO_SCHOOL } from '../../kit'
import { groupSigns, skillsOf, type Block } from '../../reports'
import { faceOf, judgedOf } from '../../lists'
import { classReport, gradeInList, groupReport, questionInList, teacherNotes, termOverview, type TermLesson } from '.'

const plan = soakUpPlan({ notes: 'Elm needs the clear ruler.', groupNotes: { g1: { well: 'held the ruler still', next: '' } } })
const prediction = {
  id: 'p',
  group: 'g1',
  as: 'order' as const,
  order: ['kitchen-roll', 'tissue', 'writing-paper', 'card'],
  values: {},
  reason: 'it is fluffy',
  late: false,
  measure: null,
  by: 'station' as const,
  at: '2026-03-12T10:40:00.000Z',
}
const record = {
  ...recordOf({ 'kitchen-roll': [60, 62, 61, 60], card: [14, 15, 14, 16] }, 2),
  predictions: [prediction],
  conclusions: [
    conclusion({ group: 'g1', text: 'Kitchen roll came first with 61 mm and all groups agree.', agreed: false }),
    conclusion({ text: 'Kitchen roll came first with 61 mm. We are sure, because the gap is big.', hands: 22 }),
  ],
}
const texts = (blocks: Block[]) => JSON.stringify(blocks)

describe('reports', () => {
  it('the class’s has everything from prediction to next, and nothing of the teacher’s own', () => {
    const { question, blocks } = classReport(plan, record)
    expect(question).toMatch(/^How does the kind of paper change/)
    expect(blocks.map(({ kind }) => kind)).toEqual(['facts', 'table', 'text', 'chart', 'heading', 'quote', 'heading', 'list'])
    expect(texts(blocks)).toContain('1 group said kitchen roll most')
    expect(texts(blocks)).toContain('22 hands up')
    expect(texts(blocks)).not.toMatch(/clear ruler|held the ruler still/)
  })

  it('the class’s has a row a group where each asks its own, and the sentence across all', () => {
    const [alder, ...others] = plan.groups
    const home = { ...plan, groups: others }
    const width = { ...plan, groups: [alder!], conditions: plan.conditions.slice(0, 2) }
    const own = {
      parts: [
        { lesson: 'home', plan: home, record: emptyRecord },
        { lesson: 'own', plan: width, record },
      ],
      together: { conclusion: 'Kitchen roll drinks more than tissue.', agreed: true },
    }
    const report = classReport(home, emptyRecord, own)
    const table = report.blocks.find((block) => block.kind === 'table')!
    expect(table.rows[0]).toEqual([
      'Alder',
      expect.stringMatching(/^How does/),
      '✓ The one pair is fair.',
      '2\u00a0of\u00a06',
      expect.stringMatching(/\.$/),
    ])
    expect(table.rows[1]).toEqual(['Birch', 'No question of its own.', '', '', ''])
    expect(texts(report.blocks)).toContain('Kitchen roll drinks more than tissue.')
    // Where nobody is left in the question of the class, nothing is said of how it was tested.
    expect(classReport({ ...plan, groups: [] }, emptyRecord, own).blocks.map(({ kind }) => kind)).toEqual([
      'heading',
      'table',
      'heading',
      'quote',
    ])
  })

  it('a group’s has its own numbers beside the class’s, and its own sentence', () => {
    const { blocks } = groupReport(plan, record, 'g1')
    const table = blocks.find((block) => block.kind === 'table')
    expect(table?.kind === 'table' && table.rows[0]).toEqual([
      'A kitchen roll',
      '60.5\u202fmm',
      '60 to 61\u202fmm',
      '2',
      '60.8\u202fmm',
    ])
    expect(texts(blocks)).toContain('all groups agree')
    expect(texts(blocks)).not.toContain('clear ruler')
  })

  it('the teacher’s notes have what the teacher wrote, else what the record shows', () => {
    const { blocks } = teacherNotes(plan, record)
    const table = blocks.find((block) => block.kind === 'table')
    const [alder, birch] = table?.kind === 'table' ? table.rows : []
    expect(alder![1]).toBe('held the ruler still')
    expect(birch![2]).toBe('predict before the first reading.')
    expect(texts(blocks)).toContain('Elm needs the clear ruler.')
  })

  it('signs come from the record', () => {
    const [alder] = groupSigns(plan, record, ['reading', 'average'])
    expect(alder!.well.map(({ code }) => code)).toEqual(['reason-given', 'careful-sentence'])
    expect(alder!.next.map(({ code }) => code)).toEqual(['gaps', 'no-observation'])
  })

  it('a term counts the skills that its lessons practised', () => {
    const skills = skillsOf(plan, record)
    expect(skills).toEqual([
      'fair-testing',
      'predicting',
      'measuring',
      'repeating',
      'averaging',
      'graphing',
      'concluding',
      'weighing-evidence',
    ])
    expect(skillsOf(plan, { ...record, readings: [reading({ practice: true })] })).not.toContain('measuring')
    const lesson: TermLesson = {
      id: 'l',
      title: 'Soak-up',
      className: 'Puffin',
      date: '2026-03-12',
      question: 'How?',
      grade: 'Clear',
      conclusion: '',
      agreed: false,
      skills,
    }
    const { blocks } = termOverview([lesson, { ...lesson, title: 'Again' }], { from: '', to: '', className: '' })
    const table = blocks.filter((block) => block.kind === 'table').at(-1)
    expect(table?.kind === 'table' && table.rows.find(([skill]) => skill === 'Measuring')).toEqual([
      'Measuring',
      '2',
      'Soak-up; Again',
    ])
    expect(texts(blocks)).toContain('Still to come: noticing closely')
  })

  it('a term says what it takes in, and what a lesson brought', () => {
    expect(termOverview([], { from: '2026-03-02', to: '2026-04-30', className: 'Wren' }).under).toBe(
      'Class Wren, from Mon 2 Mar to Thu 30 Apr',
    )
    const judged = judgedOf(plan, record, NO_SCHOOL)
    const [question, grade] = [questionInList(plan), gradeInList(plan, judged)]
    const lesson: TermLesson = { id: 'l', ...faceOf(plan), ...judged, question, grade }
    const told = texts(termOverview([lesson], { from: '', to: '', className: '' }).blocks)
    for (const words of [lesson.question, lesson.conclusion, lesson.grade]) expect(told).toContain(words)
    expect(lesson.conclusion).toContain('We are sure, because the gap is big.')
  })
})

describe('files of a report', () => {
  const nasty = { ...classReport(plan, record), title: '<script>alert(1)</script> & 3 * 4 | [x]' }

  it('Markdown means what the words mean', () => {
    const markdown = reportMarkdown(nasty)
    expect(markdown).toContain('# \\<script\\>alert(1)\\</script\\> & 3 \\* 4 | \\[x\\]')
    expect(markdown).toContain('| A kitchen roll | 60.8\u202fmm |')
  })

  it('HTML carries no markup from words, and the graph as it was drawn', () => {
    const html = reportHtml(nasty, () => '<svg id="graph"></svg>')
    expect(html).toContain('&lt;script&gt;')
    expect(html).not.toContain('<script>')
    expect(html).toContain('<svg id="graph">')
  })
})
