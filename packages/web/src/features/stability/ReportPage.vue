<script setup lang="ts">
import { common } from '#words/common'
import { reportPage as texts } from '#words/stability'
import { batchVerdictText, verdictText, unseenText, deviationText } from '@omblet/core/words'
import {
  choicesOf,
  deviations,
  formatGrams,
  madeGrams,
  sayNumber,
  PROPERTIES,
  STORAGES,
  WATCH,
  type Answer,
} from '@omblet/core'
import { format } from 'date-fns'
import Button from 'primevue/button'
import { computed } from 'vue'
import UpLink from '../../components/UpLink.vue'
import FindingMark from '../../components/FindingMark.vue'
import NotHere from '../../components/NotHere.vue'
import PropertyRow from './PropertyRow.vue'
import { useLife } from './use-life'
import { MARK, sayLook } from './words'

/** A batch’s life on two pages: what it is and what it means, then everything that was seen. */
const props = defineProps<{ id: string }>()
const life = useLife(() => props.id)
const { batch, history, verdict, made, state } = life
const day = (iso: string) => format(new Date(iso), 'd MMM yyyy')
const room = computed(() => {
  const first = history.value?.samples.find((s) => s.storage === 'room') ?? history.value?.samples[0]
  return (verdict.value?.list ?? []).filter((v) => v.series.sample === first?.id && v.series.reads.length > 0)
})
const others = computed(() => (verdict.value?.list ?? []).filter((v) => v.grade !== 'fine'))
const gone = computed(() => (state.value ? deviations(state.value) : []))
/** Answers by look: a row for each, a column for each property. */
const table = computed(() => {
  const h = history.value
  if (!h) return { properties: [], rows: [] }
  const counts = h.answers.filter((a) => !a.corrected)
  const properties = PROPERTIES.filter((p) => counts.some((a) => a.property === p))
  const keys = [...new Set(counts.map((a) => `${a.sample}|${a.day ?? `x${Math.round(a.age)}`}`))]
  const rows = keys.map((key) => {
    const these = counts.filter((a) => `${a.sample}|${a.day ?? `x${Math.round(a.age)}`}` === key)
    const storage = h.samples.find((s) => s.id === these[0]!.sample)?.storage ?? 'room'
    const d = these[0]!.day
    return {
      key,
      storage,
      age: these[0]!.age,
      label: `${WATCH.storages[storage].label}, ${d === null ? (Math.round(these[0]!.age) === 0 ? texts.filled3 : texts.day(Math.round(these[0]!.age))) : sayLook(storage, d)}`,
      on: day(these[0]!.at),
      cells: properties.map(
        (p) =>
          these
            .filter((a) => a.property === p)
            .map(says)
            .join('; ') || '–',
      ),
    }
  })
  return {
    properties,
    rows: rows.sort((x, y) => STORAGES.indexOf(x.storage) - STORAGES.indexOf(y.storage) || x.age - y.age),
  }
})
const says = (a: Answer) =>
  a.value !== null
    ? sayNumber(a.value)
    : a.choice
      ? (choicesOf(a.property).find((c) => c.id === a.choice)?.words ?? a.choice)
      : 'photo'
const print = () => window.print()
</script>

<template>
  <div v-if="life.phase.value === 'here' && history && state && made" class="page">
    <div class="acts abreast">
      <UpLink :to="`/stability/${id}`" :label="common.backToTheBatch" />
      <span class="push grow"></span>
      <Button :label="common.print" icon="pi pi-print" @click="print" />
    </div>
    <article class="sheet stacked">
      <h1>{{ batch.info!.name }}</h1>
      <p class="muted">
        {{ common.batch }} <span class="mono">{{ batch.info!.code }}</span>{{
          texts.begun(day(state.start.at))
        }}<template v-if="history.filledAt">{{ texts.filled(day(history.filledAt)) }}</template
        ><template v-if="batch.info!.who">{{ texts.by(batch.info!.who) }}</template>
      </p>
      <div class="verdict abreast">
        <FindingMark v-if="verdict?.grade" :severity="MARK[verdict.grade]" :size="22" />
        <p v-if="verdict">{{ batchVerdictText(verdict).says }}</p>
      </div>
      <ul v-if="others.length">
        <li v-for="v in others" :key="`${v.series.sample} ${v.series.property}`">
          <strong>{{ WATCH.storages[v.series.storage].label }}: {{ verdictText(v).first }}</strong>
          {{ verdictText(v).why }}
          {{ verdictText(v).next }}
        </li>
      </ul>
      <h2>{{ common.batch }}</h2>
      <p>
        {{ texts.made(formatGrams(madeGrams(state), 0.1))
        }}<template v-if="state.finished?.filledGrams">{{
          texts.filled2(formatGrams(state.finished.filledGrams, 0.1))
        }}</template
        >. {{ made.inci }}.
      </p>
      <ul v-if="gone.length" class="small">
        <li v-for="d in gone.slice(0, 8)" :key="d.n">{{ deviationText(d.said) }}</li>
      </ul>
      <h2>{{ texts.atRoomTemperature }}</h2>
      <PropertyRow
        v-for="v in room"
        :key="v.series.property"
        :property="v.series.property"
        :list="[v]"
        :earlier="[]"
        :assessment="made.assessment"
      />
      <p v-if="room.length === 0" class="muted">{{ texts.noMeasurementsAtRoomTemperature }}</p>
    </article>
    <article class="sheet second stacked">
      <h2>{{ texts.allObservations }}</h2>
      <div class="scroll">
        <table class="small">
          <thead>
            <tr>
              <th scope="col">{{ texts.sample }}</th>
              <th scope="col">{{ texts.on }}</th>
              <th v-for="p in table.properties" :key="p" scope="col">{{ WATCH.properties[p].label }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in table.rows" :key="r.key">
              <th scope="row">{{ r.label }}</th>
              <td>{{ r.on }}</td>
              <td v-for="(c, i) in r.cells" :key="i">{{ c }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="small muted">{{ unseenText() }}</p>
    </article>
  </div>
  <NotHere
    v-else-if="life.phase.value === 'missing'"
    :what="common.batch2"
    :why="life.refused.value"
    to="/stability"
    :to-label="common.allBatchesOnStabilityTest"
  />
</template>

<style scoped>
.page {
  display: grid;
  gap: 1rem;
  max-width: 60rem;
  padding: 0.5rem 1rem 3rem;
}
.sheet {
  padding: 1.25rem;
  border: 1px solid var(--line);
  border-radius: var(--round-l);
  background: var(--paper);
  min-width: 0;
}
h2 {
  padding-top: 0.5rem;
}
@media print {
  .acts {
    display: none;
  }
  .page {
    display: block;
    padding: 0;
    max-width: none;
  }
  .sheet {
    padding: 0;
    border: 0;
  }
  .second {
    break-before: page;
  }
  .scroll {
    overflow: visible;
  }
  .sheet :deep(details) {
    display: none;
  }
}
</style>
