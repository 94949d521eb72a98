import { common } from '#words/common'
import { useFound as texts } from '#words/formulas'
import { computed, ref, watch } from 'vue'
import { kindOptions } from '../../components/words'
import { useCards } from '../../stores/cards'
import { useLibrary } from '../../stores/library'

/** The formulas that fit what is searched for: words, a kind of product, and how they were judged. */
export function useFound() {
  const library = useLibrary()
  const cards = useCards()
  const words = ref('')
  const kind = ref<string | null>(null)
  const state = ref<string | null>(null)
  const kinds = [{ value: null, label: common.allCategories }, ...kindOptions]
  const states = [
    { value: null, label: texts.anyState },
    { value: 'stop', label: texts.withAStop },
    { value: 'check', label: texts.withACheck },
    { value: 'clean', label: texts.noStopsOrChecks },
  ]

  const shown = computed(() => {
    const wanted = words.value.toLowerCase().split(/\s+/).filter(Boolean)
    return library.records.filter((r) => {
      if (kind.value && r.formula.product.kind !== kind.value) return false
      if (state.value !== null) {
        const counts = cards.isJudged(r) ? cards.countsOf(r) : null
        if (!counts) return false
        if (state.value === 'stop' && counts.stop === 0) return false
        if (state.value === 'check' && counts.check === 0) return false
        if (state.value === 'clean' && counts.stop + counts.check > 0) return false
      }
      return wanted.length === 0 || wanted.every((word) => cards.wordsOf(r).includes(word))
    })
  })
  /** A state can be asked for only of what was judged. */
  watch([state, () => library.records], () => state.value !== null && cards.judgeAll())
  const filtered = computed(() => words.value !== '' || kind.value !== null || state.value !== null)

  function clearFilters() {
    words.value = ''
    kind.value = null
    state.value = null
  }
  const judging = computed(() => state.value !== null && cards.judged < library.records.length)
  return { words, kind, state, kinds, states, shown, filtered, judging, clearFilters }
}
