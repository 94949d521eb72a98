import { useSetUp as texts } from '#words/trials'
import { trialFaultText, optionName } from '@omblet/core/words'
import {
  formulaFault,
  planTrial,
  sayPercent,
  trialFault,
  trialWarnings,
  whatDiffers,
  type Formula,
  type PlannedTrial,
  type TrialWish,
  type Varies,
} from '@omblet/core'
import { computed, ref, watch } from 'vue'
import { makeId } from '../../storage/channel'
import { useMaterials } from '../../stores/materials'
import { usePanel } from './use-panel'
import { useVaried, variesOf } from './use-varied'
import { readNames } from './words'

/** So many are offered before all are. */
const FIRST = 8
const USUAL_GRAMS = 60
/** Stands for no choice in a field. */
export const NONE = 'none'
/** The key of a product that was bought, which has no formula. */
export const BOUGHT = 'bought'

export interface Chosen {
  key: string
  name: string
  formula: Formula | null
}
interface Start {
  formula?: string
  varies?: Varies
  pick?: readonly string[]
}

/** Which of what could be compared is, and what the others are held against. */
function usePicked(varied: ReturnType<typeof useVaried>, start: Start) {
  const { formulaId, varies, line, school, options } = varied
  /** Keys that the maker ticked, and those that the maker took away: what comes later undoes neither. */
  const ticked = ref<ReadonlySet<string>>(new Set(start.pick))
  const unticked = ref<ReadonlySet<string>>(new Set())
  /** What is in use stands in every comparison; levels and schools are all meant. */
  const isMeant = (o: { key: string; current: boolean }) =>
    o.current || ['level', 'school', 'jar'].includes(varies.value)
  const picked = computed({
    get: () =>
      options.value
        .filter((o) => ticked.value.has(o.key) || (isMeant(o) && !unticked.value.has(o.key)))
        .map((o) => o.key),
    set: (keys: string[]) => {
      const gone = options.value.map((o) => o.key).filter((key) => !keys.includes(key))
      ticked.value = new Set([...ticked.value, ...keys].filter((key) => !gone.includes(key)))
      unticked.value = new Set([...unticked.value, ...gone].filter((key) => !keys.includes(key)))
    },
  })
  const bought = ref('')
  const reference = ref<string | null>(null)
  const all = ref(false)
  // another formula or another question begins with nothing chosen
  watch([formulaId, varies, line, school], () => {
    ticked.value = new Set()
    unticked.value = new Set()
    reference.value = null
  })
  watch(
    options,
    (list) => {
      if (list.length === 0) return
      reference.value ??= list.find((o) => o.current)?.key ?? null
    },
    { immediate: true },
  )
  const offered = computed(() => {
    if (all.value || options.value.length <= FIRST) return options.value
    return options.value.filter((o, i) => i < FIRST || o.current || picked.value.includes(o.key))
  })
  /** The one that the others are held against comes first. */
  const chosen = computed<Chosen[]>(() => {
    const list: Chosen[] = options.value
      .filter((o) => picked.value.includes(o.key))
      .map((o) => ({
        key: o.key,
        name:
          o.percent === null || varies.value === 'level'
            ? optionName(o)
            : `${optionName(o)}, ${sayPercent(o.percent)}`,
        formula: o.formula,
      }))
    if (bought.value.trim()) list.push({ key: BOUGHT, name: bought.value.trim(), formula: null })
    const isReference = (c: Chosen) => c.key === reference.value
    return [...list.filter(isReference), ...list.filter((c) => !isReference(c))]
  })
  return { picked, bought, reference, all, offered, chosen }
}

/** How a trial is set up: what is varied in which formula, who judges, and what. */
export function useSetUp(start: Start, asker?: Parameters<typeof useVaried>[1]) {
  const materials = useMaterials()
  const varied = useVaried(start, asker)
  const { formulaId, formula, varies, what } = varied
  const choice = usePicked(varied, start)
  const { chosen, reference } = choice
  const panel = usePanel(formula)
  const grams = ref<number | null>(USUAL_GRAMS)
  const name = ref('')
  const usualName = computed(() =>
    formula.value ? `${variesOf(varies.value).label} of ${formula.value.name}` : '',
  )
  const formulas = computed(() => chosen.value.flatMap((c) => (c.formula ? [c.formula] : [])))
  const nameOf = (id: string) => materials.catalogue.find(id)?.name ?? id
  const differs = computed(() => whatDiffers(formulas.value, varies.value, nameOf))

  const wish = computed<TrialWish | null>(() => {
    if (!formula.value || formulaId.value === null) return null
    // the reference stands first, where there is one
    const others = chosen.value.slice(1).map((_, i) => i + 1)
    const kinds = [
      ...(panel.triangle.value ? (['triangle'] as const) : []),
      ...(panel.pair.value ? (['pair'] as const) : []),
    ]
    return {
      id: '',
      name: name.value.trim() || usualName.value,
      now: '',
      seed: 0,
      of: { id: formulaId.value, name: formula.value.name },
      product: { kind: formula.value.product.kind, hair: panel.hair.value },
      varies: varies.value,
      what: what.value,
      batchGrams: grams.value ?? 0,
      samples: chosen.value.map((c) => ({
        name: c.name,
        formula: c.formula && materials.selfContained(c.formula),
      })),
      reference: chosen.value[0]?.key === reference.value ? 0 : null,
      attributes: panel.attributes.value.filter((a) => panel.asked.value.includes(a.id)),
      decides: panel.decides.value,
      people: readNames(panel.people.value),
      rounds: panel.rounds.value ?? 0,
      choosing: kinds.flatMap((kind) => others.map((b) => ({ kind, a: 0, b }))),
    }
  })
  const fault = computed(() => {
    if (!wish.value) return texts.chooseAFormula
    const trial = trialFault(wish.value)
    if (trial) return trialFaultText(trial)
    return formulas.value.map(formulaFault).find((f) => f !== null) ?? null
  })
  const warnings = computed(() =>
    wish.value && chosen.value.length > 1 ? trialWarnings(wish.value, materials.catalogue) : [],
  )
  /** The trial as it is set up; null where something is missing. */
  function plan(now = new Date()): PlannedTrial | null {
    if (!wish.value || fault.value) return null
    const [seed] = crypto.getRandomValues(new Int32Array(1))
    return planTrial({ ...wish.value, id: makeId(), now: now.toISOString(), seed: seed! })
  }
  return { ...varied, ...choice, ...panel, grams, name, usualName, differs, fault, warnings, plan }
}
