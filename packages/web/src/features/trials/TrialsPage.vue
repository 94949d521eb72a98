<script setup lang="ts">
import { trialsPage as texts } from '#words/trials'
import { standOfSittings, type PlannedTrial } from '@omblet/core'
import { format } from 'date-fns'
import Button from 'primevue/button'
import PageHead from '../../components/PageHead.vue'
import { PlainButton } from '../../components/buttons'
import { computed, onMounted } from 'vue'
import { useRouter } from 'vue-router'
import NothingYet from '../../components/NothingYet.vue'
import Notice from '../../components/Notice.vue'
import { takeInDemoTrials } from '../../stores/demo-trials'
import { useTrials } from '../../stores/trials'

const trials = useTrials()
const router = useRouter()
onMounted(() => {
  document.title = texts.trialsOmblet
  void trials.load()
})
const stand = (t: PlannedTrial) => {
  if (t.plan.decision)
    return t.plan.decision.keep === null
      ? texts.noVersionAdopted
      : `kept: ${t.samples.find((s) => s.id === t.plan.decision!.keep)?.name}`
  if (t.plan.endedAt) return texts.awaitingDecision
  const all = standOfSittings(t)
  const done = all.filter((s) => s.done === s.of).length
  return done === 0 ? texts.notAssessedYet : texts.ofSessionsDone(done, all.length)
}
const rows = computed(() =>
  trials.trials.map((t) => ({
    id: t.plan.id,
    name: t.name,
    of: t.plan.of?.name ?? '',
    stand: stand(t),
    open: !t.plan.decision,
    facts: texts.samples(
      t.samples.length,
      t.plan.people.length === 1 ? texts.oneAssessor : texts.assessors(t.plan.people.length),
    ),
    day: format(new Date(t.plan.createdAt), 'd MMM yyyy'),
  })),
)
</script>

<template>
  <div class="page">
    <PageHead :title="texts.trials">
      <Button
        v-if="rows.length"
        :label="texts.createTrial"
        icon="pi pi-plus"
        @click="router.push('/trials/new')"
      />
    </PageHead>
    <Notice v-if="trials.problem" kind="stop">{{ trials.problem }}</Notice>
    <ul v-if="rows.length" class="card list">
      <li v-for="r in rows" :key="r.id">
        <RouterLink :to="`/trials/${r.id}`" class="row">
          <span class="what"
            ><strong>{{ r.name }}</strong
            ><span class="muted small">{{ r.of }}</span></span
          >
          <span class="small">{{ r.facts }}</span>
          <span class="small" :class="{ open: r.open }">{{ r.stand }}</span>
          <span class="muted small">{{ r.day }}</span>
        </RouterLink>
      </li>
    </ul>
    <NothingYet v-else-if="trials.ready" :title="texts.noTrialsYet">
      <p>
        {{ texts.changeOneThingMakeA }}
      </p>
      <template #actions>
        <Button :label="texts.createTrial" icon="pi pi-plus" @click="router.push('/trials/new')" />
        <PlainButton :label="texts.loadTwoExampleTrials" @click="takeInDemoTrials()" />
      </template>
    </NothingYet>
    <p v-else class="muted">{{ texts.loadingTheTrials }}</p>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1.4fr) 7rem;
  align-items: center;
  gap: 0.25rem 1rem;
  min-height: 56px;
  padding: 0.5rem 1rem;
  border-bottom: 1px solid var(--line);
  color: inherit;
  text-decoration: none;
}
.list li:last-child .row {
  border-bottom: 0;
}
.row:hover {
  background: var(--wash);
}
.what {
  display: grid;
  min-width: 0;
  overflow-wrap: anywhere;
}
.open {
  color: var(--accent-ink);
  font-weight: 600;
}
@media (max-width: 620px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
