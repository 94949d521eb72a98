<script setup lang="ts">
import { sayMoney } from '@omblet/core/words'
import { common } from '#words/common'
import { lotsCard as texts } from '#words/ingredients'
import {
  daysLeft,
  freshnessOf,
  priceHistory,
  pricePerGram,
  sayNumber,
  sayPercent,
  type Lot,
  type Material,
} from '@omblet/core'
import TitledCard from '../../components/TitledCard.vue'
import { PlainButton, QuietButton } from '../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { computed, ref } from 'vue'
import FindingMark from '../../components/FindingMark.vue'
import { notify } from '../../components/notify'
import { today, useLots } from '../../stores/lots'
import LotDialog from './LotDialog.vue'

const props = defineProps<{ material: Material }>()
const store = useLots()
const toast = useToast()
const lots = computed(() => store.of(props.material.id))
const price = computed(() => pricePerGram(store.lots, props.material.id))
const history = computed(() => priceHistory(store.lots, props.material.id))
const editing = ref<Lot | 'new' | null>(null)

const MARK = { past: 'stop', soon: 'check', good: 'fine', unknown: 'note' } as const
function lasts(lot: Lot) {
  const days = daysLeft(lot, today())
  if (days === null) return texts.noExpiryDate
  if (days < 0) return texts.expired(lot.expires ?? '')
  return days === 0
    ? texts.expiresToday
    : texts.until(lot.expires ?? '', days, days === 1 ? texts.day : texts.days)
}
const details = (lot: Lot) =>
  [
    lot.supplier,
    lot.batch && texts.lot(lot.batch),
    lot.bought && texts.bought(lot.bought),
    lot.opened && texts.opened(lot.opened),
    lot.price !== undefined && lot.packGrams
      ? texts.forG(
          sayMoney(lot.price),
          sayNumber(lot.packGrams),
          lot.postage ? texts.andPostage(sayMoney(lot.postage)) : '',
        )
      : '',
  ]
    .filter(Boolean)
    .join(' · ')

async function remove(lot: Lot) {
  const undo = await store.remove(lot, texts.lotOf(props.material.name))
  if (undo) notify(toast, texts.lotRemoved, { label: common.undo, run: () => void undo() })
}
</script>

<template>
  <TitledCard :title="common.myStock" :level="2">
    <template #beside
      ><span v-if="lots.length" class="mono">{{ sayNumber(store.left(material.id), 1) }} g</span></template
    >

    <p v-if="store.problem" class="error-text" role="alert">{{ store.problem }}</p>
    <p v-if="lots.length === 0" class="muted">{{ texts.noLotsAddYourStock }}</p>
    <p v-if="price !== null" class="muted small">
      {{ texts.aboutPer100GAt(sayMoney(price * 100)) }}
      <template v-if="history.length > 1">{{
        texts.priceHistory(history.map((h) => `${sayMoney(h.per100)} (${h.day})`).join(', '))
      }}</template>
    </p>
    <ul>
      <li v-for="lot in lots" :key="lot.id">
        <FindingMark :severity="MARK[freshnessOf(lot, today())]" :size="16" />
        <div class="what grow breaks">
          <p>
            <strong>{{ sayNumber(lot.leftGrams, 2) }} g</strong> {{ texts.left(lasts(lot)) }}
          </p>
          <p v-if="lot.off" class="off stop-ink bold">{{ texts.rejected(lot.off) }}</p>
          <p v-if="details(lot)" class="muted small">{{ details(lot) }}</p>
          <p v-if="lot.analysis?.length" class="muted small">
            {{ texts.analysis(lot.analysis.map((a) => `${a.inci} ${sayPercent(a.percent)}`).join(', ')) }}
          </p>
          <p v-if="lot.note" class="muted small note">{{ lot.note }}</p>
        </div>
        <RouterLink :to="`/ingredients/lots/${lot.id}`" class="went" :aria-label="common.lotTrace"
          ><i class="pi pi-sitemap" aria-hidden="true"></i
        ></RouterLink>
        <QuietButton
          icon="pi pi-pencil"
          rounded
          size="small"
          :aria-label="texts.editLot"
          @click="editing = lot"
        />
        <QuietButton
          icon="pi pi-trash"
          rounded
          size="small"
          :aria-label="texts.removeLot"
          @click="remove(lot)"
        />
      </li>
    </ul>
    <PlainButton :label="texts.addLot" icon="pi pi-plus" size="small" @click="editing = 'new'" />
    <LotDialog
      v-if="editing"
      :material="material"
      :lot="editing === 'new' ? null : editing"
      @close="editing = null"
    />
  </TitledCard>
</template>

<style scoped>
li {
  display: flex;
  align-items: flex-start;
  gap: 0.5rem;
  padding: 0.5rem 0;
  border-top: 1px solid var(--line);
}
.went {
  display: grid;
  place-items: center;
  width: 32px;
  height: 32px;
  color: var(--muted);
}
.note {
  font-style: italic;
}
ul,
p {
  padding-bottom: 0.375rem;
}
</style>
