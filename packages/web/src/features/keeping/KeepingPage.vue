<script setup lang="ts">
import Button from 'primevue/button'
import { computed, defineAsyncComponent, onMounted, watch } from 'vue'
import NothingYet from '../../components/NothingYet.vue'
import Notice from '../../components/Notice.vue'
import { useBatches } from '../../stores/batches'
import { takeInDemoBatches } from '../../stores/demo-batches'
import { useKeeping } from '../../stores/keeping'
import DueCard from './DueCard.vue'

/** Charts come after the list: what is due is seen first. */
const LifeCard = defineAsyncComponent(() => import('./LifeCard.vue'))
/** What was made and is watched: what is due, and the life of the batch that is chosen. */
const props = defineProps<{ id?: string }>()
const batches = useBatches()
const keeping = useKeeping()
onMounted(() => void keeping.load())
watch(
  () => props.id,
  (id) => {
    if (!id) document.title = 'Keeping – Omblet'
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
  <div class="page" :class="{ chosen: id }">
    <header class="head">
      <RouterLink v-if="id" to="/keeping" class="back" aria-label="All that is kept"
        ><i class="pi pi-arrow-left" aria-hidden="true"></i
      ></RouterLink>
      <h1>Keeping</h1>
    </header>
    <Notice v-if="batches.problem" kind="stop">{{ batches.problem }}</Notice>
    <template v-if="batches.ready">
      <NothingYet v-if="empty && !id" title="Nothing is kept yet">
        <p>
          When a batch is finished at the Bench, it is looked at here for twelve weeks: after a day, three
          days, a week and so on, a minute each time. Omblet says what to look at, and what it means.
        </p>
        <template #actions>
          <RouterLink v-slot="{ navigate }" to="/bench" custom>
            <Button label="To the Bench" icon="pi pi-stopwatch" @click="navigate" />
          </RouterLink>
          <Button
            label="Try three example batches"
            severity="secondary"
            outlined
            @click="takeInDemoBatches()"
          />
        </template>
        <DueCard v-if="keeping.ends.length" class="ends" />
      </NothingYet>
      <div v-else class="two">
        <DueCard class="due" :chosen="shown" />
        <LifeCard v-if="shown" :id="shown" :key="shown" class="life" :title="id !== undefined" />
      </div>
    </template>
    <p v-else class="muted">Reading what is kept…</p>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 0.75rem;
  padding: 0 1rem 3rem;
}
.head {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 60px;
}
h1 {
  font-size: var(--text-head-1);
}
.back {
  display: none;
}
.two {
  display: grid;
  grid-template-columns: minmax(17rem, 21rem) minmax(0, 1fr);
  align-items: start;
  gap: 1rem;
}
.ends {
  text-align: left;
}
@media (max-width: 960px) {
  .page {
    padding-inline: 0.5rem;
  }
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .chosen .due,
  .page:not(.chosen) .life {
    display: none;
  }
  .back {
    display: grid;
    place-items: center;
    width: 44px;
    height: 44px;
    color: var(--muted);
    text-decoration: none;
  }
}
@media print {
  .head,
  .due {
    display: none;
  }
  .two {
    display: block;
  }
}
</style>
