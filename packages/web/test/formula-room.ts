import { IDBFactory } from 'fake-indexeddb'
import type { Formula } from '@omblet/core'
import { demoFormulas } from '../src/demo'
import { closeStore } from '../src/storage/db'
import { getFormula, saveFormula } from '../src/storage/formulas'
import { useContainers } from '../src/stores/containers'
import { useEditor } from '../src/stores/editor'
import { useLots } from '../src/stores/lots'
import { useMaterials } from '../src/stores/materials'
import { newPage } from './mounted'

const AT = '2026-11-26T08:00:00.000Z'
export const demo = (name: string): Formula =>
  structuredClone(demoFormulas().find((f) => f.name.startsWith(name))!)

/** A browser in which nothing is stored yet. */
export async function freshBrowser() {
  sessionStorage.clear()
  localStorage.clear()
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  newPage()
}
/** A formula stored and opened, with what the maker knows, as its room has it before a leaf is shown. */
export async function inRoom(formula: Formula, id = 'f') {
  await saveFormula(id, formula, 0, AT)
  await Promise.all([useMaterials().load(), useLots().load(), useContainers().load()])
  const editor = useEditor()
  await editor.open(id)
  return editor
}
/** What is stored of it, once everything typed is. */
export async function storedFormula(id = 'f'): Promise<Formula> {
  await useEditor().flush()
  return (await getFormula(id))!.formula
}
