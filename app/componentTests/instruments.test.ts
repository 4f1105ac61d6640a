import { enableAutoUnmount } from '@vue/test-utils'
import { measuredSo } from '~~/test/measuredSo'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Component } from 'vue'
import { type Plan } from '~~/core/lesson'
import { type ResolvedMethod } from '~~/core/test'
import CounterDevice from '~/components/instruments/CounterDevice.vue'
import LapTimer from '~/components/instruments/LapTimer.vue'
import NumberPad from '~/components/instruments/NumberPad.vue'
import OrderedWords from '~/components/instruments/OrderedWords.vue'
import LevelInPicture from '~/components/instruments/LevelInPicture.vue'
import StopwatchDevice from '~/components/instruments/StopwatchDevice.vue'
import StreamingDevice from '~/components/instruments/StreamingDevice.vue'
import TwoReadings from '~/components/instruments/TwoReadings.vue'
import { soakUpPlan } from '~~/test/soakUp'
import { show } from './mounting'

enableAutoUnmount(afterEach)
beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

function planWith(change: Partial<ResolvedMethod>): Plan {
  return measuredSo(soakUpPlan(), change)
}
const SECONDS: Partial<ResolvedMethod> = { unit: 's', resolution: 0.1, timingWobble: 0.2, atOnce: 1 }

function take(instrument: Component, { plan = soakUpPlan(), ...more }: { plan?: Plan; device?: string; trouble?: string } = {}) {
  const usual = { modelValue: '', condition: 'tissue', device: 'pad', trouble: '', pictureOf: (id: string) => `/p/${id}` }
  return show(instrument, { ...usual, ...more, plan })
}

describe('the number pad', () => {
  it('writes digits, a point, minus and fraction, and takes the last one back', async () => {
    const pad = take(NumberPad)
    for (const key of ['minus', '6', 'point', '5', '4', 'Delete the last one']) await pad.press(key)
    expect(pad.told().at(-1)).toBe('−6.5')
    await pad.setProps({ modelValue: '' })
    for (const key of ['3', 'space, between 17 and 3/8', '1', 'over, for a fraction', '4']) await pad.press(key)
    expect(pad.told().at(-1)).toBe('3 1/4')
  })

  it('has “and” where several fill one, and “less” where something is taken off', async () => {
    const pad = take(NumberPad, { plan: planWith({ unit: 'mL', resolution: 10, eachIs: 'used' }) })
    for (const key of ['2', '5', '0', '− less', '3', '0']) await pad.press(key)
    expect(pad.told().at(-1)).toBe('250 − 30')
    expect(pad.text()).toContain('That makes 220')
    expect(take(NumberPad).text()).not.toMatch(/less|and/)
  })

  it('sends another unit along, and says what cannot be read at the field', async () => {
    const pad = take(NumberPad, { trouble: 'That is no number.' })
    await pad.find('select').setValue('cm')
    await pad.press('7')
    expect(pad.told().at(-1)).toBe('7 cm')
    expect(pad.find('[role="alert"]').text()).toBe('That is no number.')
    expect(pad.find('input').attributes('aria-invalid')).toBe('true')
  })
})

it('a stopwatch runs from press to press, in the marks of its method, and begins anew', async () => {
  const watch = take(StopwatchDevice, { plan: planWith(SECONDS) })
  await watch.press('Start')
  await vi.advanceTimersByTimeAsync(12_340)
  expect(watch.find('output').text()).toBe('12.3 s')
  await watch.press('Stop')
  expect(watch.told()).toEqual(['12.3'])
  await watch.press('Start again')
  expect(watch.told().at(-1)).toBe('')
})

it('a counter counts, takes one back, and never counts below none', async () => {
  const counter = take(CounterDevice)
  for (const key of ['One more', 'One more', 'One back', 'One more']) await counter.press(key)
  expect(counter.told()).toEqual(['1', '2', '1', '2'])
  await counter.press('From the start')
  expect(counter.told().at(-1)).toBe('')
  expect(
    counter
      .findAll('button')
      .find((one) => one.text() === 'One back')!
      .attributes('disabled'),
  ).toBeDefined()
})

it('one clock times several: each is tapped as it finishes, a tap is taken back, and all are told at once', async () => {
  const laps = show(LapTimer, { plan: planWith(SECONDS), conditions: ['tissue', 'card'] })
  await laps.press('Start all')
  const tap = (name: string) =>
    laps
      .findAll('button')
      .find((one) => one.text().includes(name))!
      .trigger('click')
  await vi.advanceTimersByTimeAsync(2000)
  await tap('card')
  await vi.advanceTimersByTimeAsync(1000)
  await laps.press('One back')
  await tap('tissue')
  await vi.advanceTimersByTimeAsync(500)
  await tap('card')
  await laps.press('Write these down')
  expect(laps.emitted('taken')).toEqual([
    [
      [
        { condition: 'tissue', value: 3 },
        { condition: 'card', value: 3.5 },
      ],
    ],
  ])
})

it('two readings make their difference, and what makes none is said', async () => {
  const two = take(TwoReadings, { device: 'start-and-finish' })
  const [start, finish] = two.findAll('input')
  await start!.setValue('12')
  expect(two.told().filter(Boolean)).toEqual([])
  await finish!.setValue('47')
  expect(two.told().at(-1)).toBe('12 to 47')
  expect(two.text()).toContain('That makes 35')
  await finish!.setValue('wet')
  expect(two.find('.trouble').exists()).toBe(true)
  const full = take(TwoReadings, { device: 'empty-and-full' })
  expect(full.findAll('label').map((one) => one.text())).toEqual(['Empty', 'Full'])
})

it('a word is chosen out of the class’s own', async () => {
  const words = take(OrderedWords, { plan: planWith({ way: 'words' }), device: 'words' })
  expect(words.find('[role="radiogroup"]').attributes('aria-label')).toBe('Which word fits?')
  await words.findAll('input')[1]!.setValue(true)
  expect(words.told()).toEqual(['damp'])
})

it('the level on a picture is moved to where it stands, and says its number and unit', async () => {
  const scale = take(LevelInPicture, { plan: planWith({ expectedLow: 0, expectedHigh: 80 }), device: 'picture' })
  expect(scale.text()).toContain('Move the level')
  const range = scale.find('input')
  expect(range.attributes('aria-label')).toBe('Level in mm')
  range.element.value = '42'
  await range.trigger('input')
  expect(scale.told()).toEqual(['42'])
  expect(range.attributes('aria-valuetext')).toMatch(/^42.mm$/)
})

it('a device that streams says that it is simulated, and the number that is taken is the one that was shown', async () => {
  const probe = take(StreamingDevice, { plan: planWith({ unit: 'degC', resolution: 0.5 }), device: 'probe' })
  expect(probe.find('output').text()).toBe('no signal')
  expect(probe.text()).toContain('Simulated')
  for (let tries = 0; tries < 50 && probe.find('output').text() === 'no signal'; tries += 1) await vi.advanceTimersByTimeAsync(500)
  const shown = Number.parseFloat(probe.find('output').text())
  await probe.press('Take this one')
  expect(Number(probe.told()[0])).toBeCloseTo(shown, 1)
})
