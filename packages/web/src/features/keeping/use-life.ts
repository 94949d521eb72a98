import { actualFormula, historyOf, openLooks, verdictOf } from '@omblet/core'
import { computed, ref, watch } from 'vue'
import { answerJump, jump, lookAtClock } from '../../browser/steady'
import { explainStorage } from '../../storage/db'
import { useBatch } from '../../stores/batch'
import { useMaterials } from '../../stores/materials'

/** The batch that is open as it is watched: what was seen, what it means, and what was really made. */
export function useLife(id: () => string) {
  const batch = useBatch()
  const materials = useMaterials()
  const phase = ref<'opening' | 'here' | 'missing'>('opening')
  const refused = ref('')
  watch(
    id,
    async (wanted) => {
      refused.value = ''
      // a page that lay open for days: that time passed
      lookAtClock()
      if (jump.value) answerJump('slept')
      const found = await batch.open(wanted).catch((error: unknown) => {
        refused.value = explainStorage(error)
        return false
      })
      phase.value = found ? 'here' : 'missing'
      if (found) document.title = `${batch.info!.code} ${batch.info!.name} – Omblet`
    },
    { immediate: true },
  )
  const state = computed(() => (batch.info?.id === id() ? batch.state : null))
  const history = computed(() => (state.value ? historyOf(state.value.events) : null))
  /** What was really made; what was designed where nothing was weighed. */
  const made = computed(() => {
    if (!state.value) return null
    const actual = actualFormula(state.value)
    return materials.derive(actual ?? state.value.plan.formula)
  })
  const verdict = computed(() =>
    state.value && history.value && made.value
      ? verdictOf(state.value, history.value, made.value.assessment)
      : null,
  )
  const open = computed(() => (history.value ? openLooks(history.value) : []))
  return { batch, phase, refused, state, history, made, verdict, open }
}
export type Life = ReturnType<typeof useLife>
