import { useVersions as texts } from '#words/formula-versions'
import { versionTree, type VersionStory } from '@omblet/core'
import { computed, ref, shallowRef } from 'vue'
import { explainStorage } from '../../../storage/db'
import { goOnFrom, listVersions, tellVersion } from '../../../storage/formulas'
import type { VersionRecord } from '../../../storage/schema'
import { useEditor } from '../../../stores/editor'
import { useMaterials } from '../../../stores/materials'

/** The key under which the sheet as it stands is compared. */
export const SHEET = 'sheet'

/** The versions of the open formula, where each came from, and any two of them to be laid side by side. */
export function useVersions() {
  const editor = useEditor()
  const materials = useMaterials()
  const versions = shallowRef<VersionRecord[]>([])
  const problem = shallowRef<string | null>(null)
  const openId = ref<string | null>(null)
  const againstId = ref<string>(SHEET)
  /** Whether they were read; that there is none is only said then. */
  const ready = shallowRef(false)
  async function load() {
    try {
      versions.value = await listVersions(editor.id!)
      ready.value = true
    } catch (error) {
      problem.value = explainStorage(error)
      return
    }
    if (!versions.value.some((v) => v.id === openId.value)) openId.value = versions.value[0]?.id ?? null
    if (againstId.value !== SHEET && !versions.value.some((v) => v.id === againstId.value))
      againstId.value = SHEET
  }
  const tree = computed(() => versionTree(versions.value).reverse())
  const find = (id: string | null) => versions.value.find((v) => v.id === id) ?? null
  const opened = computed(() => find(openId.value))
  const parent = computed(() => tree.value.find((t) => t.version.id === openId.value)?.parent ?? null)
  const choices = computed(() => [
    { value: SHEET, label: texts.theCurrentFormula },
    ...versions.value
      .filter((v) => v.id !== openId.value)
      .map((v) => ({ value: v.id, label: texts.version(v.number, v.name ? `, ${v.name}` : '') })),
  ])
  /** The older of the two stands on the left. */
  const pair = computed(() => {
    const one = opened.value
    const other = againstId.value === SHEET ? null : find(againstId.value)
    if (!one || (!other && !editor.formula)) return null
    const a = { name: texts.version2(one.number), formula: one.formula, at: one.number }
    const b = other
      ? { name: texts.version2(other.number), formula: other.formula, at: other.number }
      : { name: texts.current, formula: editor.formula!, at: Infinity }
    const [left, right] = a.at <= b.at ? [a, b] : [b, a]
    return {
      left: { ...left, derived: materials.derive(left.formula) },
      right: { ...right, derived: materials.derive(right.formula) },
    }
  })
  async function tell(id: string, told: VersionStory & { name?: string }) {
    try {
      await tellVersion(id, told)
      problem.value = null
    } catch (error) {
      problem.value = explainStorage(error)
    }
    await load()
  }
  /** Puts a version onto the sheet, which goes on from it. */
  async function restore(version: VersionRecord) {
    editor.replace({ ...version.formula, name: editor.formula!.name })
    await editor.flush()
    await goOnFrom(editor.id!, version.id).catch((error: unknown) => (problem.value = explainStorage(error)))
  }
  return {
    ready,
    versions,
    problem,
    openId,
    againstId,
    tree,
    opened,
    parent,
    choices,
    pair,
    load,
    tell,
    restore,
  }
}
