<script setup lang="ts">
import { foundCard as texts } from '#words/trials'
import { foundLine, foundText, frostFoundText, bodyText } from '@omblet/core/words'
import {
  BODIES,
  derivedOf,
  forecastAndFound,
  forecastOf,
  foundInBatch,
  FROST_FOUND,
  withFound,
  type Measured,
  type PlannedTrial,
} from '@omblet/core'
import { computed, onBeforeUnmount, shallowRef, watch } from 'vue'
import TitledCard from '../../components/TitledCard.vue'
import ChoiceField from '../../components/ChoiceField.vue'
import NumberField from '../../components/NumberField.vue'
import { READING_WAYS } from '../../components/reading-ways'
import { readBatch } from '../../composables/batch-state'
import { photosOf } from '../../storage/batches'
import { useMaterials } from '../../stores/materials'
import { useTrials } from '../../stores/trials'
import { HOUSEHOLD_MEASURES } from './household-measures'
import Letter from './Letter.vue'

/** What Omblet expected of each jar beside what was found, so that one sees where it was wrong; and figures from the kitchen. */
const props = defineProps<{ trial: PlannedTrial }>()
const trials = useTrials()
const materials = useMaterials()
/** What the batches tell by themselves, and their photographs by sample. */
const told = shallowRef<Measured[]>([])
const pictures = shallowRef<{ sample: string; url: string }[]>([])
const forget = () => pictures.value.forEach((p) => URL.revokeObjectURL(p.url))
onBeforeUnmount(forget)
watch(
  () => props.trial.samples.map((s) => s.batchId).join(),
  async () => {
    const read = await Promise.all(
      props.trial.samples.map(async (s) => {
        const batch = s.batchId ? await readBatch(s.batchId) : null
        return batch ? foundInBatch(s.id, batch.state) : []
      }),
    )
    told.value = read.flat()
    const kept = await Promise.all(
      props.trial.samples.map(async (s) => {
        const photos = s.batchId ? await photosOf(s.batchId).catch(() => []) : []
        return photos.map((p) => ({ sample: s.id, url: URL.createObjectURL(p.blob) }))
      }),
    )
    forget()
    pictures.value = kept.flat()
  },
  { immediate: true },
)
const rows = computed(() =>
  props.trial.samples.map((s, i) => {
    const mine = [...told.value, ...props.trial.plan.measured].filter((m) => m.sample === s.id)
    const forecast = s.formula ? forecastOf(derivedOf(s.formula, materials.catalogue), () => null) : null
    const value = (what: Measured['what']) => mine.findLast((m) => m.what === what)
    const photos = pictures.value.filter((p) => p.sample === s.id)
    return { s, i, rows: forecastAndFound(forecast, mine), value, photos }
  }),
)
const ways = [{ value: null, label: texts.notSpecified }, ...READING_WAYS]
const NONE = 'none'
/** Those that are figures; the others are chosen. */
const figures = HOUSEHOLD_MEASURES.filter((k) => k.what !== 'body' && k.what !== 'frost')
const bodies = [
  { value: NONE, label: texts.notAssessed },
  ...BODIES.map((b) => ({ value: b as string, label: bodyText(b) })),
]
const frosts = [
  { value: NONE, label: texts.notTested },
  ...FROST_FOUND.map((f) => ({ value: f as string, label: frostFoundText(f) })),
]
const put = (found: Measured) => void trials.change(props.trial.plan.id, (here) => withFound(here, found))
/** A figure; a pH keeps how it was read. */
const number = (sample: string, what: Measured['what'], value: number | null, way?: Measured['way']) =>
  put({ sample, what, ...(value === null ? {} : { value, ...(way ? { way } : {}) }) })
const choice = (sample: string, what: Measured['what'], value: string) =>
  put({ sample, what, ...(value === NONE ? {} : { choice: value }) })
</script>

<template>
  <TitledCard :title="texts.predictedAndMeasured" :level="2">
    <ul class="rows">
      <li v-for="r in rows" :key="r.s.id">
        <Letter :at="r.i" :reference="r.s.reference" />
        <div>
          <strong>{{ r.s.name }}</strong>
          <p v-if="r.rows.length === 0" class="muted small">{{ texts.noMeasurementsYet }}</p>
          <p v-for="f in r.rows" :key="f.what" class="small" :class="{ wrong: f.fits === false }">
            {{ foundLine(f) }}<strong v-if="f.missed"> ← {{ foundText(f).says }}</strong>
          </p>
          <ul v-if="r.photos.length" class="photos" :aria-label="texts.photosOf(r.s.name)">
            <li v-for="p in r.photos" :key="p.url">
              <a :href="p.url" target="_blank"><img :src="p.url" :alt="texts.photoOf(r.s.name)" /></a>
            </li>
          </ul>
          <details>
            <summary class="small">{{ texts.recordMeasurements }}</summary>
            <div class="fields">
              <template v-for="k in figures" :key="k.what">
                <NumberField
                  :id="`found-${r.s.id}-${k.what}`"
                  :model-value="r.value(k.what)?.value ?? null"
                  :label="k.label"
                  :unit="k.unit"
                  :max="k.what === 'ph' ? 14 : 1000"
                  :what="texts.the(k.label.toLowerCase())"
                  @update:model-value="number(r.s.id, k.what, $event, r.value(k.what)?.way)"
                />
                <ChoiceField
                  v-if="k.what === 'ph' && r.value('ph')"
                  :id="`found-${r.s.id}-way`"
                  :model-value="r.value('ph')?.way ?? null"
                  :label="texts.phMeasurement"
                  :options="ways"
                  @update:model-value="
                    number(r.s.id, 'ph', r.value('ph')?.value ?? null, $event ?? undefined)
                  "
                />
              </template>
              <ChoiceField
                :id="`found-${r.s.id}-body`"
                :model-value="r.value('body')?.choice ?? NONE"
                :label="texts.consistency"
                :options="bodies"
                @update:model-value="choice(r.s.id, 'body', $event)"
              />
              <ChoiceField
                :id="`found-${r.s.id}-frost`"
                :model-value="r.value('frost')?.choice ?? NONE"
                :label="texts.freezeThaw"
                :options="frosts"
                @update:model-value="choice(r.s.id, 'frost', $event)"
              />
            </div>
          </details>
        </div>
      </li>
    </ul>
  </TitledCard>
</template>

<style scoped>
.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 0.375rem;
}
.photos img {
  width: 72px;
  height: 72px;
  object-fit: cover;
  border-radius: var(--round-m);
}
.rows > li {
  display: grid;
  grid-template-columns: 28px minmax(0, 1fr);
  gap: 0.75rem;
  padding: 0.625rem 0;
  border-top: 1px solid var(--line);
}
.wrong strong {
  color: var(--check);
}
summary {
  min-height: 24px;
  color: var(--accent-ink);
  cursor: pointer;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(8.5rem, 1fr));
  gap: 0.75rem;
  padding: 0.5rem 0;
}
</style>
