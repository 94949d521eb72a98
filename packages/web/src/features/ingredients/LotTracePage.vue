<script setup lang="ts">
import { common } from '#words/common'
import { lotTracePage as texts } from '#words/ingredients'
import { capitalise, sayNumber, WATCH, whereLotWent, type BatchHead, type Lot, type Went } from '@omblet/core'
import { format } from 'date-fns'
import TitledCard from '../../components/TitledCard.vue'
import PageHead from '../../components/PageHead.vue'
import { PlainButton } from '../../components/buttons'
import { computed, ref, shallowRef, watch } from 'vue'
import { downloadCsv } from '../../browser/download'
import TextField from '../../components/TextField.vue'
import NotHere from '../../components/NotHere.vue'
import Notice from '../../components/Notice.vue'
import { everyBatch } from '../../storage/batches'
import { explainStorage } from '../../storage/db'
import { useLots } from '../../stores/lots'
import { useMaterials } from '../../stores/materials'

/** From a lot to every batch and stock that holds it; where it is off, what to look at and what to throw away. */
const props = defineProps<{ id: string }>()
const lots = useLots()
const materials = useMaterials()
const lot = computed(() => lots.lots.find((l) => l.id === props.id) ?? null)
const name = computed(() =>
  lot.value ? capitalise(materials.catalogue.find(lot.value.material)?.name ?? lot.value.material) : '',
)
const called = computed(() => lot.value?.batch || lot.value?.supplier || common.unnumberedLot)

interface Row extends Went {
  head: BatchHead
}
const rows = shallowRef<Row[] | null>(null)
const problem = ref('')
watch(
  lot,
  async (now) => {
    if (!now) return
    document.title = `${called.value} – Omblet`
    try {
      const all = await everyBatch()
      const heads = new Map(all.map((b) => [b.head.id, b.head]))
      rows.value = whereLotWent(
        now.id,
        lots.lots,
        all.map((b) => ({ id: b.head.id, events: b.events })),
      )
        .map((w) => ({ ...w, head: heads.get(w.batch)! }))
        .sort((x, y) => y.head.startedAt.localeCompare(x.head.startedAt))
    } catch (error) {
      problem.value = explainStorage(error)
    }
  },
  { immediate: true },
)
const stocks = computed(() => [...new Set(rows.value?.flatMap((r) => r.by) ?? [])])

const why = ref('')
const markOff = () =>
  lot.value && why.value.trim() && void lots.change(lot.value, { ...lot.value, off: why.value.trim() })
function takeBack() {
  if (!lot.value) return
  const { off: _off, ...rest } = lot.value
  void lots.change(lot.value, rest as Lot)
}
/** What becomes of a batch that holds a lot that is off. */
function todo({ head }: Row): string {
  if (head.status === 'discarded') return 'discarded'
  if (head.status === 'running' || head.status === 'paused') return texts.stopMakingIt
  return texts.withdrawItCheckAppearanceAnd
}
const day = (iso: string) => format(new Date(iso), 'd MMM yyyy')
const jars = (head: BatchHead) =>
  head.filledGrams === null ? '–' : texts.gFilled(sayNumber(head.filledGrams, 1))
const csv = () =>
  void downloadCsv(texts.whereWent(called.value), [
    ['batch', 'product', 'begun', 'grams', 'by_way_of', 'filled_grams', 'state'],
    ...(rows.value ?? []).map((r) => [
      r.head.code,
      r.head.name,
      r.head.startedAt.slice(0, 10),
      Number(r.grams.toFixed(3)),
      r.by.join(', '),
      r.head.filledGrams ?? undefined,
      r.head.status,
    ]),
  ])
const print = () => window.print()
const looksAt = computed(() =>
  (['germs', 'smell', 'colour', 'ph'] as const).map((p) => WATCH.properties[p].ask).join(' '),
)
</script>

<template>
  <div v-if="lot" class="page stacked">
    <PageHead
      :title="`${name}, ${called}`"
      :up="`/ingredients/${lot.material}`"
      :up-label="texts.backToTheIngredient"
    >
      <PlainButton v-if="rows?.length" :label="texts.csv" icon="pi pi-table" @click="csv" />
      <PlainButton v-if="rows?.length" :label="common.print" icon="pi pi-print" @click="print" />
    </PageHead>
    <Notice v-if="problem" kind="stop">{{ problem }}</Notice>
    <Notice v-if="lot.off" kind="stop"
      ><strong>{{ texts.lotRejected }}</strong> {{ texts.doNotUseIt(lot.off) }}
      <template #actions><PlainButton :label="texts.undoRejection" size="small" @click="takeBack" /></template
    ></Notice>
    <TitledCard :title="common.lotTrace" :level="2" class="closer">
      <p v-if="rows === null && !problem" class="muted">{{ texts.searchingAllBatches }}</p>
      <p v-else-if="rows?.length === 0" class="muted">{{ texts.noBatchOnThisDevice }}</p>
      <div v-else-if="rows" class="scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">{{ common.batch }}</th>
              <th scope="col">{{ common.product }}</th>
              <th scope="col" class="number num">{{ texts.ofThisLot }}</th>
              <th scope="col">{{ texts.jars }}</th>
              <th v-if="lot.off" scope="col">{{ texts.action }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in rows" :key="`${r.batch} ${r.by.join()}`">
              <td>
                <RouterLink :to="`/bench/${r.batch}/record`" class="mono">{{ r.head.code }}</RouterLink><span
                  class="muted small block"
                  >{{ day(r.head.startedAt) }}</span
                >
              </td>
              <td>
                {{ r.head.name
                }}<span v-if="r.by.length" class="muted small block">{{
                  texts.via(r.by.join(', then '))
                }}</span>
              </td>
              <td class="number mono num">{{ sayNumber(r.grams, 2) }} g</td>
              <td>{{ jars(r.head) }}</td>
              <td v-if="lot.off">{{ todo(r) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="stocks.length" class="small">{{ texts.stockSolutionsThatContainIt(stocks.join(', ')) }}</p>
      <p v-if="lot.off" class="small">
        {{ texts.appearanceProvesNothingIfIn(looksAt) }}
      </p>
    </TitledCard>
    <form v-if="!lot.off" class="card mark stacked closer padded" @submit.prevent="markOff">
      <TextField id="lot-off" :label="texts.reasonForRejectingThisLot" v-model="why" maxlength="500" />
      <PlainButton type="submit" :label="texts.rejectLot" :disabled="!why.trim()" />
    </form>
  </div>
  <NotHere v-else :what="texts.lot" why="" to="/ingredients" :to-label="common.ingredients" />
</template>

<style scoped>
.page {
  max-width: 64rem;
}
.mark {
  justify-items: start;
}
.mark > :first-child {
  width: 100%;
}
@media print {
  .mark {
    display: none;
  }
}
</style>
