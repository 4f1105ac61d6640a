import { afterEach, describe, expect, it } from 'vitest'
import { enableAutoUnmount } from '@vue/test-utils'
import { LONGEST } from '~~/core/lesson'
import ChoiceField from '~/forms/ChoiceField.vue'
import GrowingField from '~/forms/GrowingField.vue'
import LongField from '~/forms/LongField.vue'
import NativeChoice from '~/forms/NativeChoice.vue'
import NewPassphrase from '~/forms/NewPassphrase.vue'
import NumberField from '~/forms/NumberField.vue'
import PickOne from '~/forms/PickOne.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import TextField from '~/forms/TextField.vue'
import TickField from '~/forms/TickField.vue'
import WhenField from '~/forms/WhenField.vue'
import { show } from './mounting'

enableAutoUnmount(afterEach)

/** Types into a field as a person does: letters, then leaving it. */
async function type(shown: ReturnType<typeof show>, text: string, field = 'input'): Promise<void> {
  await shown.find(field).setValue(text)
  await shown.find(field).trigger('change')
}

describe('a line of text', () => {
  it('is named by its label, holds what the server takes, and shows what is wrong with it', async () => {
    const shown = show(TextField, { label: 'Thing', modelValue: 'ruler' })
    const input = shown.find('input')
    expect(shown.find('label').attributes('for')).toBe(input.attributes('id'))
    expect(input.attributes('maxlength')).toBe(String(LONGEST.name))
    await input.setValue('tape')
    expect(shown.told()).toEqual(['tape'])
    await shown.setProps({ error: 'There is one already.' })
    expect(shown.text()).toContain('There is one already.')
  })

  it('that is lazy tells nothing until it is left, and takes over what comes from elsewhere', async () => {
    const shown = show(TextField, { label: 'Class', modelValue: 'Puffin', lazy: true })
    shown.find('input').element.value = 'Wren'
    await shown.find('input').trigger('input')
    expect(shown.told()).toEqual([])
    await shown.find('input').trigger('change')
    expect(shown.told()).toEqual(['Wren'])
    await shown.setProps({ modelValue: 'Heron' })
    expect(shown.find('input').element.value).toBe('Heron')
  })
})

it('text of several lines says when nothing more fits, and puts the caret on the first hole of a sentence', async () => {
  const shown = show(LongField, { label: 'Sentence', modelValue: 'We found that … because …', longest: 30 })
  ;(shown.vm as unknown as { chooseHole(): void }).chooseHole()
  const area = shown.find('textarea').element
  expect([area.selectionStart, area.selectionEnd]).toEqual([14, 15])
  await shown.find('textarea').setValue('x'.repeat(30))
  expect(shown.text()).toContain('That is all that fits here: 30 letters.')
})

it('text that is edited in its place is done with Enter, and goes on with Shift and Enter', async () => {
  const shown = show(GrowingField, { label: 'Remark', modelValue: 'it climbs' })
  await shown.find('textarea').trigger('keydown', { key: 'Enter', shiftKey: true })
  expect(shown.emitted('done')).toBeUndefined()
  await shown.find('textarea').trigger('keydown', { key: 'Enter' })
  expect(shown.emitted('done')).toHaveLength(1)
})

describe('a number', () => {
  it.each([
    ['1/2', {}, 0.5],
    ['6,3 cm', { unit: 'mm' }, 63],
    ['-4', {}, -4],
  ])('“%s” is read', async (text, props, value) => {
    const shown = show(NumberField, { label: 'Lowest', modelValue: null, ...props })
    await type(shown, text)
    expect(shown.told()).toEqual([value])
  })

  it('out of range, not whole or no number stays as it was typed, with what is wrong tied to it', async () => {
    const shown = show(NumberField, { label: 'Groups', modelValue: 7, least: 1, most: 10, whole: true })
    for (const [text, words] of [
      ['11', 'Between 1 and 10, please.'],
      ['2.5', 'A whole number, please.'],
      ['many', ''],
    ] as const) {
      await type(shown, text)
      expect(shown.find('input').element.value).toBe(text)
      const told = shown.find('[role="alert"]')
      expect(told.text()).toContain(words)
      expect(shown.find('input').attributes('aria-describedby')).toBe(told.attributes('id'))
    }
    expect(shown.told()).toEqual([])
    await type(shown, '9')
    expect(shown.told()).toEqual([9])
    expect(shown.find('[role="alert"]').exists()).toBe(false)
  })

  it('may be left empty where that means something, and goes up and down by one', async () => {
    const optional = show(NumberField, { label: 'Go round', modelValue: 3, optional: true })
    await type(optional, '')
    expect(optional.told()).toEqual([null])
    const steps = show(NumberField, { label: 'Groups', modelValue: 9, least: 1, most: 10, steps: true })
    await steps.press('One more: Groups')
    await steps.press('One more: Groups')
    await steps.press('One less: Groups')
    expect(steps.told()).toEqual([10, 9])
  })
})

it.each([
  ['day', 'date', '2027-03-12', '2027-03-12'],
  ['time', 'time', '09:05:00', '09:05'],
] as const)('a %s is told when the whole of it is there', async (is, type, typed, told) => {
  const shown = show(WhenField, { is, label: 'When', modelValue: '' })
  expect(shown.find('input').attributes('type')).toBe(type)
  await shown.find('input').setValue(typed)
  await shown.find('input').trigger('change')
  expect(shown.told()).toEqual([told])
})

it('a list shows what is chosen and is named by its label', () => {
  const options = [
    { value: 'up', title: 'used up' },
    { value: 'again', title: 'used again' },
  ]
  const shown = show(ChoiceField, { label: 'Afterwards', modelValue: 'again', options })
  expect(shown.text()).toContain('used again')
  expect(shown.find(`#${shown.find('label').attributes('for')}`).exists()).toBe(true)
})

it('a tick says yes and no, in its own words or in those of its slot', async () => {
  const shown = show(TickField, { label: 'to buy', modelValue: false }, { default: 'put it on the list' })
  expect(shown.text()).toContain('put it on the list')
  await shown.find('input').setValue(true)
  expect(shown.told()).toEqual([true])
})

it('one of a few is a named group of circles', async () => {
  const options = ['kinds', 'numbers'].map((value) => ({ value, title: value }))
  const shown = show(PickOne, { label: 'What the conditions are', modelValue: 'kinds', options })
  expect(shown.find('[role="radiogroup"]').attributes('aria-label')).toBe('What the conditions are')
  await shown.findAll('input')[1]!.setValue(true)
  expect(shown.told()).toEqual(['numbers'])
})

it('a tablet’s own list tells what is chosen', async () => {
  const options = ['pad', 'stopwatch'].map((value) => ({ value, title: value }))
  const shown = show(NativeChoice, { label: 'Measure with', modelValue: 'pad', options })
  await shown.find('select').setValue('stopwatch')
  expect(shown.told()).toEqual(['stopwatch'])
})

it('a line that adds takes Enter and leaving it, once, without what is only spaces; its example is no content', async () => {
  const shown = show(QuickAdd, { label: 'Add a thing', example: 'a shallow tray' })
  const input = shown.find('input')
  expect([input.element.value, input.attributes('placeholder')]).toEqual(['', '+ add, for example a shallow tray'])
  await input.setValue('  30 cm ruler ')
  await input.trigger('keydown', { key: 'Enter' })
  await input.trigger('blur')
  await input.setValue('   ')
  await input.trigger('blur')
  await input.setValue('clip')
  await input.trigger('blur')
  expect(shown.emitted('add')).toEqual([['30 cm ruler'], ['clip']])
})

it('a passphrase that is being chosen is long enough or not', async () => {
  const shown = show(NewPassphrase, { label: 'Passphrase', modelValue: 'kettle' })
  const whole = () => (shown.vm as unknown as { whole: boolean }).whole
  expect([whole(), shown.text()]).toEqual([false, 'Passphrase, 8 letters or more'])
  await shown.find('input').setValue('kettle on')
  expect(whole()).toBe(true)
})
