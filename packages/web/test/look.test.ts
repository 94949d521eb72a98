// @vitest-environment happy-dom
// The pieces that every page is made of: heads, cards, fields, buttons and dialogs, each with its name and its keys.
import { h, type Component } from 'vue'
import { afterEach, describe, expect, it } from 'vitest'
import ChoiceField from '../src/components/ChoiceField.vue'
import PageHead from '../src/components/PageHead.vue'
import ProductFields from '../src/components/ProductFields.vue'
import TextField from '../src/components/TextField.vue'
import TitledCard from '../src/components/TitledCard.vue'
import { PlainButton, QuietButton } from '../src/components/buttons'
import { PopUp } from '../src/components/dialogs'
import { mounted } from './mounted'
import { button, field, part, press, settled, text, type } from './screen'

afterEach(() => document.body.replaceChildren())

describe('a field', () => {
  it('is named by its label, also where two of a kind stand on a page', async () => {
    const told: [string, string][] = []
    const one = (label: string, modelValue: string) =>
      h(TextField, { label, modelValue, 'onUpdate:modelValue': (v: string) => told.push([label, v]) })
    mounted(() => [one('From', 'a'), one('To', 'b')])
    expect([field('From').value, field('To').value]).toEqual(['a', 'b'])
    expect(field('From').id).not.toBe(field('To').id)
    await type('To', 'c')
    expect(told).toEqual([['To', 'c']])
  })
  it('says what is wrong with it, and is marked as wrong for those who do not see the colour', () => {
    mounted(TextField, { label: 'Pack', modelValue: 'x', error: 'Type grams.', figure: true })
    expect(part('[role="alert"]', 'Type grams.')).toBeTruthy()
    expect(field('Pack').getAttribute('aria-invalid')).toBe('true')
    expect(field('Pack').inputMode || field('Pack').getAttribute('inputmode')).toBe('decimal')
  })
  it('of several lines keeps them', async () => {
    const note = mounted(TextField, { label: 'Note', modelValue: '', rows: 3, maxlength: 20 })
    expect(field('Note').tagName).toBe('TEXTAREA')
    await type('Note', 'one\ntwo')
    expect(note.emitted('update:modelValue')).toEqual([['one\ntwo']])
  })
  it('of choices shows the word for nothing chosen', () => {
    mounted(ChoiceField, {
      label: 'Kept in',
      modelValue: null,
      options: [
        { value: null, label: 'Not said' },
        { value: 'jar', label: 'Jar' },
      ],
    })
    expect(text()).toContain('Not said')
  })
  it('of a product tells only what was changed, and whose rules are not known here', async () => {
    const product = { kind: 'cream', site: 'face', rinse: 'leave-on', region: 'other' }
    const fields = mounted(ProductFields, { product, madeFor: true })
    expect(text()).toContain('Omblet shows the strictest rule it knows.')
    const choices = fields.findAllComponents(ChoiceField as Component)
    expect(choices.map((c) => c.get('label').text())).toEqual(['Kind', 'For', 'Use', 'Market', 'Made for'])
    choices[1]!.vm.$emit('update:modelValue', 'hands')
    choices[4]!.vm.$emit('update:modelValue', null)
    await settled()
    expect(fields.emitted('change')).toEqual([[{ site: 'hands' }], [{ for: undefined }]])
  })
})

describe('a head and a card', () => {
  it('lead up, and name what stands under them', () => {
    const head = mounted(PageHead, { title: 'Containers', up: '/ingredients', upLabel: 'Ingredients' })
    expect(button('Ingredients').getAttribute('href')).toBe('/ingredients')
    expect(head.get('h1').text()).toBe('Containers')
    const card = mounted(TitledCard, { title: 'Log', level: 2 })
    expect(card.get('section').attributes('aria-labelledby')).toBe(card.get('h2').attributes('id'))
  })
})

describe('buttons and dialogs', () => {
  it('pass on what they are given', async () => {
    let pressed = 0
    for (const [it, label] of [
      [PlainButton, 'Import'],
      [QuietButton, 'Cancel'],
    ] as const)
      mounted(() => h(it, { label, 'aria-keyshortcuts': 't', onClick: () => pressed++ }))
    await press('Import')
    await press('Cancel')
    expect(pressed).toBe(2)
    expect(button('Import').getAttribute('aria-keyshortcuts')).toBe('t')
  })
  it('close by their own button, and tell so', async () => {
    const told: boolean[] = []
    mounted(() =>
      h(
        PopUp,
        { visible: true, header: 'Keys', 'onUpdate:visible': (v: boolean) => told.push(v) },
        () => 'all of them',
      ),
    )
    await settled()
    expect(part('[role="dialog"]', 'all of them').textContent).toContain('Keys')
    document.querySelector<HTMLButtonElement>('.p-dialog-close-button')!.click()
    await settled()
    expect(told).toEqual([false])
  })
})
