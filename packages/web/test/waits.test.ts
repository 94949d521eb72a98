// @vitest-environment happy-dom
// What waits: edits that are not stored, questions to a worker, the pedal at the table, the colours of the evening.
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import { useNewest } from '../src/composables/newest'
import { useUnstored } from '../src/browser/unstored'
import { useRunKeys } from '../src/features/bench/run/use-run-keys'

vi.mock('comlink', () => ({
  wrap: (worker: object) => Object.create(worker) as unknown,
  expose: () => undefined,
}))

let scope: EffectScope
const within = <T>(work: () => T) => scope.run(work)!
beforeEach(() => {
  vi.useFakeTimers()
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
  document.body.replaceChildren()
})

describe('what is not stored', () => {
  const leaving = () => !window.dispatchEvent(new Event('beforeunload', { cancelable: true }))
  it('is asked about before the page is left, and only while there is any', () => {
    let any = true
    within(() => useUnstored(() => any, vi.fn()))
    expect(leaving()).toBe(true)
    any = false
    expect(leaving()).toBe(false)
  })
  it('is tried again ten seconds later, once however often that was asked for, and when the page is seen', () => {
    const again = vi.fn()
    const { later } = within(() => useUnstored(() => true, again))
    later()
    vi.advanceTimersByTime(6000)
    later()
    vi.advanceTimersByTime(9990)
    expect(again).not.toHaveBeenCalled()
    vi.advanceTimersByTime(20)
    expect(again).toHaveBeenCalledOnce()
    document.dispatchEvent(new Event('visibilitychange'))
    expect(again).toHaveBeenCalledTimes(2)
  })
  it('asks and tries nothing once its place is left', () => {
    const again = vi.fn()
    within(() => useUnstored(() => true, again)).later()
    scope.stop()
    vi.advanceTimersByTime(60_000)
    expect(again).not.toHaveBeenCalled()
    expect(leaving()).toBe(false)
  })
})

describe('a question to a worker', () => {
  /** A worker that answers when it is told to. */
  const slow = () => {
    const asked: string[] = []
    const answers: ((it: string | Error) => void)[] = []
    const ended = vi.fn()
    const api = {
      tell: (what: string) => {
        asked.push(what)
        return new Promise<string>((resolve, reject) => {
          answers.push((it) => (it instanceof Error ? reject(it) : resolve(it)))
        })
      },
      terminate: ended,
    }
    const request = ref<string | null>(null)
    const asking = within(() =>
      useNewest<typeof api, string, string>(request, {
        worker: () => api as unknown as Worker,
        ask: (remote, wanted) => (remote as unknown as typeof api).tell(wanted),
        restMs: 100,
      }),
    )
    const want = async (it: string | null, rests = 100) => {
      request.value = it
      await nextTick()
      await vi.advanceTimersByTimeAsync(rests)
    }
    const answered = async (it: string | Error) => {
      answers.shift()!(it)
      await vi.advanceTimersByTimeAsync(0)
    }
    return { asked, ended, asking, want, answered }
  }
  it('is asked when the typing rests', async () => {
    const { asked, want } = slow()
    await want('t', 40)
    await want('ti', 40)
    await want('tide')
    expect(asked).toEqual(['tide'])
  })
  it('waits while one is under way, and of those that wait only the newest is asked', async () => {
    const { asked, asking, want, answered } = slow()
    for (const word of ['fog', 'rain', 'hail']) await want(word)
    expect(asked).toEqual(['fog'])
    await answered('of fog')
    expect(asking.answer.value).toBeNull() // nobody asks for fog any more
    expect(asking.busy.value).toBe(true)
    await answered('of hail')
    expect(asked).toEqual(['fog', 'hail'])
    expect([asking.answer.value, asking.busy.value]).toEqual(['of hail', false])
  })
  it('that is taken back has no answer, also not late', async () => {
    const { asking, want, answered } = slow()
    await want('fog')
    await want(null)
    await answered('of fog')
    expect(asking.answer.value).toBeNull()
  })
  it('that fails says so until one is answered', async () => {
    const { asking, want, answered } = slow()
    await want('fog')
    await answered(new Error('lost'))
    expect([asking.failed.value, asking.busy.value]).toEqual([true, false])
    await want('rain')
    await answered('of rain')
    expect([asking.failed.value, asking.answer.value]).toEqual([false, 'of rain'])
  })
  it('says so too where the worker cannot be begun, and is ready for the next', async () => {
    const request = ref<string | null>('fog')
    let begun = 0
    const { failed, busy, answer } = within(() =>
      useNewest<object, string, string>(request, {
        worker: () => {
          if (++begun === 1) throw new Error('no such part')
          return { terminate: vi.fn() } as unknown as Worker
        },
        ask: (_remote, wanted) => Promise.resolve(`of ${wanted}`),
      }),
    )
    await vi.advanceTimersByTimeAsync(5)
    expect([failed.value, busy.value]).toEqual([true, false])
    request.value = 'rain'
    await nextTick()
    await vi.advanceTimersByTimeAsync(5)
    expect([failed.value, answer.value]).toEqual([false, 'of rain'])
  })
  it('that is given up is forgotten with its worker, and the next is asked anew', async () => {
    const { asked, ended, asking, want, answered } = slow()
    await want('fog')
    asking.stop()
    expect(ended).toHaveBeenCalledOnce()
    await want('rain')
    await answered('of fog')
    expect(asking.answer.value).toBeNull()
    await answered('of rain')
    expect([asking.answer.value, asked]).toEqual(['of rain', ['fog', 'rain']])
  })
})

describe('keys at the table', () => {
  const table = (listens = true) => {
    const did: string[] = []
    within(() =>
      useRunKeys({
        listens: () => listens,
        forward: () => did.push('forward'),
        back: () => did.push('back'),
        open: (which) => did.push(which),
      }),
    )
    const press = (key: string, init: KeyboardEventInit = {}, on: Element = document.body) =>
      on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...init }))
    return { did, press }
  }
  it('go on with the pedal wherever the caret stands, and once for a pedal that is held down', () => {
    const { did, press } = table()
    const field = document.body.appendChild(document.createElement('input'))
    expect(press('PageDown', {}, field)).toBe(false) // the page itself stays where it is
    press('PageDown', { repeat: true }, field)
    press('PageUp')
    expect(did).toEqual(['forward', 'back'])
  })
  it('open what they name, but are letters in a field and nothing with Ctrl', () => {
    const { did, press } = table()
    const field = document.body.appendChild(document.createElement('input'))
    for (const key of ['w', 'n', 'i', 's', '?', 'x', 'toString']) press(key)
    press('w', {}, field)
    press('w', { ctrlKey: true })
    expect(did).toEqual(['rescue', 'note', 'instruments', 'skip', 'keys'])
  })
  it('do nothing while something else is asked', () => {
    const { did, press } = table(false)
    press('PageDown')
    press('w')
    expect(did).toEqual([])
  })
})

describe('the colours', () => {
  const dark = () => document.documentElement.classList.contains('dark')
  it('are those of the device until some are chosen, and the choice is kept', async () => {
    localStorage.clear()
    vi.resetModules()
    const first = await import('../src/browser/dark')
    first.startTheme()
    expect(dark()).toBe(false)
    first.setTheme('dark')
    expect(dark()).toBe(true)
    await nextTick()
    expect(localStorage.getItem('omblet-theme')).toBe('dark')
    vi.resetModules()
    const reload = await import('../src/browser/dark')
    expect(reload.isDark.value).toBe(true)
  })
  it('are those of the device where what is kept makes no sense', async () => {
    localStorage.setItem('omblet-theme', 'plaid')
    vi.resetModules()
    expect((await import('../src/browser/dark')).isDark.value).toBe(false)
  })
})
