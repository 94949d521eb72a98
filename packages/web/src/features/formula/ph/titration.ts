import { curveToDraw, effectsOfDose, readingsOnCurve, takenOf } from '@omblet/core'
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

  const hand = computed(() =>
    strengthPercent.value === null ? null : { key: adjuster.value, strengthPercent: strengthPercent.value },
  )
  const batch = computed(() => assessment.value.amounts.batchGrams)
  const taken = computed(() => (hand.value ? takenOf(formula.value, hand.value) : 0))
  const request = computed(() => {
    if (!model.value || !hand.value) return null
    const aim = target.value ? (target.value.min + target.value.max) / 2 : null
    return curveToDraw(formula.value, model.value, hand.value, aim, batch.value)
  })
  const { curve, failed } = useCurve(request)
  const points = computed(() =>
    model.value && hand.value ? readingsOnCurve(formula.value, model.value, hand.value, batch.value) : [],
  )

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

export type Titration = ReturnType<typeof makeTitration>
const key: InjectionKey<Titration> = Symbol('titration')

export function provideTitration(): Titration {
  const titration = makeTitration()
  provide(key, titration)
  return titration
}
export const useTitration = () => inject(key)!
