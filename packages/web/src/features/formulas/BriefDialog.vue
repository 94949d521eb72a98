<script setup lang="ts">
import { common } from '#words/common'
import { briefDialog as texts } from '#words/formulas'
import { fromBrief, LIMITS, parseNumber, USUAL_BATCH, type Product } from '@omblet/core'
import Button from 'primevue/button'
import { QuietButton } from '../../components/buttons'
import { PopUp } from '../../components/dialogs'
import { computed, reactive, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import ChoiceField from '../../components/ChoiceField.vue'
import ProductFields from '../../components/ProductFields.vue'
import TextField from '../../components/TextField.vue'
import { kindWord } from '../../components/words'
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
/** Another kind brings what is usual for it. */
function change(patch: Partial<Product>) {
  Object.assign(brief.product, patch)
  const { kind } = patch
  if (!kind) return
  if (kind === 'leave-in') brief.product.site = 'hair'
  else if (brief.product.site === 'hair') brief.product.site = 'face'
  if (kind === 'butter') brief.product.site = 'body'
  brief.product.rinse = kind === 'cleanser' || kind === 'mask' ? 'rinse-off' : 'leave-on'
  if (!batchTouched.value) brief.batch = String(USUAL_BATCH[kind])
}

const batch = computed(() =>
  parseNumber(brief.batch, { min: 1, max: 100000, what: common.theBatch, unit: 'g' }),
)
const batchError = computed(() =>
  'error' in batch.value ? batch.value.error : batch.value.value === null ? common.enterTheBatchSizeIn : null,
)
const nameError = computed(() =>
  brief.name.length > LIMITS.name ? texts.theNameHasCharactersAre(brief.name.length, LIMITS.name) : null,
)

async function create() {
  if (batchError.value || nameError.value || busy.value) return
  busy.value = true
  const name = brief.name.trim() || texts.newWord(kindWord(brief.product.kind).toLowerCase())
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
  <PopUp v-model:visible="open" :header="texts.newFormula">
    <form class="dialog-form" @submit.prevent="create">
      <TextField
        :label="common.name"
        :error="nameError"
        class="wide"
        v-model="brief.name"
        autofocus
        :placeholder="texts.newWord(kindWord(brief.product.kind).toLowerCase())"
      />
      <ProductFields :product="brief.product" @change="change" />
      <TextField
        :label="common.batchInGrams"
        :error="batchError"
        v-model="brief.batch"
        @input="batchTouched = true"
        figure
      />
      <ChoiceField v-model="brief.scale" :label="texts.scaleResolution" :options="scales" />
      <p class="wide muted small">
        {{ texts.startsWithTheUsualPhases }}
      </p>
      <div class="dialog-buttons">
        <QuietButton type="button" :label="common.cancel" @click="open = false" />
        <Button type="submit" :label="texts.create" :disabled="batchError !== null || nameError !== null" />
      </div>
    </form>
  </PopUp>
</template>
