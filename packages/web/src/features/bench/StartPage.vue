<script setup lang="ts">
import { common } from '#words/common'
import { startPage as texts } from '#words/bench'
import {
  batchCode,
  benchPlan,
  densityOf,
  lossOf,
  formatNumber,
  formulaToMake,
  gramsForContainers,
  type Formula,
} from '@omblet/core'
import Button from 'primevue/button'
import TitledCard from '../../components/TitledCard.vue'
import PageHead from '../../components/PageHead.vue'
import { PlainButton } from '../../components/buttons'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ChoiceField from '../../components/ChoiceField.vue'
import TextField from '../../components/TextField.vue'
import LearnedNote from '../../components/LearnedNote.vue'
import Notice from '../../components/Notice.vue'
import NumberField from '../../components/NumberField.vue'
import OneOf from '../../components/OneOf.vue'
import { explainStorage } from '../../storage/db'
import { listVersions } from '../../storage/formulas'
import type { VersionRecord } from '../../storage/schema'
import { useBatch } from '../../stores/batch'
import { useBatches } from '../../stores/batches'
import { useLearned } from '../../stores/learned'
import { useLibrary } from '../../stores/library'
import { today } from '../../stores/lots'
import { useMaterials } from '../../stores/materials'
import BeforeCard from './BeforeCard.vue'

const route = useRoute()
const router = useRouter()
const library = useLibrary()
const materials = useMaterials()
const batches = useBatches()
const batch = useBatch()

onMounted(async () => {
  document.title = texts.startABatchOmblet
  await batches.load()
  // what was typed meanwhile stays
  who.value ||= batches.who
})

const formulaId = ref(typeof route.query['formula'] === 'string' ? route.query['formula'] : null)
const choices = computed(() =>
  library.records.map((r) => ({ value: r.id, label: r.formula.name || common.unnamedFormula })),
)
const record = computed(() => library.records.find((r) => r.id === formulaId.value) ?? null)
const versions = shallowRef<VersionRecord[]>([])
const versionId = ref<string | null>(null)
watch(
  formulaId,
  async (id) => {
    versionId.value = null
    versions.value = id ? await listVersions(id).catch(() => []) : []
  },
  { immediate: true },
)
const versionChoices = computed(() => [
  { value: null, label: texts.currentFormula },
  ...versions.value.map((v) => ({
    value: v.id,
    label: texts.version2(v.number, v.name ? `, ${v.name}` : ''),
  })),
])
const version = computed(() => versions.value.find((v) => v.id === versionId.value) ?? null)
const source = computed<Formula | null>(() => version.value?.formula ?? record.value?.formula ?? null)

const learned = useLearned()
const by = ref<'grams' | 'containers'>('grams')
const BY = [
  { value: 'grams', label: common.grams },
  { value: 'containers', label: common.containers },
]
const grams = ref<number | null>(null)
const count = ref<number | null>(4)
const ml = ref<number | null>(50)
const density = ref<number | null>(0.97)
const loss = ref<number | null>(5)
watch(
  source,
  (f) => {
    const a = f ? materials.derive(f).assessment : null
    grams.value = a?.amounts.batchGrams ?? null
    if (!a) return
    density.value = Number(densityOf(a).value.toFixed(2))
    loss.value = Math.round(learned.of('loss')?.mean ?? lossOf(a).value)
  },
  { immediate: true },
)
const containers = computed(() =>
  by.value === 'containers' && count.value && ml.value && density.value && loss.value !== null
    ? { count: Math.round(count.value), ml: ml.value, density: density.value, lossPercent: loss.value }
    : null,
)
const wanted = computed(() => {
  if (by.value === 'grams') return grams.value
  return containers.value ? Math.ceil(gramsForContainers(containers.value)) : null
})

const frozen = computed<Formula | null>(() => {
  if (!source.value || !wanted.value) return null
  return materials.selfContained(formulaToMake(source.value, wanted.value))
})
const plan = computed(() => (frozen.value ? benchPlan(frozen.value, materials.catalogue) : null))
const code = ref('')
const suggested = computed(() =>
  source.value
    ? batchCode(
        source.value.name,
        today(),
        batches.heads.map((b) => b.code),
      )
    : '',
)
const taken = computed(() =>
  batches.heads.some((b) => b.code.toUpperCase() === code.value.trim().toUpperCase())
    ? texts.thisBatchCodeIsAlready
    : null,
)
const who = ref('')
const room = ref<number | null>(null)
const busy = ref(false)
const problem = ref<string | null>(null)
const empty = computed(() => plan.value !== null && plan.value.a.lines.every((l) => l.grams <= 0))

async function begin() {
  if (!frozen.value || !source.value || busy.value || taken.value) return
  busy.value = true
  try {
    const id = await batch.begin(
      {
        code: code.value.trim() || suggested.value,
        name: source.value.name || common.unnamedFormula,
        formulaId: formulaId.value,
        who: who.value.trim(),
      },
      {
        type: 'start',
        formula: frozen.value,
        version: version.value?.number ?? null,
        ...(containers.value ? { containers: containers.value } : {}),
        ...(room.value === null ? {} : { roomCelsius: room.value }),
      },
    )
    await batches.remember(who.value.trim())
    await router.push(`/bench/${id}`)
  } catch (error) {
    problem.value = explainStorage(error)
  }
  busy.value = false
}
</script>

<template>
  <form class="page" @submit.prevent="begin">
    <PageHead :title="texts.startABatch" />
    <Notice v-if="problem" kind="stop">{{ problem }}</Notice>
    <div class="columns">
      <TitledCard :title="texts.formulaAndAmount" :level="2">
        <ChoiceField
          v-model="formulaId"
          :label="common.formula"
          :options="choices"
          :placeholder="texts.chooseAFormula"
          filter
        />
        <ChoiceField
          v-if="versions.length"
          v-model="versionId"
          :label="texts.version"
          :options="versionChoices"
        />
        <div class="amount">
          <OneOf v-model="by" :options="BY" :label="texts.amountBy" />
          <NumberField
            v-if="by === 'grams'"
            v-model="grams"
            :label="common.batch"
            unit="g"
            :min="1"
            :max="100000"
            :what="common.theBatch"
          />
          <template v-else>
            <NumberField
              v-model="count"
              :label="common.containers"
              :min="1"
              :max="1000"
              :what="common.theNumber"
            />
            <NumberField
              v-model="ml"
              :label="texts.volumeOfEach"
              unit="mL"
              :min="1"
              :max="10000"
              :what="texts.theSize"
            />
            <NumberField
              v-model="density"
              :label="texts.density"
              unit="g/mL"
              :min="0.5"
              :max="2"
              :what="texts.theDensity"
            />
            <NumberField
              v-model="loss"
              :label="texts.transferLoss"
              unit="%"
              :min="0"
              :max="50"
              :what="texts.theLoss"
            />
          </template>
        </div>
        <p v-if="by === 'containers' && wanted" class="sum">
          {{ texts.makes }} <strong class="mono">{{ formatNumber(wanted, 0) }} g</strong
          >{{ texts.creamsContainAir095 }}
        </p>
        <LearnedNote v-if="by === 'containers'" lesson="loss" :says="texts.transferLoss2" unit="%" />
        <div class="two">
          <TextField
            :label="common.batchCode"
            :error="taken"
            v-model="code"
            :placeholder="suggested"
            maxlength="60"
            mono
          />
          <TextField :label="texts.madeBy" v-model="who" maxlength="100" autocomplete="off" />
          <NumberField
            v-model="room"
            :label="texts.roomTemperatureIfKnown"
            unit="°C"
            :min="0"
            :max="45"
            :what="texts.theRoomsTemperature"
            placeholder="21"
          />
        </div>
        <p class="muted small">
          {{ texts.theBatchKeepsACopy }}
        </p>
      </TitledCard>

      <BeforeCard :source="source" :plan="plan" :wanted="wanted">
        <div class="buttons for-hands">
          <PlainButton :label="common.back" @click="router.back()" />
          <Button
            type="submit"
            :label="texts.startBatch"
            icon="pi pi-play"
            :loading="busy"
            :disabled="!plan || empty || taken !== null"
          />
        </div>
      </BeforeCard>
    </div>
  </form>
</template>

<style scoped>
.page {
  max-width: 1120px;
}
.amount {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  align-items: end;
  gap: 0.75rem;
}
.amount > :first-child {
  grid-column: 1 / -1;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr));
  gap: 0.75rem;
}
.buttons {
  display: flex;
  justify-content: flex-end;
  gap: 0.5rem;
}
</style>
