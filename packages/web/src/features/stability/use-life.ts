import { actualFormula, historyOf, openObservations, verdictOf } from '@omblet/core'
import { computed } from 'vue'
import { answerJump, jump, lookAtClock } from '../../browser/steady'
import { useOpenBatch } from '../../composables/open-batch'
import { useMaterials } from '../../stores/materials'

/** The batch that is open as it is watched: what was seen, what it means, and what was really made. */
export function useLife(id: () => string) {
  const materials = useMaterials()
  const { batch, phase, refused } = useOpenBatch(id, {
    // a page that lay open for days: that time passed
    before() {
      lookAtClock()
      if (jump.value) answerJump('slept')
    },
  })
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
  const open = computed(() => (history.value ? openObservations(history.value) : []))
  return { batch, phase, refused, state, history, made, verdict, open }
}
export type Life = ReturnType<typeof useLife>
