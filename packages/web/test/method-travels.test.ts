import { stepTitle } from '@omblet/core/words'
// A method is the same after store, version, backup as text and another machine, for every kind of product.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { assess, benchPlan, methodOf, readFile, withKeys, writeBackup, type Formula } from '@omblet/core'
import { beforeEach, describe, expect, it } from 'vitest'
import { collectBackup } from '../src/storage/backup'
import { restoreBackup } from '../src/storage/restore'
import { closeStore } from '../src/storage/db'
import { addVersion, getFormula, listVersions, saveFormula } from '../src/storage/formulas'
import { PRODUCTS } from '../../core/test/products'

const AT = '2026-11-27T09:00:00.000Z'
const fresh = async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
}
beforeEach(fresh)

/** With what a maker does to it: a phase sent elsewhere, a step renamed, one of their own, an order. */
function touched(f: Formula): Formula {
  const keyed = withKeys(f)
  const [first] = methodOf(assess(keyed), keyed.method).steps
  const last = keyed.phases.length - 1
  return {
    ...keyed,
    phases: keyed.phases.map((p, i) =>
      i === last && last > 0 ? { ...p, goes: { into: 'batch', when: 'cool' as const } } : p,
    ),
    method: {
      ...keyed.method,
      changes: { [first!.key]: { title: 'Lay out the oilcloth', note: 'mind the tide', hands: 7 } },
      own: [{ key: 'own-1', title: 'Ring the bell', hands: 1, wait: 2 }],
      order: [first!.key, 'own-1'],
    },
  }
}
const steps = (f: Formula) => methodOf(assess(f), f.method).steps

describe('the method travels', () => {
  it.each(PRODUCTS)('of a %s', async (_name, product) => {
    const f = touched(product)
    const told = steps(f)
    expect(told.slice(0, 2).map((s) => stepTitle(s))).toEqual(['Lay out the oilcloth', 'Ring the bell'])
    await saveFormula('f', f, 0, AT)
    await addVersion('f', f, 'As it was', 'v', AT)
    await saveFormula('f', { ...f, name: 'Later name' }, 1, AT)
    expect(steps((await getFormula('f'))!.formula)).toEqual(told)

    const text = writeBackup(await collectBackup(AT))
    await fresh()
    const read = readFile(text)
    if (read.kind !== 'backup') throw new Error('no backup')
    expect(read.refused).toEqual([])
    await restoreBackup(read.backup)
    expect(steps((await getFormula('f'))!.formula)).toEqual(told)
    const [version] = await listVersions('f')
    expect(steps(version!.formula)).toEqual(told)
    // a batch begun from the version goes by the same steps
    const table = benchPlan(version!.formula).steps.map((s) => stepTitle(s))
    expect(table).toEqual(told.filter((s) => !s.later).map((s) => stepTitle(s)))
  })
})
