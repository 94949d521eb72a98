import {
  diluted,
  dosesOf,
  effectsOfDose,
  firstReading,
  modelBefore,
  phOfModel,
  spanOf,
  withDoses,
  type CurveRequest,
} from '@omblet/core'
import { computed, inject, provide, type InjectionKey } from 'vue'
import { useEditor } from '../../../stores/editor'
import { useDosing } from '../../../composables/dosing'
import { useCurve } from './curve'

/** Everything that the pH leaf shows, worked out from the formula, its log and the adjuster in hand. */
function makeTitration() {
  const editor = useEditor()

  const assessment = computed(() => editor.assessment!)
  const formula = computed(() => editor.formula!)
  const shut = computed(() => assessment.value.emulsion?.type === 'water-in-oil')
  const { stand, dosing: held, strengthText, choose } = useDosing(() => assessment.value)
  const dosing = computed(() => held.value!)
  const model = computed(() => stand.value!.model)
  const now = computed(() => stand.value!.now)
  const target = computed(() => dosing.value.target)
  const adjuster = computed(() => dosing.value.adjuster)
  const usual = computed(() => dosing.value.usualPercent)
  const strength = computed(() => dosing.value.strength)
  const strengthPercent = computed(() => ('value' in strength.value ? strength.value.value : null))
  const planned = computed(() => dosing.value.planned)
  const plan = computed(() => dosing.value.plan)
  const effects = computed(() =>
    plan.value && model.value
      ? effectsOfDose(assessment.value, model.value, {
          key: adjuster.value,
          strengthPercent: plan.value.strengthPercent,
          percent: plan.value.percent,
        })
      : [],
  )

  /** Of the adjuster in hand, at its strength now, already in the batch: percent of the product. */
  const taken = computed(() =>
    strengthPercent.value === null
      ? 0
      : dosesOf(formula.value)
          .filter((d) => d.key === adjuster.value)
          .reduce((sum, d) => sum + (d.percent * d.strengthPercent) / strengthPercent.value!, 0),
  )
  const request = computed<CurveRequest | null>(() => {
    if (!model.value || strengthPercent.value === null) return null
    const before = modelBefore(model.value, dosesOf(formula.value), adjuster.value)
    const aim = target.value ? (target.value.min + target.value.max) / 2 : null
    return {
      model: before,
      adjuster: adjuster.value,
      strengthPercent: strengthPercent.value,
      maxPercent: even(spanOf(before, adjuster.value, strengthPercent.value, aim, taken.value)),
    }
  })
  /** A span whose grams end on a round figure, so that the axis counts in round steps. */
  const even = (percent: number) => {
    const batch = assessment.value.amounts.batchGrams
    const { step, count } = axisSteps((percent * batch) / 100)
    return (100 * step * count) / batch
  }
  const { curve, failed } = useCurve(request)

  /** Readings on the curve: those that tell of the formula with all that other adjusters added. */
  const points = computed(() => {
    const f = formula.value
    if (!model.value || strengthPercent.value === null) return []
    const others = dosesOf(f).filter((d) => d.key !== adjuster.value).length
    const first = firstReading(f)
    return (f.readings ?? []).flatMap((reading, i) => {
      if (i < first) return []
      const doses = dosesOf(f, i + 1)
      if (doses.filter((d) => d.key !== adjuster.value).length !== others) return []
      const at = withDoses(model.value!, doses)
      const dilution = reading.method === 'meter-10pct' ? phOfModel(diluted(at)).ph - phOfModel(at).ph : 0
      const percent = doses
        .filter((d) => d.key === adjuster.value)
        .reduce((sum, d) => sum + (d.percent * d.strengthPercent) / strengthPercent.value!, 0)
      return [{ grams: (percent * assessment.value.amounts.batchGrams) / 100, ph: reading.ph - dilution }]
    })
  })

  return {
    assessment,
    formula,
    shut,
    model,
    now,
    target,
    adjuster,
    strength,
    strengthText,
    strengthPercent,
    usual,
    choose,
    planned,
    plan,
    effects,
    taken,
    curve,
    failed,
    points,
  }
}

/** Round steps that cover `end`: their size and number, between 4 and 8. */
export function axisSteps(end: number): { step: number; count: number } {
  const size = 10 ** Math.floor(Math.log10(end / 8))
  const step = size * [1, 2, 5, 10].find((m) => (m * size * 8) / end > 0.999999)!
  return { step, count: Math.max(1, Math.ceil(end / step - 1e-9)) }
}

export type Titration = ReturnType<typeof makeTitration>
const key: InjectionKey<Titration> = Symbol('titration')

export function provideTitration(): Titration {
  const titration = makeTitration()
  provide(key, titration)
  return titration
}
export const useTitration = () => inject(key)!
