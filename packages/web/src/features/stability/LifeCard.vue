<script setup lang="ts">
import { common } from '#words/common'
import { lifeCard as texts } from '#words/stability'
import { batchVerdictText, unseenText, sayAge } from '@omblet/core/words'
import {
  daysUntil,
  dueObservations,
  observationRows,
  PROPERTIES,
  STORAGES,
  WATCH,
  type Storage,
  whereLotWent,
  uncapitalise,
} from '@omblet/core'
import { differenceInMinutes } from 'date-fns'
import Button from 'primevue/button'
import { PlainButton } from '../../components/buttons'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { downloadCsv, fileName } from '../../browser/download'
import FindingMark from '../../components/FindingMark.vue'
import NotHere from '../../components/NotHere.vue'
import NothingYet from '../../components/NothingYet.vue'
import Notice from '../../components/Notice.vue'
import MenuButton from '../../components/MenuButton.vue'
import { useStability } from '../../stores/stability'
import { useLots } from '../../stores/lots'
import AnswersCard from './AnswersCard.vue'
import PatchCard from './PatchCard.vue'
import PropertyRow from './PropertyRow.vue'
import TroublesList from './TroublesList.vue'
import { useEarlier } from './use-earlier'
import { useLife } from './use-life'
import { MARK, sayDue, sayLook } from './words'

const PlanDialog = defineAsyncComponent(() => import('./PlanDialog.vue'))

/** The life of a batch: what is looked at, how it went, and what it means. */
const props = defineProps<{ id: string; title?: boolean }>()
const keeping = useStability()
const lots = useLots()
const route = useRoute()
const router = useRouter()
const life = useLife(() => props.id)
const { batch, history, verdict, made } = life

/** Lots that were found to be off and are in it, through stocks too. */
const offLots = computed(() =>
  lots.lots.filter(
    (l) =>
      l.off !== undefined &&
      life.state.value !== null &&
      whereLotWent(l.id, lots.lots, [{ id: props.id, events: life.state.value.events }]).length > 0,
  ),
)
const samples = computed(() => history.value?.samples ?? [])
/** A sample by its id, or all beside each other. */
const chosen = ref<string>('room')
watch(
  samples,
  (list) => {
    if (list.length > 0 && chosen.value !== 'all' && !list.some((s) => s.id === chosen.value))
      chosen.value = list[0]!.id
  },
  { immediate: true },
)
const planned = computed(() => samples.value.length > 0)
const finished = computed(() => life.state.value?.finished?.outcome === 'kept')
const age = computed(() => {
  const at = history.value?.filledAt
  return at ? sayAge(differenceInMinutes(keeping.now, new Date(at)) / 1440) : ''
})
const series = computed(() =>
  (verdict.value?.list ?? []).filter((v) => chosen.value === 'all' || v.series.sample === chosen.value),
)
/** Verdicts of what is shown, by property in the order of the plan. */
const rows = computed(() => {
  return PROPERTIES.flatMap((property) => {
    const list = series.value.filter((v) => v.series.property === property)
    return list.length > 0 ? [{ property, list }] : []
  })
})
const troubles = computed(() => (verdict.value?.list ?? []).filter((v) => v.grade !== 'fine'))
const reacted = computed(() => verdict.value?.reacted ?? false)

const next = computed(() => {
  const due = dueObservations(life.open.value, keeping.now)[0]
  const look = due ?? life.open.value[0]
  const storage = samples.value.find((s) => s.id === look?.sample)?.storage
  if (!look || !storage) return null
  return {
    label: due
      ? texts.observeNow(uncapitalise(WATCH.storages[storage].label), sayLook(storage, look.day))
      : texts.observeEarly(sayLook(storage, look.day), sayDue(daysUntil(look.on, keeping.now))),
    due: due !== undefined,
    to: { path: `/stability/${props.id}/look`, query: { sample: look.sample, day: String(look.day) } },
  }
})
const withEarlier = ref(false)
const earlier = useEarlier(() => (withEarlier.value && batch.info ? batch.info : null))

const dialog = ref(route.query['plan'] !== undefined)
const used = ref(dialog.value)
watch(dialog, (now) => now && (used.value = true))
const csv = () =>
  void downloadCsv(fileName(texts.observations(batch.info!.code), ''), observationRows(history.value!))
const items = computed(() => [
  { label: texts.changeSchedule, icon: 'pi pi-calendar', command: () => void (dialog.value = true) },
  { label: texts.allObservationsAsCsv, icon: 'pi pi-table', command: csv },
  {
    label: texts.howItWasMade,
    icon: 'pi pi-list',
    command: () => void router.push(`/bench/${props.id}/record`),
  },
])
const label = (storage: Storage) => WATCH.storages[storage].label
const ordered = computed(() =>
  [...samples.value].sort((x, y) => STORAGES.indexOf(x.storage) - STORAGES.indexOf(y.storage)),
)
</script>

<template>
  <section
    v-if="life.phase.value === 'here' && history"
    class="card life stacked"
    aria-labelledby="life-title"
  >
    <Notice v-if="batch.held" kind="stop"
      >{{ texts.theLastAnswersAreNot(batch.held.why) }}
      <template #actions><Button :label="common.tryAgain" size="small" @click="batch.pump()" /></template>
    </Notice>
    <Notice v-if="batch.told" kind="check">{{ batch.told }}</Notice>
    <header class="abreast wraps">
      <h2 id="life-title">{{ batch.info!.name }}</h2>
      <span class="chip mono">{{ batch.info!.code }}</span>
      <span v-if="age" class="chip">{{ age === 'today' ? texts.madeToday : texts.old(age) }}</span>
      <span class="push grow"></span>
      <MenuButton v-if="planned" :items="items" :more="common.moreForThisBatch" />
    </header>

    <Notice v-for="l in offLots" :key="l.id" kind="stop"
      ><strong>{{ texts.containsARejectedLot }}</strong> {{ texts.withdrawItsContainers(l.off ?? '') }}
      <template #actions
        ><RouterLink :to="`/ingredients/lots/${l.id}`">{{ common.lotTrace }}</RouterLink></template
      >
    </Notice>
    <NothingYet v-if="!finished">
      <p>{{ texts.thisBatchWasDiscardedSo }}</p>
    </NothingYet>
    <NothingYet v-else-if="!planned">
      <p>
        {{ texts.keepBackASampleAnd }}
      </p>
      <template #actions>
        <Button :label="common.scheduleObservations" icon="pi pi-calendar" @click="dialog = true" />
      </template>
    </NothingYet>
    <template v-else>
      <div class="verdict abreast text-lead" :data-grade="verdict?.grade ?? 'none'" role="status">
        <FindingMark v-if="verdict?.grade" :severity="MARK[verdict.grade]" :size="22" />
        <p v-if="verdict">
          {{ batchVerdictText(verdict)[troubles.length && !reacted ? 'head' : 'says'] }}
        </p>
      </div>
      <TroublesList v-if="troubles.length" :troubles="troubles" />

      <div class="bar abreast wraps">
        <div class="samples" role="group" :aria-label="common.samples">
          <button
            v-for="s in ordered"
            :key="s.id"
            type="button"
            class="pick"
            :aria-pressed="chosen === s.id"
            @click="chosen = s.id"
          >
            {{ label(s.storage) }}
          </button>
          <button
            v-if="samples.length > 1"
            type="button"
            class="pick"
            :aria-pressed="chosen === 'all'"
            @click="chosen = 'all'"
          >
            {{ texts.allStorageConditions }}
          </button>
        </div>
        <button
          v-if="batch.info!.formulaId"
          type="button"
          class="pick"
          :aria-pressed="withEarlier"
          @click="withEarlier = !withEarlier"
        >
          {{ texts.compareBatches }}
        </button>
      </div>
      <p v-if="withEarlier && earlier.length === 0" class="muted small">
        {{ texts.noOtherBatchOfThis }}
      </p>
      <p v-if="rows.length === 0" class="muted">{{ texts.noObservationsOfThisSample }}</p>
      <PropertyRow
        v-for="row in rows"
        :key="row.property"
        :property="row.property"
        :list="row.list"
        :earlier="earlier"
        :assessment="made!.assessment"
      />
      <div class="acts abreast wraps">
        <Button
          v-if="next"
          :label="next.label"
          :severity="next.due ? undefined : 'secondary'"
          :outlined="!next.due"
          @click="router.push(next.to)"
        />
        <PlainButton
          :label="texts.twoPageReport"
          icon="pi pi-print"
          @click="router.push(`/stability/${id}/report`)"
        />
      </div>
      <p class="muted small unseen">{{ unseenText() }}</p>
      <AnswersCard :history="history" />
    </template>
    <PatchCard v-if="finished" :history="history" />
    <PlanDialog v-if="used && made" v-model:open="dialog" :life="life" />
  </section>
  <NotHere
    v-else-if="life.phase.value === 'missing'"
    :what="common.batch2"
    :why="life.refused.value"
    to="/stability"
    :to-label="common.allBatchesOnStabilityTest"
  />
  <p v-else class="muted opening">{{ texts.opening }}</p>
</template>

<style scoped>
.life {
  padding: 0.875rem 1rem 1.25rem;
  min-width: 0;
}
.bar {
  justify-content: space-between;
}
h2 {
  font-size: var(--text-head-2);
}
.samples {
  display: flex;
  flex-wrap: wrap;
  gap: 0.375rem;
}
.pick {
  min-height: 36px;
  padding: 0 0.875rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-xl);
  background: none;
  font-size: var(--text-note);
  cursor: pointer;
}
.pick[aria-pressed='true'] {
  border-color: var(--accent);
  background: var(--cobalt-100);
  font-weight: 700;
}
.opening {
  padding: 2rem;
}
@media (max-width: 1000px) {
  .pick,
  .acts :deep(button) {
    min-height: 44px;
  }
  .acts :deep(button) {
    flex: 1 1 auto;
  }
}
</style>
