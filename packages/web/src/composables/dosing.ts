import { dosingOf, phStand, type Assessment } from '@omblet/core'
import { computed, ref } from 'vue'
import { useLearned } from '../stores/learned'
import { useTools } from '../stores/tools'

/** The dosing of a product as it stands, with the adjuster and strength in hand; null while nothing is there. */
export function useDosing(product: () => Assessment | null, asPlanned: () => Assessment | null = product) {
  const bench = useTools()
  const learned = useLearned()
  const adjuster = ref<string | null>(null)
  const strengthText = ref<string | null>(null)
  const stand = computed(() => {
    const a = product()
    return a ? phStand(a, bench.doubt) : null
  })
  const dosing = computed(() => {
    const a = product()
    if (!a || !stand.value) return null
    const choice = {
      adjuster: adjuster.value,
      strengthText: strengthText.value,
      dropGrams: bench.tools.dropGrams ?? learned.of('drop')?.mean ?? null,
    }
    return dosingOf(a, stand.value, choice, asPlanned() ?? a)
  })
  function choose(key: string, percent: number | null = null) {
    adjuster.value = key
    strengthText.value = percent === null ? null : String(percent)
  }
  return { stand, dosing, strengthText, choose }
}
