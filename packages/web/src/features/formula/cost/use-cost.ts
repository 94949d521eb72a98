import { sayMoney } from '@omblet/core/words'
import { costDrivers, costFromShelf, costOfBatch, priceAtMargin, type Cost, type Costing } from '@omblet/core'
import { computed } from 'vue'
import { useBatchInRoute } from '../../../composables/batch-in-route'
import { useEditor } from '../../../stores/editor'
import { today, useLots } from '../../../stores/lots'
import { useTools } from '../../../stores/tools'

/** What the formula that is open costs from the shelf, or what one of its batches did cost. */
export function useCost() {
  const editor = useEditor()
  const lots = useLots()
  const { batch, lost } = useBatchInRoute()
  const costing = computed<Costing>(() => editor.formula?.costing ?? {})
  function change(patch: { [K in keyof Costing]?: Costing[K] | undefined }, key: string) {
    const next = Object.fromEntries(
      Object.entries({ ...costing.value, ...patch }).filter(([, v]) => v !== undefined),
    ) as Costing
    editor.apply({ type: 'patch', patch: { costing: Object.keys(next).length > 0 ? next : undefined } }, key)
  }
  const extras = computed(() => {
    const { containerPrice, labelPrice, containers, hours, rate } = costing.value
    const each =
      containerPrice === undefined && labelPrice === undefined
        ? null
        : (containerPrice ?? 0) + (labelPrice ?? 0)
    return { perContainer: each, containers: containers ?? 0, hours: hours ?? null, rate: rate ?? null }
  })
  const assessment = computed(() => batch.value?.state.plan.a ?? editor.assessment!)
  const cost = computed<Cost>(() =>
    batch.value
      ? costOfBatch(batch.value.state, lots.lots, {
          ...extras.value,
          containers: batch.value.state.finished?.containers ?? extras.value.containers,
        })
      : costFromShelf(assessment.value, lots.lots, today(), extras.value),
  )
  const drivers = computed(() => costDrivers(cost.value))
  const price = computed(() =>
    cost.value.perContainer === null || costing.value.marginPercent === undefined
      ? null
      : priceAtMargin(cost.value.perContainer, costing.value.marginPercent),
  )
  const tools = useTools()
  void tools.load()
  const currency = computed({
    get: () => tools.tools.currency,
    set: (currency) => void tools.patch({ currency: currency.trim().slice(0, 8) }),
  })
  /** Money with the maker's own sign behind it, where one was told. */
  const money = (value: number | null) =>
    value === null || currency.value === '' ? sayMoney(value) : `${sayMoney(value)} ${currency.value}`
  return { money, currency, batch, lost, costing, change, assessment, cost, drivers, price }
}
