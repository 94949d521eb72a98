import {
  catalogue as base,
  customOf,
  fieldChanges,
  derivedOf,
  firstIssue,
  knownCatalogue,
  makeSearch,
  Material,
  ownMaterial,
  shorten,
  withChanges,
  withOwn,
  writeFormula,
  type Catalogue,
  type FactChange,
  type Formula,
  type Line,
  type Lot,
  type OwnFacts,
  type OwnKnowledge,
  type Search,
} from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { plain } from '../browser/plain'
import { announce, listen, tellAll } from '../storage/channel'
import { useBin } from './bin'
import {
  changeFacts,
  deleteMaterial,
  listChanges,
  listMaterials,
  saveMaterial,
  type Saved,
} from '../storage/shelf'
import { takeRows, type ShelfRows } from '../storage/shelf-rows'
import { useLots } from './lots'

/** The most characters of a note on a material. */
const MOST_NOTE = 1000

/** The catalogue with the maker's own materials, their changes of its facts and the analyses of their lots. */
export const useMaterials = defineStore('materials', () => {
  const lots = useLots()
  const own = shallowRef<Material[]>([])
  const changes = shallowRef<FactChange[]>([])
  /** As text, so that a lot that tells nothing new does not make everything be worked out again. */
  const analyses = computed(() => JSON.stringify(lots.lots.filter((l) => l.analysis?.length)))
  const told = computed(() => JSON.parse(analyses.value) as Lot[])
  const known = computed(() => knownCatalogue({ changes: changes.value, lots: told.value }))
  const catalogue = computed<Catalogue>(() => withOwn(known.value, { own: own.value, lots: told.value }))
  /** What a worker needs to make the same catalogue. */
  const knowledge = computed<OwnKnowledge>(() => ({
    own: own.value,
    changes: changes.value,
    lots: told.value,
  }))
  const search = computed<Search>(() => makeSearch(catalogue.value.materials))
  /** What follows from a formula, worked out once for all who ask. */
  const derive = (formula: Formula) => derivedOf(formula, catalogue.value)
  /** The same with the analyses of these lots only: what went into a batch, and no other. */
  const deriveFrom = (formula: Formula, from: Lot[]) =>
    derivedOf(
      formula,
      withOwn(knownCatalogue({ changes: changes.value, lots: from }), { own: own.value, lots: from }),
    )
  const changeOf = (id: string) => changes.value.find((c) => c.id === id) ?? null

  async function load() {
    ;[own.value, changes.value] = await Promise.all([
      listMaterials().catch(() => own.value),
      listChanges().catch(() => changes.value),
    ])
  }

  /** Adds a material of one's own; it works at once, and the promise tells whether it was stored. */
  async function add(facts: OwnFacts): Promise<Material> {
    const material = ownMaterial(facts, catalogue.value)
    await put(material)
    return material
  }
  const note = (material: Material) => {
    own.value = [...own.value.filter((m) => m.id !== material.id), material]
  }
  /**
   * Adds a material of one's own, or changes what was changed since it was read as `was`; tells of fields that another tab
   * changed meanwhile, and then nothing is stored. Rejects where it could not be read again, or not be stored.
   */
  async function put(material: Material, was?: Material): Promise<Saved<Material>> {
    const checked = Material.safeParse(material)
    if (!checked.success) throw firstIssue(checked.error)
    if (!was) note(material)
    const saved = await saveMaterial(plain(material), was && plain(was))
    note('value' in saved ? saved.value : saved.here)
    announce({ type: 'material', id: material.id })
    return saved
  }
  /** Moves a material of one's own to the bin; gives back how to undo it. */
  async function remove(material: Material): Promise<(() => Promise<void>) | null> {
    const bin = await useBin().deleting(material.name, (forGood) =>
      deleteMaterial(material, new Date().toISOString(), forGood),
    )
    if (bin === null) return null
    own.value = own.value.filter((m) => m.id !== material.id)
    announce({ type: 'material', id: material.id })
    return useBin().undoOf([bin])
  }

  /** Changes what one holds of a material of the catalogue, from what stands in the store. */
  async function changeOn(id: string, make: (here: FactChange | undefined) => FactChange | null) {
    let next: FactChange | null = null
    await changeFacts(id, (here) => (next = make(here)))
    changes.value = [...changes.value.filter((c) => c.id !== id), ...(next ? [next] : [])]
    announce({ type: 'change', id })
  }
  /** Keeps these facts; of what was held before, only what was changed since it was read as `was`. */
  const change = (facts: FactChange, was: FactChange | null = changeOf(facts.id)) =>
    changeOn(facts.id, (here) =>
      here && was ? withChanges(here, fieldChanges(was, facts)).value : { ...here, ...facts },
    )
  /** Writes down with a material what a trial taught of it, behind what is told of it already. */
  async function learnOf(id: string, words: string) {
    const behind = (told: string | undefined) =>
      told?.includes(words) ? told : shorten([told, words].filter(Boolean).join(' '), MOST_NOTE)
    const mine = own.value.find((m) => m.id === id)
    if (mine) await put({ ...mine, note: behind(mine.note) }, mine)
    else await changeOn(id, (here) => ({ ...here, id, note: behind(here?.note ?? base.find(id)?.note) }))
  }
  /** Goes back to what the catalogue says. */
  const reset = (id: string) => changeOn(id, () => null)

  /** Stores the rows of a table, all or none; gives back how to undo it. */
  async function takeIn(rows: ShelfRows): Promise<() => Promise<void>> {
    const store = async (what: ShelfRows) => {
      const back = await takeRows(plain(what), new Date().toISOString())
      await tellAll({ type: 'all' })
      return back
    }
    const back = await store(rows)
    return async () => void (await store(back))
  }

  /** What a file must carry so that another machine judges a line alike. */
  function carried(line: Line): Line {
    if (line.custom) return line
    const mine = own.value.find((m) => m.id === line.material)
    if (mine) return { ...line, material: mine.name, custom: customOf(mine, catalogue.value) }
    const material = catalogue.value.find(line.material)
    if (!material || (!material.changed && !material.contains)) return line
    const change = changeOf(material.id)
    const custom = {
      ...(change?.usage ? { usage: change.usage } : {}),
      ...(change?.ph ? { ph: change.ph } : {}),
      ...(material.contains ? { contains: material.contains } : {}),
    }
    return {
      ...line,
      ...(change?.strengthPercent !== undefined && line.strengthPercent === undefined
        ? { strengthPercent: change.strengthPercent }
        : {}),
      ...(Object.keys(custom).length > 0 ? { custom } : {}),
    }
  }
  /** A formula that carries what this machine knows of its materials, so that another can read it. */
  const selfContained = (formula: Formula): Formula => ({
    ...formula,
    phases: formula.phases.map((phase) => ({ ...phase, lines: phase.lines.map(carried) })),
  })

  /** The file of a formula. */
  const exportText = (formula: Formula) => writeFormula(selfContained(formula))

  listen((message) => {
    if (['material', 'change', 'all'].includes(message.type)) return load()
  })
  return {
    own,
    changes,
    catalogue,
    knowledge,
    search,
    derive,
    deriveFrom,
    load,
    add,
    put,
    remove,
    change,
    changeOf,
    reset,
    learnOf,
    takeIn,
    selfContained,
    exportText,
  }
})
