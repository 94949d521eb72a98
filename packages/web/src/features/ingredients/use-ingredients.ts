import { common } from '#words/common'
import { useIngredients as texts } from '#words/ingredients'
import { standOf, type Material } from '@omblet/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useLibrary } from '../../stores/library'
import { today, useLots } from '../../stores/lots'
import { useMaterials } from '../../stores/materials'
import { GROUPS, groupOf } from './groups'
import { shelfRows } from './rows'

/** The materials that fit what is searched for, the maker's own first; words and group stand in the address. */
export function useIngredients() {
  const materials = useMaterials()
  const library = useLibrary()
  const lots = useLots()
  const route = useRoute()
  const router = useRouter()
  const words = ref(String(route.query['q'] ?? ''))
  const group = ref<string | null>((route.query['group'] as string | undefined) ?? null)
  const phase = ref<string | null>(null)
  const which = ref<'all' | 'shelf' | 'used' | 'own'>('all')

  const groups = [
    { value: null, label: common.allCategories },
    ...GROUPS.map((g) => ({ value: g.id, label: g.label })),
  ]
  const phases = [
    { value: null, label: texts.anyPhase },
    { value: 'water', label: common.water },
    { value: 'oil', label: common.oil },
    { value: 'cool-down', label: common.coolDown },
    { value: 'any', label: texts.anyPhase },
  ]
  const whiches = [
    { value: 'all', label: texts.allIngredients },
    { value: 'shelf', label: common.myStock },
    { value: 'used', label: texts.inMyFormulas },
    { value: 'own', label: texts.myOwn },
  ]

  const used = computed(() => {
    const ids = new Set<string>()
    for (const { formula } of library.records) {
      for (const p of formula.phases)
        for (const line of p.lines) ids.add(materials.catalogue.find(line.material)?.id ?? line.material)
    }
    return ids
  })
  const found = computed<readonly Material[]>(() =>
    words.value.trim() === '' ? materials.catalogue.materials : materials.search(words.value, 400),
  )
  const inWhich = (m: Material) =>
    which.value === 'all' ||
    (which.value === 'own' ? m.own === true : (which.value === 'shelf' ? lots.owned : used.value).has(m.id))
  const shown = computed(() =>
    found.value.filter(
      (m) =>
        (group.value === null || groupOf(m.kind) === group.value) &&
        (phase.value === null || m.phase === phase.value) &&
        inWhich(m),
    ),
  )
  /** A search is in the order of what fits best; without one, what is the maker's own comes first. */
  const rows = computed(() =>
    shelfRows(shown.value, {
      standOf: (id) => (lots.owned.has(id) ? standOf(lots.lots, id, today()) : null),
      used: words.value.trim() === '' ? used.value : new Set<string>(),
    }),
  )
  const remember = () =>
    void router.replace({
      query: { ...(words.value ? { q: words.value } : {}), ...(group.value ? { group: group.value } : {}) },
    })
  watch(words, remember)
  function clear() {
    words.value = ''
    group.value = null
    phase.value = null
    which.value = 'all'
    remember()
  }
  return { words, group, phase, which, groups, phases, whiches, shown, rows, remember, clear }
}
