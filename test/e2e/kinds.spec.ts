import { reading } from '../api/client'
import { measuredSo } from '../measuredSo'
import { cell, choose, client, expect, joinStation, lessonWith, openStop, paste, saved, test, unfold } from './house'

const POTS = [
  'pot\tsize\tlid\tplace\tcolour',
  'Pot 1\tsmall\tnone\tsill\tred',
  'Pot 2\tsmall\tcork\tsill\tred',
  'Pot 3\tsmall\tfoil\tsill\tred',
  'Pot 4\tlarge\tnone\tshelf\tblue',
  'Pot 5\tlarge\tnone\tsill\tblue',
  'Pot 6\tlarge\tcork\tshelf\t?',
].join('\n')

test('a muddle pasted from a spreadsheet shows the fair comparisons hidden in it, and narrows to one', async ({
  page,
  baseURL,
}) => {
  const { lesson } = await client(baseURL).newLesson(null)
  await openStop(page, lesson, 'plan')
  await paste(page.getByLabel('Paste a table here'), POTS)
  await expect(page.getByText('None of the 15 pairs is fair.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Many things differ at once' })).toBeVisible()
  await expect(page.getByLabel('colour for Pot 6')).toHaveValue('?')
  const hidden = page.getByRole('listitem').filter({ hasText: 'How does lid change' })
  await expect(hidden).toContainText('With A, B and C.')
  await hidden.getByRole('button', { name: 'Compare these' }).click()
  await expect(page.getByText('All 3 pairs are fair.')).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByText('None of the 15 pairs is fair.')).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('Paste a table here')).toBeVisible()
})

test('the adviser says that timing a bounce may not show it, and the class measures the distance instead', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => (plan.measured = 'time'), 'bounce-back')
  await openStop(page, lesson, 'plan')
  await expect(page.getByRole('heading', { name: '3 repeats may not show it' })).toBeVisible()
  const ways = page.getByRole('list', { name: 'What would do it' })
  await expect(ways.getByRole('button', { name: 'Run them side by side and see who is first' })).toBeVisible()
  // The chart may still come in above the button while it is pressed.
  const heading = page.getByRole('heading', { name: '3 repeats may not show it' })
  await expect(async () => {
    if (await heading.isVisible()) await ways.getByRole('button', { name: 'Measure how high it bounces back instead' }).click()
    await expect(heading).toBeHidden({ timeout: 1000 })
  }).toPass()
  await expect(page.locator('[data-tray="measure"]').getByRole('textbox', { name: 'Name: how high it bounces back' })).toBeVisible()
  await expect(page.getByText(/it comes out clear in nearly 100 in 100 classes like yours/)).toBeVisible()

  await page.getByRole('button', { name: 'Simulate it' }).click()
  await expect(page.getByText('the simulator', { exact: true })).toBeVisible()
  await expect(page.getByLabel('Highest result we expect')).toHaveValue('66')
  await page.getByLabel('Highest number').fill('200')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Take 80, 110, 140, 170, 200 cm' }).click()
  await expect(page.getByLabel('Condition E', { exact: true })).toHaveValue('200')
  await saved(page)
})

test('practice readings replace the guess', async ({ page, baseURL }) => {
  const { call, newLesson } = client(baseURL)
  const { lesson } = await newLesson()
  const practice = [
    { condition: 'kitchen-roll', value: 70 },
    { condition: 'kitchen-roll', value: 74 },
    { condition: 'card', value: 10 },
  ].map((change) => reading(lesson.plan, { ...change, practice: true }))
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: practice })
  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: 'Take 3 practice readings' }).click()
  await expect(page.getByLabel('Lowest result we expect')).toHaveValue('10')
  await expect(page.getByLabel('Highest result we expect')).toHaveValue('72')
  await expect(page.getByText('practice readings', { exact: true })).toBeVisible()
})

test('the stopwatch warm-up measures the class’s own wobble', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => (plan.measured = 'time'), 'bounce-back')
  // Every wait is 1.75 s then, and every light stays for 2.2 s.
  await page.addInitScript(() => (Math.random = () => 0.5))
  await page.clock.install()
  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: 'Stopwatch warm-up' }).click()
  const signal = page.getByRole('button', { name: /Press to begin|Wait for|Light|Sound|Too early/ })
  await expect(signal).toBeVisible()
  // From here on time passes only when the test says so.
  await page.clock.pauseAt(Date.now() + 3_600_000)
  await signal.click()
  await signal.click()
  await expect(signal).toHaveText('Too early. Press to try again')
  // Pressed 0.1 s after one sound and 0.3 s after the next, always at once at the light: a wobble of 0.11 s.
  for (let round = 0; round < 6; round += 1) {
    await signal.click()
    await page.clock.runFor(1760)
    await expect(signal).toHaveText('Light. Wait for the sound …')
    await signal.click()
    await page.clock.runFor(2200)
    await expect(signal).toHaveText('Sound. Press')
    await page.clock.runFor(round % 2 === 0 ? 100 : 300)
    await signal.click()
  }
  await expect(page.getByText('6 timings')).toBeVisible()
  await page.getByRole('button', { name: 'Use this wobble' }).click()
  await page.clock.runFor(2000)
  await unfold(page, 'How we measure')
  const wobble = Number(await page.getByLabel('Timing wobble').inputValue())
  expect(wobble).toBeGreaterThan(0.1)
  expect(wobble).toBeLessThan(0.12)
})

test('each kind of test asks for its own things, and what was there comes back', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'plan')
  const kind = async (name: string) => {
    await page.getByRole('button', { name: /^Kind of test/ }).click()
    await page.getByRole('menuitemradio', { name: new RegExp(`^${name}`) }).click()
  }
  await kind('Before and after')
  await expect(page.getByRole('heading', { name: 'What happens' })).toBeVisible()
  await kind('Watch over time')
  await expect(page.getByLabel('Times of reading')).toHaveValue('0, 1, 2, 5')
  await page.getByLabel('Times of reading').fill('0; 3 and 9')
  await page.getByLabel('Places in each').fill('top, bottom')
  await page.keyboard.press('Enter')
  await expect(page.getByText('6 readings of each: 0\u202fmin, top; 0\u202fmin, bottom;')).toBeVisible()
  await kind('Put in order')
  await expect(page.getByRole('heading', { name: 'Put in order by' })).toBeVisible()
  await expect(
    page.getByRole('button', { name: 'side by side, who is first' }).or(page.getByText('Which kind of paper comes first')),
  ).toBeVisible()
  await kind('Build and improve')
  await expect(page.getByRole('heading', { name: 'Make better' })).toBeVisible()
  await expect(page.getByText('Fair check')).toBeHidden()
  await kind('Describe')
  await unfold(page, 'How we measure')
  await choose(page.getByRole('combobox', { name: 'Pick an instrument' }), 'ordered words')
  await page.getByLabel('Ordered words, the least first').fill('soggy')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('heading', { name: 'Which words?' })).toBeVisible()
  const undo = page.getByRole('button', { name: 'Undo' })
  while (await undo.isEnabled()) await undo.click()
  await expect(page.getByRole('heading', { name: 'Conditions', exact: true })).toBeVisible()
  await expect(page.getByText('All 6 pairs are fair.')).toBeVisible()
})

test('before and after: keyed in two halves, the change is worked out, and the same is said', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => (plan.gapsStay = true), 'ice-in-a-bag')
  await openStop(page, lesson, 'test')
  for (const [place, group] of ['Alder', 'Birch', 'Cedar'].entries()) {
    for (const repeat of [1, 2]) {
      for (const moment of ['before', 'after']) {
        const field = page.getByRole('textbox', { name: `${group}, A a bag of ice, repeat ${repeat}, ${moment}`, exact: true })
        await field.fill(String(120 + 9 * place + repeat))
        await page.keyboard.press('Enter')
      }
    }
  }
  await expect(page.getByRole('row', { name: /^Cedar/ })).toContainText('4 of 4')
  await page.keyboard.press('Escape')
  await page.goto(`/lesson/${lesson.id}/results`)
  await expect(page.getByRole('region', { name: 'How sure we can be' })).toContainText(
    'Melting made no difference that our instrument can show.',
  )
  await page.getByRole('tab', { name: 'Table' }).click()
  const ice = page.getByRole('row', { name: /a bag of ice/ }).first()
  await expect(ice.getByRole('cell').nth(1)).toHaveText('0.0\u202fg')
  await page.keyboard.press('8')
  await expect(page.getByText(/As far as our instrument can show, melting does not change/).first()).toBeVisible()
})

test('over time: every jar is read at its times, and the lines stand in a table too', async ({ page, baseURL }) => {
  const { call, newLesson } = client(baseURL)
  const { lesson } = await newLesson('sprout-watch')
  const rows = lesson.plan.groups.slice(0, 3).flatMap((group, place) =>
    lesson.plan.conditions.flatMap((condition, jar) =>
      [0, 2, 4, 7, 9].map((day) =>
        reading(lesson.plan, {
          group: group.id,
          condition: condition.id,
          moment: `t${day}`,
          value: day * (8 - jar) + place,
        }),
      ),
    ),
  )
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: rows })
  await openStop(page, lesson, 'results')
  await expect(page.getByRole('img', { name: /^Lines over time\. Averages: A windowsill: day 0 1\.0/ })).toBeVisible()
  await page.getByRole('tab', { name: 'Table' }).click()
  await expect(page.getByRole('row', { name: /windowsill/ }).last()).toContainText('73.0')
  await openStop(page, lesson, 'test')
  await expect(page.getByRole('textbox', { name: 'Alder, A windowsill, repeat 1, day 9', exact: true })).toHaveValue('72')
})

test('an order is weighed out at a station, words are chosen, and what cannot be read stays to be mended', async ({
  page,
  browser,
  baseURL,
}) => {
  const { newLesson, open } = client(baseURL)
  const { lesson } = await newLesson('which-is-heaviest')
  const context = await browser.newContext({ baseURL, viewport: { width: 390, height: 844 } })
  const tablet = await context.newPage()
  await joinStation(tablet, lesson.code, 'Alder')
  await tablet.getByRole('button', { name: 'Later' }).click()
  const heaviest = ['lump of clay', 'pebble', 'glue stick', 'large sponge', 'bag of corks']
  const pans = tablet.locator('.pan')
  const settled = tablet.getByRole('heading', { name: 'That settles it.' })
  const weigh = async (wrongly = false) => {
    const [left = '', right = ''] = await pans.allInnerTexts()
    const leftIsHeavier = rank(left) < rank(right)
    await pans.nth(leftIsHeavier === wrongly ? 1 : 0).click()
  }
  const rank = (text: string) => heaviest.findIndex((name) => text.includes(name))
  for (let weighing = 1; weighing <= 3; weighing += 1) {
    await weigh()
    await expect(tablet.getByText(`What we weighed (${weighing})`)).toBeVisible()
  }
  // The tablet is started anew in the middle of it.
  await tablet.reload()
  await tablet.getByRole('button', { name: 'Later' }).click()
  await expect(tablet.getByText('What we weighed (3)')).toBeVisible()
  let weighings = 3
  for (; (await pans.count()) > 0; weighings += 1) {
    await weigh()
    await expect(tablet.getByText(`What we weighed (${weighings + 1})`)).toBeVisible()
  }
  expect(weighings).toBeLessThanOrEqual(8)
  await expect(settled).toBeVisible()
  // Heaviest against lightest weighed once more, and read the wrong way round: the answers go in a loop.
  await tablet.getByText(/^What we weighed/).click()
  const between = tablet.getByRole('listitem').filter({ hasText: 'heavier than' })
  await between.first().getByRole('button', { name: 'weigh again' }).click()
  await weigh(true)
  await expect(tablet.getByText('Round and round')).toBeVisible()
  for (let tries = 0; tries < 8 && (await settled.count()) === 0; tries += 1) {
    await between
      .nth(tries % (await between.count()))
      .getByRole('button', { name: 'weigh again' })
      .click()
    await weigh()
    await expect(settled.or(tablet.getByText('Round and round')).or(pans.first()).first()).toBeVisible()
    while ((await pans.count()) > 0) await weigh()
  }
  await expect(tablet.getByRole('list', { name: 'The order, the heaviest first' }).getByRole('listitem')).toContainText(heaviest)
  await tablet.getByRole('button', { name: 'Write it down' }).click()
  await expect(tablet.getByText('5 of 10 done')).toBeVisible()
  await expect(tablet.getByText('Round 2 of 2')).toBeVisible()
  await expect.poll(async () => (await open(lesson.id)).record.readings.map(({ value }) => value)).toEqual([1, 2, 3, 4, 5])
  await openStop(page, lesson, 'test')
  await expect(cell(page, 'Alder', 'C lump of clay', 1)).toHaveValue('1st')
  await cell(page, 'Birch', 'C lump of clay', 1).fill('ninth')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('Write the place it came in')
  await cell(page, 'Birch', 'C lump of clay', 1).fill('2nd')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('row', { name: /^Birch/ })).toContainText('1 of 10')

  const damp = await lessonWith(
    baseURL,
    (plan) => {
      plan.kind = 'describe'
      plan.measures = measuredSo(plan, { way: 'words' }).measures
      plan.practice = 0
    },
    'soak-up-strips',
  )
  await tablet.getByRole('button', { name: 'Leave this station' }).click()
  await joinStation(tablet, damp.code, 'Elm')
  await tablet.getByRole('button', { name: 'Later' }).click()
  await tablet.getByRole('radio', { name: 'damp' }).click()
  await tablet.getByRole('button', { name: 'Write it down' }).click()
  await expect(tablet.getByText('1 of 12 done')).toBeVisible()
  await openStop(page, damp, 'results')
  await page.getByRole('tab', { name: 'Table' }).click()
  await expect(page.getByRole('row', { name: /kitchen roll/ }).last()).toContainText('1')
  await context.close()
})

test('predictions from two stations, each of its kind, are tallied; hands up are counted on the board', async ({
  page,
  browser,
  baseURL,
}) => {
  const { newLesson, open } = client(baseURL)
  const { lesson } = await newLesson('bounce-back')
  await openStop(page, lesson, 'predict')
  await choose(page.getByRole('combobox', { name: 'They predict' }), 'a sketched line')
  await saved(page)
  const tablets = await Promise.all(
    ['Alder', 'Birch'].map(async (group) => {
      const context = await browser.newContext({ baseURL, viewport: { width: 390, height: 844 } })
      const tablet = await context.newPage()
      await joinStation(tablet, lesson.code, group)
      return tablet
    }),
  )
  const [alder, birch] = tablets as [(typeof tablets)[number], (typeof tablets)[number]]
  // Alder draws with a finger, from low to high.
  const stamp = alder.getByRole('button', { name: 'This is our prediction' })
  await expect(stamp).toBeDisabled()
  const box = (await alder.locator('.sketch svg').boundingBox())!
  await alder.mouse.move(box.x + box.width * 0.11, box.y + box.height * 0.8)
  await alder.mouse.down()
  await alder.mouse.move(box.x + box.width * 0.5, box.y + box.height * 0.5, { steps: 5 })
  await alder.mouse.move(box.x + box.width * 0.96, box.y + box.height * 0.2, { steps: 5 })
  await alder.mouse.up()
  await alder.getByLabel('We think so because …').fill('it falls further')
  await stamp.click()
  // Birch goes point by point with the keys: all of them equally high but the first.
  const points = birch.getByRole('slider')
  await expect(points).toHaveCount(5)
  for (let place = 0; place < 5; place += 1) {
    await points.nth(place).focus()
    await birch.keyboard.press(place === 0 ? 'PageUp' : 'ArrowUp')
  }
  await birch.getByRole('button', { name: 'This is our prediction' }).click()
  await expect(page.getByRole('region', { name: 'The class so far' })).toContainText('2 of 7 groups')
  await expect(page.getByText('“because it falls further”')).toBeVisible()
  const { predictions } = (await open(lesson.id)).record
  const drawn = predictions.find(({ group }) => group === lesson.plan.groups[0]!.id)!
  expect(drawn.order).toEqual(['n120', 'n110', 'n100', 'n90', 'n80'])

  await page.goto(`/board/${lesson.id}`)
  await expect(page.getByRole('row', { name: /120\s?cm/ })).toContainText('1')
  await page.getByRole('button', { name: 'Hands up' }).click()
  for (let hands = 0; hands < 3; hands += 1) await page.getByLabel(/^One hand more for 120/).click()
  await expect(page.getByText(`3 of ${lesson.plan.children} hands`)).toBeVisible()
  await expect
    .poll(async () => (await open(lesson.id)).record.predictions.filter(({ as }) => as === 'hands').at(-1)?.values.n120)
    .toBe(3)
  for (const tablet of tablets) await tablet.context().close()
})
