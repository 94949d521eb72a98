// @vitest-environment happy-dom
// Addresses: each leads to its place, what has a name of its own is no id, and what is nowhere says so.
import { describe, expect, it } from 'vitest'
import { router } from '../src/app/router'

describe('addresses', () => {
  it.each([
    ['/formulas/f', 'formula', 'f'],
    ['/formulas/f/versions', 'versions', 'f'],
    ['/formulas/f/history', 'history', 'f'],
    ['/bench/b', 'batch', 'b'],
    ['/bench/b/record', 'record', 'b'],
    ['/stability/b', 'life', 'b'],
    ['/stability/b/look', 'look', 'b'],
    ['/stability/b/report', 'life-report', 'b'],
    ['/trials/t', 'trial', 't'],
    ['/trials/t/judge', 'judge', 't'],
    ['/trials/t/paper?what=make', 'trial-paper', 't'],
    ['/ingredients/glycerin', 'material', 'glycerin'],
    ['/ingredients/lots/l', 'lot', 'l'],
  ])('%s is %s of %s', (path, name, id) => {
    const { name: found, params, matched } = router.resolve(path)
    expect([found, params['id']]).toEqual([name, id])
    // the id reaches the page
    expect(matched.some((m) => m.components && m.props['default'] === true)).toBe(true)
  })
  it.each([
    ['/bench/start', 'bench-start'],
    ['/stability/look', 'look-all'],
    ['/trials/new', 'trial-new'],
    ['/ingredients/containers', 'containers'],
    ['/lost-at-sea', 'nowhere'],
    ['/bench/b/nothing', 'nowhere'],
  ])('%s is %s', (path, name) => expect(router.resolve(path).name).toBe(name))
  it('lead on from the doorstep', () => {
    expect(router.resolve('/').matched[0]!.redirect).toBe('/formulas')
    expect(router.resolve('/start').matched[0]!.redirect).toBe('/start/brief')
  })
})
