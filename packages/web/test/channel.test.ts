// What one tab tells the others.
import { describe, expect, it, vi } from 'vitest'
import { eventually } from './patience'

/** A tab of its own: the module as another page has it. */
async function tab() {
  vi.resetModules()
  return import('../src/storage/channel')
}

describe('the channel between tabs', () => {
  it('tells the others what changed, and not the one that says so', async () => {
    const [here, there] = [await tab(), await tab()]
    const heard = { here: vi.fn(), there: vi.fn() }
    here.listen(heard.here)
    there.listen(heard.there)
    here.announce({ type: 'formula', id: 'f1' })
    await eventually(() => expect(heard.there).toHaveBeenCalledOnce())
    expect(heard.there).toHaveBeenCalledWith({ type: 'formula', id: 'f1' })
    expect(heard.here).not.toHaveBeenCalled()
  })
  it('tells all, and waits until those of this tab have read it, one after the other', async () => {
    const [here, there] = [await tab(), await tab()]
    const far = vi.fn()
    there.listen(far)
    const order: string[] = []
    const slow = (name: string) => async () => {
      order.push(`${name} begins`)
      await new Promise((resolve) => setTimeout(resolve, 5))
      order.push(`${name} has read`)
    }
    here.listen(slow('first'))
    here.listen(slow('second'))
    await here.tellAll({ type: 'all' })
    expect(order).toEqual(['first begins', 'first has read', 'second begins', 'second has read'])
    await eventually(() => expect(far).toHaveBeenCalledWith({ type: 'all' }))
  })
  it('is no longer listened to by who left', async () => {
    const [here, there] = [await tab(), await tab()]
    const [left, stays] = [vi.fn(), vi.fn()]
    there.listen(left)()
    there.listen(stays)
    here.announce({ type: 'bin' })
    await eventually(() => expect(stays).toHaveBeenCalledOnce())
    expect(left).not.toHaveBeenCalled()
  })
  it('works alone where a browser has none', async () => {
    vi.stubGlobal('BroadcastChannel', undefined)
    const here = await tab()
    const heard = vi.fn()
    here.listen(heard)
    expect(() => here.announce({ type: 'bin' })).not.toThrow()
    await here.tellAll({ type: 'all' })
    expect(heard).toHaveBeenCalledOnce()
    vi.unstubAllGlobals()
  })
})
