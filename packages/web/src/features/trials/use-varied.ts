import { common } from '#words/common'
import { useVaried as texts } from '#words/trials'
import { processOptionText } from '@omblet/core/words'
import {
  questionsOf,
  sayNumber,
  type Formula,
  type Option,
  type VariantWish,
  type Varies,
} from '@omblet/core'
import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { useDesign } from '../../composables/design'
import { plain } from '../../browser/plain'
import { listVersions } from '../../storage/formulas'
import type { VersionRecord } from '../../storage/schema'
import { useLibrary } from '../../stores/library'
import { useMaterials } from '../../stores/materials'
import { readLevels } from './words'

export const VARIES: readonly { value: Varies; label: string; what: string }[] = [
  { value: 'emulsifier', label: texts.emulsifier, what: texts.theEmulsifier },
  { value: 'thickener', label: texts.thickener, what: texts.theThickener },
  { value: 'material', label: common.ingredient, what: texts.oneIngredient },
  { value: 'level', label: texts.amountOfAnIngredient, what: common.theAmount },
  { value: 'school', label: texts.processOption, what: texts.theMethod },
  { value: 'version', label: common.versions, what: texts.theVersion },
  { value: 'jar', label: texts.boughtProduct, what: texts.theProduct },
]
export const variesOf = (value: Varies) => VARIES.find((v) => v.value === value)!

/** Options come from the worker: each candidate is judged in the whole formula. */
export const useOptions = (request: Readonly<Ref<VariantWish | null>>) =>
  useDesign(request, (worker, wish) => worker.variants(plain(wish)))

const asIs = (key: string, label: string, formula: Formula): Option => ({
  key,
  label,
  percent: null,
  current: key === 'sheet',
  formula,
  stops: 0,
  checks: 0,
  note: null,
})

/** Which formula, and what of it is varied. */
function useSubject(start: { formula?: string; varies?: Varies }) {
  const library = useLibrary()
  const materials = useMaterials()
  const formulaId = ref<string | null>(start.formula ?? null)
  const formula = computed(() => library.records.find((r) => r.id === formulaId.value)?.formula ?? null)
  const assessment = computed(() => (formula.value ? materials.derive(formula.value).assessment : null))
  const varies = ref<Varies>(start.varies ?? 'emulsifier')
  const line = ref<number | null>(null)
  const levels = ref('')
  const school = ref<string | null>(null)
  const lines = computed(() =>
    (assessment.value?.lines ?? []).flatMap((l, i) =>
      l.fill || !l.given ? [] : [{ value: i, label: `${l.weighedAs}, ${sayNumber(l.percent, 3)} %` }],
    ),
  )
  const schools = computed(() => (assessment.value ? questionsOf(assessment.value) : []))
  watch(varies, () => {
    line.value = null
    school.value = schools.value[0]?.key ?? null
  })
  // half of it and half as much again are proposed
  watch(line, (at) => {
    const percent = at === null ? null : assessment.value?.lines[at]?.percent
    if (varies.value === 'level' && percent)
      levels.value = [percent / 2, percent, percent * 1.5].map((p) => Number(p.toPrecision(3))).join('; ')
  })
  const what = computed(() => {
    const usual = variesOf(varies.value).what
    if (varies.value === 'school')
      return processOptionText(schools.value.find((s) => s.key === school.value)!).toLowerCase() ?? usual
    const of = line.value === null ? undefined : assessment.value?.lines[line.value]?.label
    if (!of) return usual
    return varies.value === 'level' ? texts.theAmountOf(of) : texts.theSubstituteFor(of)
  })
  return { formulaId, formula, varies, line, lines, levels, school, schools, what }
}

/** What of a formula is varied, and everything that could be put in its place. */
export function useVaried(start: { formula?: string; varies?: Varies }, asker = useOptions) {
  const subject = useSubject(start)
  const { formulaId, formula, varies, line, levels, school } = subject
  const versions = shallowRef<VersionRecord[]>([])
  watch(
    formulaId,
    async (id) => {
      versions.value = id ? await listVersions(id).catch(() => []) : []
    },
    { immediate: true },
  )
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
  const options = computed<Option[]>(() => {
    if (!formula.value) return []
    const sheet = asIs('sheet', texts.currentFormula, formula.value)
    if (varies.value === 'jar') return [sheet]
    if (varies.value === 'version')
      return [
        sheet,
        ...versions.value.map((v) =>
          asIs(v.id, texts.version(v.number, v.name ? `, ${v.name}` : ''), v.formula),
        ),
      ]
    return answer.value ?? []
  })
  return { ...subject, options, busy, failed }
}
