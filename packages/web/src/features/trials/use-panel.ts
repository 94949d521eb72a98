import { attributesFor, ownAttribute, usualAttributes, type Formula, type TrialAttribute } from '@omblet/core'
import { computed, ref, watch, type Ref } from 'vue'

/** Who judges, in how many rounds, and what is asked of them. */
export function usePanel(formula: Readonly<Ref<Formula | null>>) {
  const people = ref('')
  const rounds = ref<number | null>(1)
  const asked = ref<string[]>([])
  const own = ref<TrialAttribute[]>([])
  const decides = ref<string | null>(null)
  const triangle = ref(false)
  const pair = ref(false)
  const kind = computed(() => formula.value?.product.kind)
  watch(
    kind,
    (now) => {
      if (now) asked.value = usualAttributes(now).map((a) => a.id)
    },
    { immediate: true },
  )
  const hair = computed(() => ['hair', 'scalp'].includes(formula.value?.product.site ?? ''))
  const attributes = computed(() => [...attributesFor(hair.value), ...own.value])
  /** Those of the product and of one's own come first; one that was taken out can be put back. */
  const first = computed(
    () => new Set([...(kind.value ? usualAttributes(kind.value) : []), ...own.value].map((a) => a.id)),
  )
  function addOwn(title: string, low: string, high: string) {
    const attribute = ownAttribute(title.trim(), low.trim(), high.trim(), own.value)
    own.value = [...own.value, attribute]
    asked.value = [...asked.value, attribute.id]
  }
  return { people, rounds, asked, decides, triangle, pair, hair, attributes, first, addOwn }
}
