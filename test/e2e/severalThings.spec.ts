import { reading } from '../api/client'
import { choose, client, enterNumber, expect, joinStation, lessonWith, openStop, saved, test, unfold } from './house'

test('two measures on one trial: planned, keyed, asked one after the other, graded each and read together', async ({
  page,
  baseURL,
  browser,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => (plan.conditions = plan.conditions.slice(0, 3)), 'bounce-back')
  await openStop(page, lesson, 'plan')
  const advice = page.getByRole('radiogroup', { name: 'Which measure' })
  await expect(advice).toBeHidden()
  await page.getByRole('button', { name: 'More for the time until it lands again' }).click()
  await page.getByRole('menuitem', { name: 'Measure this too' }).click()
  await expect(page.locator('[data-tray="measure"]').getByRole('textbox')).toHaveCount(2)
  await expect(page.getByText('how high it bounces back and the time until it lands again?')).toBeVisible()
  await expect(page.getByLabel('Highest result we expect')).toHaveValue('66')
  await advice.getByLabel('the time until it lands again').check()
  await expect(page.getByLabel('Highest result we expect')).toHaveValue('1.23')
  await saved(page)

  const { call, open } = client(baseURL)
  const { plan } = (await open(lesson.id)).lesson
  const heights = [44, 55, 66]
  const readings = plan.groups.slice(1).flatMap(({ id: group }, at) =>
    plan.conditions.flatMap(({ id: condition }, place) =>
      [1, 2, 3].flatMap((repeat) => {
        const place_ = { group, condition, repeat, unit: 'cm' as const }
        const value = heights[place]! + ((at + repeat) % 3) - 1
        const time = Number((1.1 + (((at * 7 + repeat * 5 + place * 3) % 9) - 4) / 20).toFixed(2))
        return [
          reading(plan, { ...place_, value, entered: String(value) }),
          reading(plan, { ...place_, moment: '@time', unit: 's', value: time, entered: String(time) }),
        ]
      }),
    ),
  )
  expect((await call('POST', `/api/lessons/${lesson.id}/readings`, { readings })).status).toBe(200)

  const station = await (await browser.newContext()).newPage()
  await station.goto(baseURL!)
  await joinStation(station, lesson.code, 'Alder')
  await station.getByRole('button', { name: 'Later' }).click()
  await station.getByRole('button', { name: 'Start the trials that count' }).click()
  await expect(station.getByText('how high it bounces back', { exact: true })).toBeVisible()
  await enterNumber(station, '44')
  await expect(station.getByText('the time until it lands again', { exact: true })).toBeVisible()
  await expect(station.getByRole('button', { name: 'Press to begin' }).or(station.getByLabel('Measure with'))).toBeVisible()
  // A page that goes away at once takes what it has not sent with it, until it is opened again.
  await expect.poll(async () => (await open(lesson.id)).record.readings.length).toBe(readings.length + 1)
  await station.context().close()

  await openStop(page, lesson, 'test')
  await expect(page.getByRole('columnheader', { name: '1: cm' })).toHaveCount(3)
  const time = page.getByRole('textbox', { name: /^Alder, B 90.cm, repeat 1, the time until it lands again$/ })
  await time.fill('1.05')
  await time.press('Enter')
  await expect(page.getByText('2 of 18')).toBeVisible()
  await time.fill('12')
  await time.press('Enter')
  await expect(page.getByRole('region', { name: 'Odd numbers' })).toContainText('1.20')

  await openStop(page, lesson, 'results')
  const tables = page.getByRole('region').filter({ has: page.getByRole('heading', { level: 3 }) })
  await expect(tables.filter({ hasText: 'how high it bounces back' })).toContainText('Leaning')
  await expect(tables.filter({ hasText: 'the time until it lands again' })).toContainText("Can't tell yet")
  await page.getByRole('tab', { name: 'Table' }).click()
  await page.getByRole('radiogroup', { name: 'Which table' }).getByLabel('the time until it lands again').check()
  await expect(page.getByRole('columnheader', { name: 'Condition, in s' })).toBeVisible()

  await openStop(page, lesson, 'agree')
  const sentence = page.getByRole('textbox', { name: 'Our conclusion' })
  await sentence.fill(
    'It may bounce higher from 100 cm, 66 cm against 44 cm from 80 cm; the time was 5 s for 80 cm, and we are not sure.',
  )
  await expect(page.getByText(/The table has \d\.\d+.s for 80.cm/)).toBeVisible()
  await sentence.fill('It may bounce higher from 100 cm, 66 cm against 44 cm from 80 cm, and we are not sure.')
  await expect(page.getByText(/The table has/)).toHaveCount(0)
})

test('two series: the ball differs on purpose, both ways are fair, each has its line, and whether they differ is said', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => (plan.conditions = plan.conditions.slice(0, 3)), 'bounce-back')
  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: 'More for the ball' }).click()
  await page.getByRole('menuitem', { name: 'Test two of these as well' }).click()
  await expect(page.getByLabel('Name of series 1')).toHaveValue('the same tennis ball for all')
  await page.getByLabel('Name of series 1').fill('tennis ball')
  await page.getByLabel('Name of series 2').fill('rubber ball')
  await expect(page.getByText(', and does the ball matter?')).toBeVisible()
  await expect(page.getByText('All 9 pairs are fair.')).toBeVisible()
  await page.getByLabel('Condition A', { exact: true }).fill('75')
  await page.getByLabel('Condition A', { exact: true }).press('Tab')
  await saved(page)

  const { call, open } = client(baseURL)
  const { plan } = (await open(lesson.id)).lesson
  expect(plan.conditions.filter(({ label }) => label === '75')).toHaveLength(2)
  const readings = plan.groups.flatMap(({ id: group }, at) =>
    plan.conditions.flatMap(({ id: condition }, place) =>
      [1, 2, 3].map((repeat) => {
        const value = 40 + 8 * (place % 3) + 12 * Math.floor(place / 3) + ((at * 5 + repeat * 3 + place) % 4)
        return reading(plan, { group, condition, repeat, unit: 'cm', value, entered: String(value) })
      }),
    ),
  )
  expect((await call('POST', `/api/lessons/${lesson.id}/readings`, { readings })).status).toBe(200)

  await openStop(page, lesson, 'results')
  await expect(
    page.getByText(/^The ball makes a clear difference\. Rubber ball: 1\d\.\d.cm more than tennis ball on average/),
  ).toBeVisible()
  await expect(page.getByRole('img', { name: /^A line for each of tennis ball and rubber ball/ })).toBeVisible()
  await page.getByRole('tab', { name: 'Table' }).click()
  await page.getByRole('radiogroup', { name: 'Which table' }).getByLabel('rubber ball').check()
  await expect(page.getByRole('row', { name: /^75.cm 5\d, / })).toBeVisible()

  await page.goto(`/print/${lesson.id}/report`)
  await expect(page.getByRole('heading', { name: 'Tennis ball and rubber ball beside each other' })).toBeVisible()
  await openStop(page, lesson, 'test')
  await expect(page.getByRole('columnheader', { name: /75.cm, rubber ball/ })).toBeVisible()
  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: 'Take away rubber ball' }).click()
  await expect(page.getByLabel('Name of series 1')).toBeHidden()
  await expect(page.getByLabel('How the ball is kept the same')).toHaveValue('tennis ball')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Name of series 2')).toHaveValue('rubber ball')
})

test('moments with names: days at school and at home, a missing one is shown as a gap and never asked for again', async ({
  page,
  baseURL,
  browser,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.kind = 'over-time'
    plan.repeats = 1
    plan.conditions = plan.conditions.slice(0, 2)
  })
  await openStop(page, lesson, 'plan')
  await choose(page.getByLabel('Unit of the times'), 'at moments with names')
  await expect(page.getByRole('textbox', { name: 'Moment 3' })).toHaveValue('dry again')
  for (const [place, name] of ['Friday', 'Saturday', 'Monday'].entries())
    await page.getByRole('textbox', { name: `Moment ${place + 1}` }).fill(name)
  await page.getByRole('checkbox', { name: 'at home' }).nth(1).check()
  await expect(page.getByText('3 readings of each: Friday; Saturday (at home); Monday')).toBeVisible()
  await saved(page)

  const station = await (await browser.newContext()).newPage()
  await station.goto(baseURL!)
  await joinStation(station, lesson.code, 'Alder')
  await station.getByRole('button', { name: 'Later' }).click()
  await station.getByRole('button', { name: 'Start the trials that count' }).click()
  await expect(station.getByText('Friday', { exact: true })).toBeVisible()
  await station.context().close()

  await openStop(page, lesson, 'test')
  const place = (group: string, day: string) => page.getByRole('textbox', { name: `${group}, A kitchen roll, repeat 1, ${day}` })
  for (const [day, value] of Object.entries({ Friday: '10', Monday: '40' })) {
    await place('Alder', day).fill(value)
    await place('Alder', day).press('Enter')
  }
  await expect(page.getByText('2 of 6')).toBeVisible()
  await page.getByRole('button', { name: 'They stay empty' }).click()
  await openStop(page, lesson, 'results')
  await expect(page.getByRole('img', { name: /Averages: A kitchen roll: Friday 10\.0.mm and Monday 40\.0.mm/ })).toBeVisible()
  await page.getByRole('tab', { name: 'Table' }).click()
  const row = page.getByRole('group', { name: 'Averages at every moment' }).getByRole('row', { name: /kitchen roll/ })
  await expect(row.getByRole('cell').nth(1)).toHaveText('–')
})

test('a pattern is checked: each group guesses what a new height will give at its station, tests it once, and both are laid beside', async ({
  page,
  baseURL,
  browser,
}) => {
  const lesson = await lessonWith(
    baseURL,
    (plan) =>
      Object.assign(plan, { conditions: plan.conditions.slice(0, 3), repeats: 1, practice: 0, groups: plan.groups.slice(0, 3) }),
    'bounce-back',
  )
  const { call } = client(baseURL)
  const readings = lesson.plan.groups.flatMap(({ id: group }, at) =>
    lesson.plan.conditions.map(({ id: condition }, place) => {
      const value = 40 + 6 * place + at
      return reading(lesson.plan, { group, condition, unit: 'cm', value, entered: String(value) })
    }),
  )
  expect((await call('POST', `/api/lessons/${lesson.id}/readings`, { readings })).status).toBe(200)
  await openStop(page, lesson, 'results')
  await page.getByRole('tab', { name: 'Pattern' }).click()
  await page.getByLabel('At', { exact: true }).fill('110')
  await page.getByRole('button', { name: 'Give it to the stations as a last challenge' }).click()
  await expect(page.getByRole('heading', { name: /Last challenge: 110.cm/ })).toBeVisible()
  await expect(page.getByText(/^The class’s line says 59\.\d.cm for 110.cm/)).toBeVisible()
  await saved(page)

  const station = await (await browser.newContext()).newPage()
  await station.goto(baseURL!)
  await joinStation(station, lesson.code, 'Alder')
  await station.getByLabel('Our guess').fill('58')
  await station.getByLabel('Because').fill('six more each time')
  await station.getByRole('button', { name: 'This is our guess' }).click()
  await expect(station.getByText(/You guessed 58.cm/)).toBeVisible()
  await station.getByLabel('What we saw').fill('57')
  await station.getByRole('button', { name: 'Write it down' }).click()
  await expect(station.getByRole('heading', { name: 'All written down' })).toBeVisible()
  await expect(page.getByLabel('Alder guessed')).toHaveValue(/58/)
  await expect(page.getByLabel('Alder saw')).toHaveValue(/57/)
  await station.context().close()

  await expect(page.getByText('six more each time')).toBeVisible()
  await page.getByLabel('Birch guessed').fill('80')
  await page.getByLabel('Birch guessed').press('Enter')
  await page.getByLabel('Birch saw').fill('60')
  await page.getByLabel('Birch saw').press('Enter')
  await expect(page.getByText('Nearest: Alder.')).toBeVisible()
  await page.getByRole('tab', { name: 'Table' }).click()
  await expect(page.getByRole('row', { name: /110/ })).toHaveCount(0)
})

test('neighbours in an order: pairs are weighed at the desk, and the table says what tells two apart and what would settle it', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(
    baseURL,
    (plan) => {
      const jar = { ...plan.materials[0]!, id: 'jar', name: 'glass jar', condition: null, cautions: [] }
      return Object.assign(plan, { conditions: plan.conditions.slice(0, 3), gapsStay: true, materials: [...plan.materials, jar] })
    },
    'which-is-heaviest',
  )
  const { call } = client(baseURL)
  const readings = lesson.plan.groups.slice(1).flatMap(({ id: group }, at) =>
    [1, 2].flatMap((repeat) =>
      lesson.plan.conditions.map(({ id: condition }, place) => {
        const value = at === 0 && place > 0 ? 2.5 : place + 1
        return reading(lesson.plan, { group, condition, repeat, unit: 'place', value, entered: String(value) })
      }),
    ),
  )
  expect((await call('POST', `/api/lessons/${lesson.id}/readings`, { readings })).status).toBe(200)
  await openStop(page, lesson, 'test')
  await unfold(page, 'Weigh in pairs here')
  await expect(page.getByRole('heading', { name: 'Put these two on the balance. Which one goes down?' })).toBeVisible()
  await expect(page.getByRole('list', { name: 'Mind' })).toContainText(/glass/i)
  for (let weighing = 0; weighing < 3; weighing += 1) {
    const pans = page.locator('.pan')
    if ((await pans.count()) === 0) break
    const heavier = (await pans.first().textContent())!.includes('pebble') || !(await pans.last().textContent())!.includes('pebble')
    await (heavier ? pans.first() : pans.last()).click()
  }
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('3 of 6')).toBeVisible()
  await openStop(page, lesson, 'results')
  await page.getByRole('tab', { name: 'How sure' }).click()
  const table = page.getByRole('table', { name: 'Which can be told apart' })
  await expect(table.getByRole('row').nth(1)).toContainText('A pebble before')
  await expect(table.getByRole('row').nth(1)).toContainText('told apart')
  await expect(page.getByText('Level means: closer than this balance can tell.')).toBeVisible()
})

test('after a visit a group tells another one thing well and one to work on; the teacher and that group’s report have it, nobody else', async ({
  page,
  baseURL,
  browser,
}) => {
  const lesson = await lessonWith(baseURL, () => undefined)
  const { call } = client(baseURL)
  expect((await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [reading(lesson.plan)] })).status).toBe(200)
  await openStop(page, lesson, 'agree')
  await unfold(page, 'After a visit')
  const criteria = page.getByLabel('What we look for, with commas between')
  await criteria.fill('the ruler touched zero, every trial was written down')
  await criteria.press('Enter')
  await saved(page)

  const stations = await browser.newContext()
  const alder = await stations.newPage()
  await alder.goto(baseURL!)
  await joinStation(alder, lesson.code, 'Alder')
  await alder.getByRole('button', { name: 'After a visit' }).click()
  await expect(alder.getByText('the ruler touched zero')).toBeVisible()
  await alder.getByLabel('The group you visited').selectOption('Birch')
  await alder.getByLabel('One thing they did well').fill('they read at eye level')
  await alder.getByLabel('One thing to work on').fill('wait for the whole minute')
  await alder.getByRole('button', { name: 'Tell them' }).click()
  await expect(alder.getByText('Birch: told')).toBeVisible()

  const row = page.getByRole('table', { name: 'What groups told each other' }).getByRole('row', { name: /^Birch/ })
  await expect(row).toContainText('they read at eye level')
  // What a station says it has told is sent meanwhile.
  await stations.close()
  const slip = page.locator('form').filter({ has: page.getByLabel('To work on', { exact: true }) })
  await slip.getByLabel('Done well').fill('many words of their own')
  await slip.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('many words of their own')).toBeVisible()
  const board = (await call<{ record: { feedbacks: unknown[] } }>('GET', `/api/lessons/${lesson.id}/board`)).body
  expect(board.record.feedbacks).toEqual([])
  await page.goto(`/print/${lesson.id}/group-report`)
  const birch = page.getByRole('article').filter({ has: page.getByRole('heading', { name: /^Group Birch/ }) })
  await expect(birch).toContainText('Alder: well, they read at eye level')
  await expect(page.getByText('wait for the whole minute')).toHaveCount(1)
  await page.goto(`/print/${lesson.id}/report`)
  await expect(page.getByRole('heading', { name: 'Soak-up strips' })).toBeVisible()
  await expect(page.getByText('they read at eye level')).toHaveCount(0)
  await page.goto(`/print/${lesson.id}/jobs`)
  await expect(page.getByRole('heading', { name: /^Visits: who goes/ })).toBeVisible()
})

test('build and improve: what and why before the next try, the best so far, the gain, which changes helped, and the group’s own graph', async ({
  page,
  baseURL,
  browser,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => Object.assign(plan, { repeats: 1, gapsStay: true }), 'paper-bridge')
  const { call } = client(baseURL)
  const [first, second] = lesson.plan.conditions
  const birch = lesson.plan.groups[1]!.id
  const readings = [
    reading(lesson.plan, { condition: first!.id, unit: 'count', value: 5, entered: '5' }),
    reading(lesson.plan, { group: birch, condition: first!.id, unit: 'count', value: 6, entered: '6' }),
    reading(lesson.plan, { group: birch, condition: second!.id, unit: 'count', value: 11, entered: '11' }),
  ]
  expect((await call('POST', `/api/lessons/${lesson.id}/readings`, { readings })).status).toBe(200)

  const station = await (await browser.newContext()).newPage()
  await station.goto(baseURL!)
  await joinStation(station, lesson.code, 'Alder')
  await expect(station.getByRole('heading', { name: 'second try: what do you change?' })).toBeVisible()
  await expect(station.getByText('Best so far: 5, first try.')).toBeVisible()
  await station.getByLabel('We change').fill('folded once along the middle')
  await station.getByLabel('We think it helps because').fill('a fold is stiff')
  await station.getByRole('button', { name: 'Now we build it' }).click()
  await enterNumber(station, '14')
  await expect(station.getByRole('heading', { name: 'third try: what do you change?' })).toBeVisible()
  await expect(
    station.getByText(/second try: folded once along the middle, because a fold is stiff\. 14, 9 better\./),
  ).toBeVisible()

  await openStop(page, lesson, 'results')
  await page.getByRole('tab', { name: 'Try by try' }).click()
  await page.getByLabel('Birch, second try: what was changed').fill('folded twice because two folds are stiffer')
  await page.getByLabel('Birch, second try: what was changed').press('Enter')
  const helped = page.getByRole('region', { name: 'Try by try' }).getByRole('listitem')
  await expect(helped).toHaveText([/^9 better folded once along the middle \(Alder\)$/, /^5 better folded twice \(Birch\)$/])
  await expect(page.getByText('“fold” helped 2 of 2 times')).toBeVisible()
  await page.goto(`/print/${lesson.id}/group-report`)
  const alder = page.getByRole('article').filter({ has: page.getByRole('heading', { name: /^Group Alder/ }) })
  await expect(alder.getByRole('heading', { name: 'How we made it better' })).toBeVisible()
  await expect(alder.locator('.paper-chart')).toHaveCount(2)
})
