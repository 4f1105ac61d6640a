import { cell, enterNumber, expect, joinStation, openClass, openStop, saved, test } from './house'

/** A new user's way through all eight stops, from an empty lesson to a printed conclusion, with a station and the board. */
test('an empty lesson becomes a class conclusion', async ({ page, browser, context }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'New lesson' }).click()
  await page.getByRole('button', { name: 'From nothing: begin' }).click()

  await test.step('wonder', async () => {
    await page.getByLabel('Name of the lesson').fill('Bounce back')
    await page.getByLabel('The hook').fill('Two balls fall, one comes back higher.')
    await page.getByRole('textbox', { name: 'Add to Noticed' }).fill('one bounced higher')
    await page.keyboard.press('Enter')
    await page.getByRole('textbox', { name: 'Add to Wondered' }).fill('does a longer fall make a higher bounce?')
    await page.keyboard.press('Enter')
    await expect(
      page.getByRole('region', { name: 'Noticed' }).getByRole('textbox', { name: 'Noticed: one bounced higher' }),
    ).toBeVisible()
    await page.getByRole('link', { name: 'Choose the cards for it' }).click()
  })

  await test.step('plan', async () => {
    await expect(page.getByRole('heading', { name: 'One card into “Change”' })).toBeVisible()
    for (const factor of ['the drop height', 'the ball', 'the floor']) {
      await page.getByRole('textbox', { name: 'Add a thing we could change' }).fill(factor)
      await page.keyboard.press('Enter')
    }
    await page.getByRole('button', { name: 'More for the drop height' }).focus()
    await page.keyboard.press('c')
    await page.getByRole('textbox', { name: 'Add a thing we could measure' }).fill('how high it bounces')
    await page.keyboard.press('Enter')
    await expect(page.getByText('How does the drop height change how high it bounces?')).toBeVisible()

    await page.getByRole('radio', { name: 'numbers' }).check()
    for (const height of ['50 cm', '1 m', '150']) {
      await page.getByRole('textbox', { name: 'Add a condition' }).fill(height)
      await page.keyboard.press('Enter')
    }
    await expect(page.getByRole('heading', { name: 'The ball can drift' })).toBeVisible()
    await page.getByLabel('How the ball is kept the same').fill('the same tennis ball')
    await page.getByLabel('How the floor is kept the same').fill('hall floor')
    await expect(page.getByText('All 3 pairs are fair.')).toBeVisible()

    await page.getByLabel('Lowest result we expect').fill('30')
    await page.getByLabel('Highest result we expect').fill('90')
    await page.keyboard.press('Enter')
    await expect(page.getByText(/As planned it comes out clear in nearly 100 in 100 classes like yours/)).toBeVisible()
    await page.getByText('How we measure').click()
    await page.getByLabel('Measured with').fill('metre stick')
    const set = await openClass(page)
    await page.getByRole('textbox', { name: 'Groups', exact: true }).fill('2')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('textbox', { name: 'Name of group 2' })).toHaveValue('Birch')
    await set.getByRole('button', { name: 'Done' }).click()
  })

  await test.step('kit', async () => {
    await page.keyboard.press('Escape')
    await page.getByRole('link', { name: /^Kit/ }).click()
    await page.getByLabel('Add a thing to the kit').fill('tennis ball')
    await page.keyboard.press('Enter')
    await page.getByLabel('Amount of tennis ball').fill('1 ball')
    await expect(page.getByRole('row', { name: /tennis ball/ }).getByRole('cell', { name: '2', exact: true })).toBeVisible()
    await expect(page.getByText("Your own school's rules, your local regulations")).toBeVisible()
  })

  await test.step('clock', async () => {
    await page.getByRole('link', { name: /^Clock/ }).click()
    await page.getByLabel('Day', { exact: true }).fill('2026-12-03')
    await page.getByLabel('Starts at').fill('09:50')
    await page.getByLabel('Run (wait or do)').fill('10')
    await page.getByLabel('Reset (dry and clear)').fill('1 min 20 s')
    await page.keyboard.press('Enter')
    // 12 trials of 90 s and 36 minutes of everything else.
    await expect(page.getByText(/its:? in .+ classes\./).first()).toBeVisible()
    await expect(page.getByText(/it should end at 10:\d\d, the bell is at 10:50\./)).toBeVisible()
    await saved(page)
  })

  await test.step('predict, at the desk and at a station', async () => {
    await page.getByRole('link', { name: /^Predict/ }).click()
    await page.getByRole('button', { name: 'Take it down: Alder' }).click()
    for (const height of [/^150/, /^100/, /^50/]) await page.getByRole('button', { name: height }).click()
    await page.getByLabel('We think so because …').fill('it falls faster')
    await page.getByRole('button', { name: 'Stamp it' }).click()
    await expect(page.getByText(/150\scm, 100\scm, 50\scm/)).toBeVisible()
  })

  const id = /lesson\/([^/]+)\//.exec(page.url())![1]!
  await page.getByRole('link', { name: /^Test/ }).click()
  const code = (await page.locator('.bar .code').innerText()).trim()
  const board = await context.newPage()
  await board.goto(`/board/${id}`)
  const tablet = await browser.newContext({ viewport: { width: 390, height: 844 }, baseURL: new URL(page.url()).origin })
  const station = await tablet.newPage()

  await test.step('test: a reading at the station appears on board and desk by itself', async () => {
    await joinStation(station, code.toLowerCase(), 'Birch')
    await station.getByRole('button', { name: 'Later' }).click()
    await station.getByRole('button', { name: 'Start the trials that count' }).click()
    // Every group has its own order: Birch begins with the second height.
    await enterNumber(station, '56')
    await expect(board.getByText('Last in: Birch, B 100')).toBeVisible()
    await expect(board.getByRole('row', { name: /Birch/ })).toContainText('1 of 9')
    await expect(cell(page, 'Birch', 'B 100\u202fcm', 1)).toHaveValue('56')

    const values = { 'A 50\u202fcm': [27, 29, 28], 'B 100\u202fcm': [55, 57, 54], 'C 150\u202fcm': [80, 83, 82] }
    for (const [condition, results] of Object.entries(values)) {
      for (const [place, value] of results.entries()) {
        for (const group of ['Alder', 'Birch']) {
          if (group === 'Birch' && condition.startsWith('B') && place === 0) continue
          await cell(page, group, condition, place + 1).fill(String(value + (group === 'Birch' ? 1 : 0)))
          await page.keyboard.press('Enter')
        }
      }
    }
    await expect(page.getByText('9 of 9')).toHaveCount(2)
    await expect(station.getByRole('heading', { name: 'All written down' })).toBeVisible()
  })

  await test.step('results', async () => {
    await page.getByRole('link', { name: /^Results/ }).click()
    await expect(page.getByRole('heading', { name: 'Clear' })).toBeVisible()
    await expect(page.getByText('2 of 2 groups found 150\u202fcm the highest.')).toBeVisible()
    await expect(page.getByRole('img', { name: /^Points with a line\. Averages: A 50/ })).toBeVisible()
    await page.getByRole('tab', { name: 'Table' }).click()
    await expect(page.getByRole('row', { name: /150/ }).first()).toContainText('82.2')
    await expect(board.getByText(/^Clear\./)).toBeVisible()
  })

  await test.step('agree', async () => {
    await page.getByRole('link', { name: /^Agree/ }).click()
    await page.getByRole('button', { name: /^We found that the drop height changes/ }).click()
    await expect(page.getByText(/The table has|Claims more/)).toHaveCount(0)
    await page.getByLabel('Hands up for it').fill('25')
    await page.keyboard.press('Tab')
    await page.getByRole('button', { name: 'We agree on this' }).click()
    await expect(page.getByRole('button', { name: 'Agreed', exact: true })).toBeVisible()
    await expect(board.getByText(/25 hands up/)).toBeVisible()
  })

  await test.step('the report fits on one page', async () => {
    await page.goto(`/print/${id}/report`)
    await expect(page.getByRole('heading', { name: 'Bounce back' })).toBeVisible()
    await expect(page.locator('.paper-chart svg')).toBeVisible()
    const pdf = await page.pdf({ format: 'A4', preferCSSPageSize: false })
    expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1)
  })

  await openStop(page, id, 'wonder')
  await expect(page.getByRole('img', { name: /ready/ }).or(page.getByText('Jolly Beaker')).first()).toBeVisible()
  await tablet.close()
})
