<script setup lang="ts">
import { common } from '#words/common'
import { planDialog as texts } from '#words/stability'
import { matterText } from '@omblet/core/words'
import {
  looksOf,
  proposeWatch,
  WATCH,
  type Property,
  type Sample,
  type Storage,
  STORAGES,
} from '@omblet/core'
import Button from 'primevue/button'
import { QuietButton } from '../../components/buttons'
import Checkbox from 'primevue/checkbox'
import { PopUp } from '../../components/dialogs'
import { computed, ref, watch } from 'vue'
import NumberField from '../../components/NumberField.vue'
import { sayLook } from './words'
import type { Life } from './use-life'

/** What to set aside and when to look at what, proposed from the formula and changed in a few presses. */
const props = defineProps<{ life: Life }>()
const open = defineModel<boolean>('open', { required: true })

const filled = computed(
  () =>
    props.life.state.value?.finished?.filledGrams ??
    props.life.made.value?.assessment.amounts.batchGrams ??
    0,
)
const proposal = computed(() => {
  const made = props.life.made.value
  return made ? proposeWatch(made.assessment, made.findings, filled.value) : null
})
const on = ref<Storage[]>([])
const grams = ref<Partial<Record<Storage, number | null>>>({})
const properties = ref<Property[]>([])
const days = ref<number[]>([])
const usual = computed(() => proposal.value?.samples[0]?.grams ?? 20)

watch(
  [open, proposal],
  ([isOpen, p]) => {
    if (!isOpen || !p) return
    const before = props.life.history.value?.samples ?? []
    const samples = before.length > 0 ? before : p.samples
    on.value = samples.map((s) => s.storage)
    grams.value = Object.fromEntries(samples.map((s) => [s.storage, s.grams ?? null]))
    const looks = before.length > 0 ? props.life.history.value!.looks : p.looks
    properties.value = p.matters
      .map((m) => m.property)
      .filter((x) => looks.some((l) => l.properties.includes(x)))
    days.value = [...new Set(looks.filter((l) => l.sample !== 'frost').map((l) => l.day))].sort(
      (x, y) => x - y,
    )
  },
  { immediate: true },
)

const storages = computed(() =>
  STORAGES.filter((s) => s !== 'daily' || proposal.value?.samples.some((x) => x.storage === 'daily')),
)
const allDays = computed(() =>
  [
    ...new Set([
      ...WATCH.storages.room.days,
      ...(on.value.includes('daily') ? WATCH.storages.daily.days : []),
    ]),
  ].sort((x, y) => x - y),
)
const samples = computed<Sample[]>(() =>
  storages.value
    .filter((s) => on.value.includes(s))
    .map((storage) => ({
      id: storage,
      storage,
      ...(grams.value[storage] ? { grams: grams.value[storage]! } : {}),
    })),
)
const looks = computed(() => {
  const matters = proposal.value?.matters.filter((m) => properties.value.includes(m.property)) ?? []
  return samples.value
    .flatMap((s) => looksOf(s, matters))
    .filter((l) => l.sample === 'frost' || days.value.includes(l.day))
})
const aside = computed(() => samples.value.reduce((s, x) => s + (x.grams ?? 0), 0))
const toggle = <T,>(list: readonly T[], item: T): T[] =>
  list.includes(item) ? list.filter((x) => x !== item) : [...list, item]
function take(storage: Storage) {
  on.value = toggle(on.value, storage)
  if (on.value.includes(storage) && storage !== 'use') grams.value[storage] ??= usual.value
}
const minutes = computed(() => Math.max(1, Math.round(looks.value.length)))
function save() {
  if (looks.value.length === 0) return
  if (props.life.batch.enter({ type: 'keep', samples: samples.value, looks: looks.value }, null))
    open.value = false
}
</script>

<template>
  <PopUp v-model:visible="open" :header="common.scheduleObservations" width="46rem">
    <form v-if="proposal" class="plan" @submit.prevent="save">
      <section>
        <h3>{{ texts.retainedSamples }}</h3>
        <ul class="stacked closer">
          <li v-for="s in storages" :key="s" class="sample">
            <label class="tick abreast">
              <Checkbox
                :model-value="on.includes(s)"
                binary
                :input-id="`plan-${s}`"
                @update:model-value="take(s)"
              />
              <span
                ><strong>{{ WATCH.storages[s].label }}</strong>
                <span class="muted small">{{ WATCH.storages[s].says }}</span></span
              >
            </label>
            <NumberField
              v-if="on.includes(s) && s !== 'use'"
              :model-value="grams[s] ?? null"
              :label="common.grams"
              unit="g"
              :max="100000"
              :what="common.theWeight"
              class="grams"
              @update:model-value="grams[s] = $event"
            />
          </li>
        </ul>
        <p class="small" :class="aside > filled ? 'error-text' : 'muted'" role="status">
          {{ texts.gOfGKeptBack(aside, Math.round(filled)) }}
        </p>
      </section>
      <section>
        <h3>{{ texts.observe }}</h3>
        <ul class="stacked closer">
          <li v-for="m in proposal.matters" :key="m.property">
            <label class="tick abreast">
              <Checkbox
                :model-value="properties.includes(m.property)"
                binary
                :input-id="`plan-p-${m.property}`"
                @update:model-value="properties = toggle(properties, m.property)"
              />
              <span
                ><strong>{{ WATCH.properties[m.property].label }}</strong>
                <span class="muted small">{{ matterText(m.why) }}</span></span
              >
            </label>
          </li>
        </ul>
      </section>
      <section>
        <h3>{{ texts.after }}</h3>
        <div class="days" role="group" :aria-label="texts.days">
          <button
            v-for="d in allDays"
            :key="d"
            type="button"
            class="day"
            :aria-pressed="days.includes(d)"
            @click="days = toggle(days, d)"
          >
            {{ sayLook('room', d) }}
          </button>
        </div>
        <p class="muted small">
          {{ texts.letColdOrWarmSamples }}
        </p>
      </section>
      <div class="dialog-buttons">
        <span class="muted small sum" role="status">{{
          texts.observationsAboutMinutesInTotal(looks.length, minutes)
        }}</span>
        <QuietButton type="button" :label="common.cancel" @click="open = false" />
        <Button type="submit" :label="texts.startObservations" :disabled="looks.length === 0" />
      </div>
    </form>
  </PopUp>
</template>

<style scoped>
.plan {
  display: grid;
  gap: 1rem;
}
h3 {
  padding-bottom: 0.25rem;
}
.tick {
  flex: 1;
  min-height: 44px;
  cursor: pointer;
}
.tick .small {
  display: block;
}
.grams :deep(label) {
  position: absolute;
  clip-path: inset(50%);
}
.sample {
  display: flex;
  align-items: center;
  gap: 0.75rem;
}
.grams {
  flex: none;
  width: 7rem;
}
.days {
  display: flex;
  flex-wrap: wrap;
  gap: 0.375rem;
  padding-bottom: 0.375rem;
}
.day {
  min-height: 44px;
  padding: 0 0.875rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-xl);
  background: none;
  cursor: pointer;
}
.day[aria-pressed='true'] {
  border-color: var(--accent);
  background: var(--cobalt-100);
  font-weight: 700;
}
.dialog-buttons {
  flex-wrap: wrap;
}
.sum {
  flex: 1 1 12rem;
}
</style>
