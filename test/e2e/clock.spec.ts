import { cell, choose, client, expect, lessonWith, openClass, openStop, saved, test, unfold } from './house'

test('a lesson that is too long is mended with one click, and a phase is dragged with the keyboard', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => (plan.repeats = 6))
  await openStop(page, lesson, 'clock')
  await expect(page.getByText('9 minutes too long.', { exact: false }).first()).toBeVisible()
  const mends = page.getByRole('region', { name: /^What would make it fit/ })
  // What children lose least comes first: overlap, then sharing out, then fewer repeats.
  const offered = await mends.getByRole('button').allInnerTexts()
  const place = (name: RegExp) => offered.findIndex((one) => name.test(one))
  expect(place(/Share out/)).toBeLessThan(place(/repeats/))
  for (const [mend, verdict] of [
    [/^Share out/, /its:? in (?:nearly all|\d\d of 100) classes\./],
    [/^Do 3 repeats$/, /It fits: in (?:nearly all|9\d of 100) classes\./],
    [/^Make it 1\d\d minutes$/, /It fits: in (?:nearly all|9\d of 100) classes\./],
  ] as const) {
    await mends.getByRole('button', { name: mend }).click()
    await expect(page.locator('.verdict')).toHaveText(verdict)
    await page.keyboard.press('Control+z')
    await expect(mends).toBeVisible()
  }
  const edge = page.getByRole('slider', { name: 'Agree, minutes' })
  await edge.press('PageDown')
  await expect(edge).toHaveAttribute('aria-valuenow', '2')
  await expect(page.getByText('4 minutes too long.', { exact: false }).first()).toBeVisible()
  const results = page.getByRole('slider', { name: 'Results, minutes' })
  const box = (await results.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x - 200, box.y + box.height / 2, { steps: 4 })
  await page.mouse.up()
  await expect(results).toHaveAttribute('aria-valuenow', '0')
})

test('shared out, a group has only its own conditions: in the table, in the class grid and on its sheet', async ({
  page,
  baseURL,
}) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'clock')
  await page.getByRole('radio', { name: /^Share out/ }).check()
  const table = page.getByRole('group', { name: 'Who does what' })
  const conditions = ['kitchen roll', 'tissue', 'writing paper', 'card']
  const done = conditions.map(() => 0)
  const pairs = new Map<string, number>()
  for (const { name } of lesson.plan.groups) {
    const cells = await table.getByRole('row').filter({ hasText: name }).getByRole('cell').allInnerTexts()
    const own = cells.slice(0, conditions.length).flatMap((text, at) => (text.includes('trial') ? [at] : []))
    expect(own).toHaveLength(2)
    for (const at of own) done[at]! += 1
    pairs.set(own.join(), (pairs.get(own.join()) ?? 0) + 1)
  }
  expect(Math.max(...done) - Math.min(...done)).toBeLessThanOrEqual(1)
  expect([pairs.size, Math.max(...pairs.values())]).toEqual([6, 2])
  await saved(page)
  const first = await table.getByRole('row').filter({ hasText: 'Alder' }).getByRole('cell').allInnerTexts()
  await page.getByRole('link', { name: /^Test/ }).click()
  await expect(
    cell(
      page,
      'Alder',
      `${'ABCD'[first.findIndex((text) => text.includes('trial'))]} ${conditions[first.findIndex((text) => text.includes('trial'))]}`,
      1,
    ),
  ).toBeVisible()
  await expect(page.getByRole('row', { name: /Alder/ })).toContainText('0 of 6')
  const missing = first.findIndex((text) => !text.includes('trial'))
  await expect(cell(page, 'Alder', `${'ABCD'[missing]} ${conditions[missing]}`, 1)).toHaveCount(0)
})

test('a circuit takes every group everywhere once, with something to write up in between', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'clock')
  await page.getByRole('radio', { name: /^Circuit/ }).check()
  await expect(page.getByText(/^7 rounds of/)).toBeVisible()
  const table = page.getByRole('group', { name: 'Who does what' })
  const places = new Set<string>()
  for (const { name } of lesson.plan.groups) {
    const cells = (await table.getByRole('row').filter({ hasText: name }).getByRole('cell').allInnerTexts()).map((text) =>
      text.trim(),
    )
    expect([...cells].sort()).toEqual(['A', 'B', 'C', 'D', 'write up', 'write up', 'write up'])
    cells.forEach((text, round) => {
      if (text === 'write up') return
      expect(places, `two groups at ${text} in round ${round + 1}`).not.toContain(`${text}${round}`)
      places.add(`${text}${round}`)
    })
  }
  // Two of each station: the class is round sooner.
  for (const more of await page
    .getByRole('list', { name: 'Stations' })
    .getByRole('button', { name: /^One more: / })
    .all())
    await more.click()
  await expect(page.getByText(/^4 rounds of/)).toBeVisible()
  await choose(page.getByRole('combobox', { name: 'Groups move' }), 'each when it is ready')
  await expect(page.getByText(/^Ends after/)).toBeVisible()
})

test('over days: the class calendar shows what is lost, offers a better start, and is remembered', async ({ page, baseURL }) => {
  const className = `Puffin ${Date.now()}`
  const lesson = await lessonWith(
    baseURL,
    (plan) => {
      Object.assign(plan, { className, date: '2027-03-10' })
      Object.assign(plan.watch, { unit: 'day', times: [0, 2, 4] })
    },
    'sprout-watch',
  )
  await openStop(page, lesson, 'clock')
  await expect(page.getByText(/Sun 14 Mar/)).toContainText('no school')
  await page
    .getByRole('complementary')
    .getByRole('button', { name: /^Start on/ })
    .click()
  await expect(page.getByText('▲')).toHaveCount(0)
  await page.getByText(`School days of class ${className}`).click()
  await page.getByRole('button', { name: '+ a holiday' }).click()
  await page
    .getByRole('textbox', { name: /^Holiday/ })
    .first()
    .waitFor()
  await page.reload()
  await page.getByText(`School days of class ${className}`).click()
  await expect(page.getByRole('button', { name: /holiday/i }).first()).toBeVisible()
  const file = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Save for a calendar' }).click()
  expect((await file).suggestedFilename()).toMatch(/reading-days\.ics$/)
})

test('a child away changes the turns of its group at once, and the class set-up counts scarce things', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.materials = [
      { ...plan.materials[4]!, name: 'stopwatch', thing: null, stock: '5', amount: '1', per: 'group', use: 'again' },
    ]
  })
  await openStop(page, lesson, 'clock')
  await unfold(page, 'Jobs and sharing')
  const turns = page.getByRole('row', { name: /^1 / })
  await expect(turns).toHaveText(/1\s*seat 1\s*seat 2\s*seat 3\s*seat 4/)
  const set = await openClass(page)
  await set.getByRole('button', { name: 'Alder, seat 2 is away' }).click()
  await expect(set.getByText('5 × stopwatch: 5 groups, or 2 rounds.')).toBeVisible()
  await set.getByRole('button', { name: 'Done' }).click()
  await expect(turns).toHaveText(/1\s*seat 1\s*seat 3\s*seat 4\s*seat 1/)
})
