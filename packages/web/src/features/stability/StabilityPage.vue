<script setup lang="ts">
import { common } from '#words/common'
import { stabilityPage as texts } from '#words/stability'
import Button from 'primevue/button'
import PageHead from '../../components/PageHead.vue'
import { PlainButton } from '../../components/buttons'
import { computed, defineAsyncComponent, onMounted, watch } from 'vue'
import NothingYet from '../../components/NothingYet.vue'
import Notice from '../../components/Notice.vue'
import { useBatches } from '../../stores/batches'
import { takeInDemoBatches } from '../../stores/demo-batches'
import { useStability } from '../../stores/stability'
import DueCard from './DueCard.vue'

/** Charts come after the list: what is due is seen first. */
const LifeCard = defineAsyncComponent(() => import('./LifeCard.vue'))
/** What was made and is watched: what is due, and the life of the batch that is chosen. */
const props = defineProps<{ id?: string }>()
const batches = useBatches()
const keeping = useStability()
onMounted(() => void keeping.load())
watch(
  () => props.id,
  (id) => {
    if (!id) document.title = texts.stabilityOmblet
  },
  { immediate: true },
)
/** Where none is chosen the wide screen shows the one that is due first. */
const shown = computed(
  () => props.id ?? keeping.due[0]?.head.id ?? keeping.watched[0]?.id ?? keeping.unwatched[0]?.id ?? null,
)
const empty = computed(() => keeping.watched.length === 0 && keeping.unwatched.length === 0)
</script>

<template>
  <div class="page stacked" :class="{ chosen: id }">
    <PageHead
      :title="common.stability"
      class="head"
      :up="id ? '/stability' : undefined"
      :up-label="common.allBatchesOnStabilityTest"
    />
    <Notice v-if="batches.problem" kind="stop">{{ batches.problem }}</Notice>
    <template v-if="batches.ready">
      <NothingYet v-if="empty && !id" :title="texts.noBatchesUnderObservation">
        <p>
          {{ texts.finishedBatchesAreObservedFor }}
        </p>
        <template #actions>
          <RouterLink v-slot="{ navigate }" to="/bench" custom>
            <Button :label="texts.toTheBench" icon="pi pi-stopwatch" @click="navigate" />
          </RouterLink>
          <PlainButton :label="texts.loadThreeExampleBatches" @click="takeInDemoBatches()" />
        </template>
        <DueCard v-if="keeping.ends.length" class="ends" />
      </NothingYet>
      <div v-else class="columns">
        <DueCard class="due" :chosen="shown" />
        <LifeCard v-if="shown" :id="shown" :key="shown" class="life" :title="id !== undefined" />
      </div>
    </template>
    <p v-else class="muted">{{ texts.loading }}</p>
  </div>
</template>

<style scoped>
.page {
  max-width: none;
}
.columns {
  --columns: minmax(17rem, 21rem) minmax(0, 1fr);
}
.ends {
  text-align: left;
}
@media (min-width: 1001px) {
  .head :deep(.up) {
    display: none;
  }
}
@media (max-width: 1000px) {
  .chosen .due,
  .page:not(.chosen) .life {
    display: none;
  }
}
@media print {
  .head,
  .due {
    display: none;
  }
  .columns {
    display: block;
  }
}
</style>
