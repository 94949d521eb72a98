<script setup lang="ts">
import { fromBrief, LIMITS, parseNumber, USUAL_BATCH, type Kind, type Product } from '@omblet/core'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { computed, reactive, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import ChoiceField from '../../components/ChoiceField.vue'
import FormField from '../../components/FormField.vue'
import { kindOptions, kindWord, regionOptions, rinseOptions, siteOptions } from '../../components/words'
import { rememberedScale } from '../../browser/scale'
import { useLibrary } from '../../stores/library'

const open = defineModel<boolean>('open', { required: true })
const library = useLibrary()
const router = useRouter()

const brief = reactive({
  name: '',
  batch: '100',
  scale: rememberedScale().step,
  product: { kind: 'cream', site: 'face', rinse: 'leave-on', region: 'EU' } as Product,
})
const batchTouched = ref(false)
const busy = ref(false)
const scales = [...new Set([1, 0.1, 0.01, 0.001, rememberedScale().step])]
  .sort((x, y) => y - x)
  .map((value) => ({ value, label: `${value} g` }))

watch(open, (isOpen) => {
  if (!isOpen) return
  brief.name = ''
  batchTouched.value = false
  brief.batch = String(USUAL_BATCH[brief.product.kind])
})
function chooseKind(kind: Kind) {
  brief.product.kind = kind
  if (kind === 'leave-in') brief.product.site = 'hair'
  else if (brief.product.site === 'hair') brief.product.site = 'face'
  if (kind === 'butter') brief.product.site = 'body'
  brief.product.rinse = kind === 'cleanser' || kind === 'mask' ? 'rinse-off' : 'leave-on'
  if (!batchTouched.value) brief.batch = String(USUAL_BATCH[kind])
}

const batch = computed(() => parseNumber(brief.batch, { min: 1, max: 100000, what: 'the batch' }))
const batchError = computed(() =>
  'error' in batch.value
    ? batch.value.error
    : batch.value.value === null
      ? 'Type how many grams to make.'
      : null,
)
const nameError = computed(() =>
  brief.name.length > LIMITS.name
    ? `The name has ${brief.name.length} characters; ${LIMITS.name} fit.`
    : null,
)

async function create() {
  if (batchError.value || nameError.value || busy.value) return
  busy.value = true
  const name = brief.name.trim() || `New ${kindWord(brief.product.kind).toLowerCase()}`
  const grams = 'value' in batch.value ? batch.value.value! : 100
  const { step, repeats } = rememberedScale()
  const { id } = await library.create(
    fromBrief({
      name,
      product: { ...brief.product },
      batchGrams: grams,
      scaleResolutionGrams: brief.scale,
      ...(repeats && step === brief.scale ? { scaleRepeatabilityGrams: repeats } : {}),
    }),
  )
  busy.value = false
  open.value = false
  await router.push(`/formulas/${id}`)
}
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    header="New formula"
    :style="{ width: 'min(34rem, calc(100vw - 2rem))' }"
    :draggable="false"
  >
    <form class="dialog-form" @submit.prevent="create">
      <FormField id="brief-name" label="Name" :error="nameError" class="wide">
        <InputText
          id="brief-name"
          v-model="brief.name"
          autofocus
          fluid
          :placeholder="`New ${kindWord(brief.product.kind).toLowerCase()}`"
          :invalid="nameError !== null"
        />
      </FormField>
      <FormField id="brief-kind" label="Kind">
        <Select
          input-id="brief-kind"
          label-id="brief-kind"
          :model-value="brief.product.kind"
          :options="kindOptions"
          option-label="label"
          option-value="value"
          fluid
          @update:model-value="chooseKind"
        />
      </FormField>
      <ChoiceField id="brief-site" v-model="brief.product.site" label="For" :options="siteOptions" />
      <div class="field">
        <span id="brief-rinse" class="label">How it is used</span>
        <SelectButton
          v-model="brief.product.rinse"
          :options="rinseOptions"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          aria-labelledby="brief-rinse"
        />
      </div>
      <ChoiceField
        id="brief-region"
        v-model="brief.product.region"
        label="Rules of"
        :options="regionOptions"
      />
      <FormField id="brief-batch" label="Batch, in grams" :error="batchError">
        <InputText
          id="brief-batch"
          v-model="brief.batch"
          inputmode="decimal"
          class="mono"
          :invalid="batchError !== null"
          fluid
          @input="batchTouched = true"
        />
      </FormField>
      <ChoiceField id="brief-scale" v-model="brief.scale" label="Scale shows steps of" :options="scales" />
      <p class="wide muted small">
        It starts with the phases that suit this kind, and water filling up to 100 %.
      </p>
      <div class="dialog-buttons">
        <Button type="button" label="Cancel" severity="secondary" text @click="open = false" />
        <Button type="submit" label="Start" :disabled="batchError !== null || nameError !== null" />
      </div>
    </form>
  </Dialog>
</template>
