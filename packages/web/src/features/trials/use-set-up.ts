import {
  attributesFor,
  computeAmounts,
  formulaFault,
  ownAttribute,
  parseNumber,
  planTrial,
  questionsOf,
  sayPercent,
  trialFault,
  trialWarnings,
  usualAttributes,
  whatDiffers,
  type Formula,
  type Option,
  type PlannedTrial,
  type TrialAttribute,
  type TrialWish,
  type VariantWish,
  type Varies,
} from '@omblet/core'
import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { useDesign } from '../../composables/design'
import { makeId } from '../../storage/channel'
import { listVersions } from '../../storage/formulas'
import type { VersionRecord } from '../../storage/schema'
import { useLibrary } from '../../stores/library'
import { useMaterials } from '../../stores/materials'

export const VARIES: readonly { value: Varies; label: string; what: string }[] = [
  { value: 'emulsifier', label: 'Emulsifier', what: 'the emulsifier' },
  { value: 'thickener', label: 'Thickener', what: 'the thickener' },
  { value: 'material', label: 'Another material', what: 'one material' },
  { value: 'level', label: 'How much of a material', what: 'the amount' },
  { value: 'school', label: 'A step of the method', what: 'the method' },
  { value: 'version', label: 'Versions', what: 'the version' },
  { value: 'jar', label: 'A bought product', what: 'the jar' },
]
/** So many are offered before all are. */
const FIRST = 8
const USUAL_GRAMS = 60
/** Stands for no choice in a field. */
export const NONE = 'none'
/** The key of a product that was bought, which has no formula. */
export const BOUGHT = 'bought'

/** Levels as they are typed: numbers with comma or dot, apart by a semicolon or a space. */
export function readLevels(text: string): number[] {
  const numbers = text.split(/[;\s]+/).filter(Boolean).map((t) => parseNumber(t, { min: 0, max: 100, what: 'a level' })) // prettier-ignore
  return [...new Set(numbers.flatMap((n) => ('value' in n && n.value !== null ? [n.value] : [])))]
}
/** Names as they are typed, apart by a comma or a new line. */
export const readNames = (text: string) => text.split(/[,;\n]+/).map((n) => n.trim()).filter(Boolean) // prettier-ignore

export interface Chosen {
  key: string
  name: string
  formula: Formula | null
}

/** How a trial is set up: what is varied in which formula, who judges, and what. */
export function useSetUp(start: { formula?: string; varies?: Varies; pick?: readonly string[] }, asker = useOptions) {
  const library = useLibrary()
  const materials = useMaterials()
  const formulaId = ref<string | null>(start.formula ?? null)
  const record = computed(() => library.records.find((r) => r.id === formulaId.value) ?? null)
  const formula = computed(() => record.value?.formula ?? null)
  const assessment = computed(() => (formula.value ? materials.derive(formula.value).assessment : null))
  const varies = ref<Varies>(start.varies ?? 'emulsifier')
  const line = ref<number | null>(null)
  const levels = ref('')
  const school = ref<string | null>(null)
  const picked = ref<string[]>([...(start.pick ?? [])])
  const bought = ref('')
  const reference = ref<string | null>(null)
  const grams = ref<number | null>(USUAL_GRAMS)
  const name = ref('')
  const people = ref('')
  const rounds = ref<number | null>(1)
  const asked = ref<string[]>([])
  const own = ref<TrialAttribute[]>([])
  const decides = ref<string | null>(null)
  const triangle = ref(false)
  const pair = ref(false)

  const lines = computed(() =>
    (assessment.value?.lines ?? []).flatMap((l, i) => (l.fill || !l.given ? [] : [{ value: i, label: `${l.label}, ${Number(l.percent.toFixed(3))} %` }])),
  )
  const schools = computed(() => (assessment.value ? questionsOf(assessment.value) : []))
  const versions = shallowRef<VersionRecord[]>([])
  watch(formulaId, async (id) => {
    versions.value = id ? await listVersions(id).catch(() => []) : []
  }, { immediate: true })
  // another formula or another question begins with nothing chosen
  watch([formulaId, varies, line, school], () => {
    picked.value = []
    reference.value = null
  })
  watch(varies, () => {
    line.value = null
    school.value = schools.value[0]?.key ?? null
  })
  watch(line, (at) => {
    const percent = at === null ? null : assessment.value?.lines[at]?.percent
    if (varies.value === 'level' && percent) levels.value = [percent / 2, percent, percent * 1.5].map((p) => Number(p.toPrecision(3))).join('; ')
  })
  const kind = computed(() => formula.value?.product.kind)
  watch(kind, (now) => {
    if (now) asked.value = usualAttributes(now).map((a) => a.id)
  }, { immediate: true })

  const request = computed<VariantWish | null>(() => {
    if (!formula.value || ['version', 'jar'].includes(varies.value)) return null
    if (['material', 'level'].includes(varies.value) && line.value === null) return null
    const wish: VariantWish = { formula: formula.value, varies: varies.value }
    if (line.value !== null) wish.line = line.value
    if (varies.value === 'level') wish.percents = readLevels(levels.value)
    if (school.value) wish.school = school.value
    return wish
  })
  const { answer, busy, failed } = asker(request)
  const asIs = (key: string, label: string, f: Formula): Option => ({ key, label, percent: null, current: key === 'sheet', formula: f, stops: 0, checks: 0, says: '' })
  const options = computed<Option[]>(() => {
    if (!formula.value) return []
    const sheet = asIs('sheet', 'As it is on the sheet', formula.value)
    if (varies.value === 'jar') return [sheet]
    if (varies.value === 'version') return [sheet, ...versions.value.map((v) => asIs(v.id, `Version ${v.number}${v.name ? `, ${v.name}` : ''}`, v.formula))]
    return answer.value ?? []
  })
  watch(options, (list) => {
    if (list.length === 0) return
    // what is in use stands in every comparison; levels and schools are all meant
    if (picked.value.length === 0)
      picked.value = list
        .filter((o) => o.current || ['level', 'school', 'jar'].includes(varies.value))
        .map((o) => o.key)
    reference.value ??= list.find((o) => o.current)?.key ?? null
  }, { immediate: true })
  const all = ref(false)
  const offered = computed(() => {
    if (all.value || options.value.length <= FIRST) return options.value
    return options.value.filter((o, i) => i < FIRST || o.current || picked.value.includes(o.key))
  })
  /** The one that the others are held against comes first. */
  const chosen = computed<Chosen[]>(() => {
    const list: Chosen[] = options.value
      .filter((o) => picked.value.includes(o.key))
      .map((o) => ({ key: o.key, name: o.percent === null || varies.value === 'level' ? o.label : `${o.label}, ${sayPercent(o.percent)}`, formula: o.formula }))
    if (bought.value.trim()) list.push({ key: BOUGHT, name: bought.value.trim(), formula: null })
    return [...list.filter((c) => c.key === reference.value), ...list.filter((c) => c.key !== reference.value)]
  })
  const what = computed(() => {
    const { what: usual } = VARIES.find((v) => v.value === varies.value)!
    if (varies.value === 'school') return schools.value.find((s) => s.key === school.value)?.label.toLowerCase() ?? usual
    const of = line.value === null ? undefined : assessment.value?.lines[line.value]?.label
    return varies.value === 'level' && of ? `the amount of ${of}` : varies.value === 'material' && of ? `what stands for ${of}` : usual
  })
  const hair = computed(() => formula.value?.product.site === 'hair' || formula.value?.product.site === 'scalp')
  const attributes = computed(() => [...attributesFor(hair.value), ...own.value])
  /** Those of the product and of one's own come first; one that was taken out can be put back. */
  const first = computed(() => new Set([...(kind.value ? usualAttributes(kind.value) : []), ...own.value].map((a) => a.id)))
  const differs = computed(() => whatDiffers(chosen.value.flatMap((c) => (c.formula ? [c.formula] : [])), varies.value, (id) => materials.catalogue.find(id)?.name ?? id))
  const usualName = computed(() => (formula.value ? `${VARIES.find((v) => v.value === varies.value)!.label} of ${formula.value.name}` : ''))

  const wish = computed<TrialWish | null>(() => {
    if (!formula.value || formulaId.value === null) return null
    const at = chosen.value.findIndex((c) => c.key === reference.value)
    const against = at >= 0 ? at : 0
    const pairs = chosen.value.flatMap((_, i) => (i === against ? [] : [i]))
    return {
      id: '', name: name.value.trim() || usualName.value, now: '', seed: 0,
      of: { id: formulaId.value, name: formula.value.name },
      product: { kind: formula.value.product.kind, hair: hair.value },
      varies: varies.value, what: what.value, batchGrams: grams.value ?? 0,
      samples: chosen.value.map((c) => ({ name: c.name, formula: c.formula && materials.selfContained(c.formula) })),
      reference: at >= 0 ? at : null,
      attributes: attributes.value.filter((a) => asked.value.includes(a.id)),
      decides: decides.value, people: readNames(people.value), rounds: rounds.value ?? 0,
      choosing: [
        ...(triangle.value ? pairs.map((b) => ({ kind: 'triangle' as const, a: against, b })) : []),
        ...(pair.value ? pairs.map((b) => ({ kind: 'pair' as const, a: against, b })) : []),
      ],
    }
  })
  const fault = computed(() => (wish.value ? (trialFault(wish.value) ?? chosen.value.flatMap((c) => (c.formula ? [formulaFault(c.formula)] : [])).find((f) => f !== null) ?? null) : 'Choose a formula.'))
  const warnings = computed(() => (wish.value && chosen.value.length > 1 ? trialWarnings(wish.value, materials.catalogue) : []))
  function addOwn(title: string, low: string, high: string) {
    const attribute = ownAttribute(title.trim(), low.trim(), high.trim(), own.value)
    own.value = [...own.value, attribute]
    asked.value = [...asked.value, attribute.id]
  }
  /** The trial as it is set up; null where something is missing. */
  const plan = (now = new Date()): PlannedTrial | null =>
    wish.value && !fault.value ? planTrial({ ...wish.value, id: makeId(), now: now.toISOString(), seed: crypto.getRandomValues(new Int32Array(1))[0]! }) : null

  return { formulaId, formula, varies, line, lines, levels, school, schools, picked, offered, options, all, bought, reference, grams, name, usualName, people, rounds, asked, attributes, first, decides, triangle, pair, chosen, differs, wish, fault, warnings, busy, failed, addOwn, plan, what, hasLines: computed(() => !!formula.value && computeAmounts(formula.value).lines.length > 0) }
} // prettier-ignore

/** Options come from the worker: each candidate is judged in the whole formula. */
export const useOptions = (request: Readonly<Ref<VariantWish | null>>) =>
  useDesign(request, (worker, wish) => worker.variants(JSON.parse(JSON.stringify(wish)) as VariantWish))
