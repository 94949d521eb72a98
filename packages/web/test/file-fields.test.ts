// @vitest-environment happy-dom
// Files that are chosen and photographs that are taken: handed on once, and the same one can be chosen again.
import { afterEach, describe, expect, it, vi } from 'vitest'
import FileButton from '../src/components/FileButton.vue'
import PhotoField from '../src/components/PhotoField.vue'
import { mounted } from './mounted'
import { button, press } from './screen'

afterEach(() => document.body.replaceChildren())
const file = (name: string) => new File(['x'], name, { type: 'text/csv' })
/** Chooses files as the browser's own dialog does. */
function choose(input: HTMLInputElement, files: File[]) {
  Object.defineProperty(input, 'files', { value: files, configurable: true })
  input.dispatchEvent(new Event('change'))
}

describe('a button for files', () => {
  it('opens the field that it hides, and hands on what was chosen', async () => {
    const picked = vi.fn()
    const field = mounted(FileButton, {
      label: 'Import',
      accept: '.csv',
      testid: 'pick',
      multiple: true,
      onPicked: picked,
    })
    const input = field.get<HTMLInputElement>('[data-testid="pick"]').element
    const opened = vi.spyOn(input, 'click')
    expect(button('Import').type).toBe('button') // never sends the form around it
    await press('Import')
    expect(opened).toHaveBeenCalledOnce()
    expect([input.accept, input.multiple, input.hidden]).toEqual(['.csv', true, true])
    const [one, two] = [file('one.csv'), file('two.csv')]
    choose(input, [one, two])
    expect(picked).toHaveBeenCalledExactlyOnceWith(one, [one, two])
    expect(input.value).toBe('')
  })
  it('says nothing where the dialog was closed', () => {
    const picked = vi.fn()
    const field = mounted(FileButton, { label: 'Import', testid: 'pick', onPicked: picked })
    choose(field.get<HTMLInputElement>('input').element, [])
    expect(picked).not.toHaveBeenCalled()
  })
})

describe('a photograph', () => {
  it('is taken on the spot and handed on', () => {
    const picked = vi.fn()
    const field = mounted(PhotoField, { label: 'Add a photo', testid: 'photo', onPicked: picked })
    const input = field.get<HTMLInputElement>('input').element
    expect(field.get('label').text()).toBe('Add a photo')
    expect([input.accept, input.getAttribute('capture')]).toEqual(['image/*', 'environment'])
    const jar = new File(['x'], 'jar.png', { type: 'image/png' })
    choose(input, [jar])
    expect(picked).toHaveBeenCalledExactlyOnceWith(jar)
  })
})
