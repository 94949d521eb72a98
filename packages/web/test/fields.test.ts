// @vitest-environment happy-dom
// Fields as they are typed into: what is read, what is said when it cannot be, and that nothing typed is lost.
import { clockAt } from '@omblet/core/words'
import { minutesOfDay, sayMinutes } from '@omblet/core'
import { describe, expect, it } from 'vitest'
import ChoiceField from '../src/components/ChoiceField.vue'
import DayField from '../src/components/DayField.vue'
import NumberField from '../src/components/NumberField.vue'
import RangeField from '../src/components/RangeField.vue'
import SearchField from '../src/components/SearchField.vue'
import TimeField from '../src/components/TimeField.vue'
import { isoDay, readDay } from '../src/components/day'
import { readRange } from '../src/components/range'
import { mounted } from './mounted'

const last = <T>(list: T[][] | undefined) => list?.at(-1)?.[0]

describe('a number', () => {
  const field = (props = {}) =>
    mounted(NumberField, {
      id: 'n',
      label: 'Weight',
      unit: 'g',
      modelValue: null,
      what: 'the weight',
      max: 500,
      ...props,
    })
  it.each([
    ['2,5', 2.5],
    ['2.5', 2.5],
    ['', null],
    ['1 200', null],
  ])('typed as %s is %s', async (typed, value) => {
    const f = field()
    await f.get('input').setValue(typed)
    expect(last(f.emitted('update:modelValue')) ?? null).toBe(value)
  })
  it('that is too much is said beside it, and stays as it was typed', async () => {
    const f = field()
    await f.get('input').setValue('700')
    expect(f.get('[role="alert"]').text()).toBe('The weight must be between 0 and 500\u202fg.')
    expect(f.get('input').element.value).toBe('700')
    expect(last(f.emitted('update:modelValue')) ?? null).toBeNull()
    await f.get('input').setValue('70')
    expect(f.find('[role="alert"]').exists()).toBe(false)
  })
  it('that comes from elsewhere replaces what stands there, and the same number in other words does not', async () => {
    const f = field({ modelValue: 2.5 })
    await f.get('input').setValue('2,50')
    await f.setProps({ modelValue: 2.5 })
    expect(f.get('input').element.value).toBe('2,50')
    await f.setProps({ modelValue: 3 })
    expect(f.get('input').element.value).toBe('3')
  })
})

describe('a day', () => {
  it.each(['2026-05-01', '2024-02-29'])('%s is read and written the same', (text) =>
    expect(isoDay(readDay(text)!)).toBe(text),
  )
  it.each(['', '2026-02-30', 'soon', '2026-13-01'])('%s is none', (text) => expect(readDay(text)).toBeNull())
  it('is shown as it is stored, and one that is typed is given on', async () => {
    const f = mounted(DayField, { id: 'd', label: 'Expires', modelValue: '2026-12-20' })
    expect(f.get('input').element.value).toBe('2026-12-20')
    await f.get('input').setValue('2027-01-31')
    await f.get('input').trigger('blur')
    expect(last(f.emitted('update:modelValue'))).toBe('2027-01-31')
  })
})

describe('a day that is none', () => {
  it('is said, and the day before is kept', async () => {
    const f = mounted(DayField, { id: 'd', label: 'Expires', modelValue: '2026-12-20' })
    await f.get('input').setValue('2026-02-30')
    expect(f.get('[role="alert"]').text()).toBe('“2026-02-30” does not exist. Type it as 2026-05-01.')
    await f.get('input').setValue('2027-01-31')
    expect(f.find('[role="alert"]').exists()).toBe(false)
  })
})

describe('a time', () => {
  it.each([
    ['07:30', 450],
    ['0:05', 5],
    ['23:59', 1439],
    ['24:00', null],
    ['7', null],
  ])('%s is minute %s', (text, minute) => expect(minutesOfDay(text)).toBe(minute))
  it('that is none is said', async () => {
    const f = mounted(TimeField, { label: 'Start at', modelValue: '7.30' })
    expect(f.get('[role="alert"]').text()).toContain('07:30')
    await f.setProps({ modelValue: '07:30' })
    expect(f.find('[role="alert"]').exists()).toBe(false)
  })
  it.each([
    [0, '00:00'],
    [450, '07:30'],
    [1500, '01:00, the day after'],
    [-60, '23:00, the day before'],
    [-2000, '14:40, 2 days before'],
  ])('minute %s is %s', (minute, text) => expect(clockAt(minute)).toBe(text))
  it.each([
    [5, '5 min'],
    [60, '1 h'],
    [85, '1 h 25'],
    [61.4, '1 h 01'],
  ])('%s minutes are %s', (minutes, text) => expect(sayMinutes(minutes)).toBe(text))
})

describe('a range', () => {
  const limits = { min: 0, max: 14, what: 'the pH' }
  it.each([
    ['5', '6', { value: { min: 5, max: 6 } }],
    ['', '', { value: undefined }],
    ['5', '', { error: 'Enter both ends of the range, or neither.' }],
    ['6', '5', { error: 'The first number must not be above the second.' }],
    ['x', '5', { error: 'Type the pH as a number.' }],
    ['5', '41', { error: 'The pH must be between 0 and 14.' }],
  ])('%s to %s', (low, high, read) => expect(readRange(low, high, limits)).toEqual(read))
  it('names its two ends and says what is wrong', () => {
    const f = mounted(RangeField, {
      id: 'r',
      legend: 'Target pH',
      name: 'Target',
      modelValue: { low: '6', high: '5' },
      read: readRange('6', '5', limits),
    })
    expect(f.findAll('input').map((i) => i.attributes('aria-label'))).toEqual(['Target from', 'Target to'])
    expect(f.get('[role="alert"]').text()).toContain('must not be above')
  })
})

it('a choice shows the label of its value', () => {
  const f = mounted(ChoiceField, {
    id: 'c',
    label: 'Site',
    modelValue: 'face',
    options: [
      { value: 'face', label: 'Face' },
      { value: 'hands', label: 'Hands' },
    ],
  })
  expect(f.text()).toContain('Face')
  expect(f.text()).not.toContain('Hands')
})

it('a search gives on what is typed', async () => {
  const f = mounted(SearchField, { label: 'Search batches', placeholder: 'Name', modelValue: '' })
  await f.get('input').setValue('fog')
  expect(last(f.emitted('update:modelValue'))).toBe('fog')
})
