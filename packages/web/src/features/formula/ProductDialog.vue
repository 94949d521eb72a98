<script setup lang="ts">
import { common } from '#words/common'
import { productDialog as texts } from '#words/formula'
import { LIMITS, parseNumber, sayNumber } from '@omblet/core'
import { PlainButton } from '../../components/buttons'
import { PopUp } from '../../components/dialogs'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import ProductFields from '../../components/ProductFields.vue'
import TextField from '../../components/TextField.vue'
import { rememberScale } from '../../browser/scale'
import { useEditor } from '../../stores/editor'

const open = defineModel<boolean>('open', { required: true })
const editor = useEditor()
const formula = computed(() => editor.formula!)
const product = computed(() => formula.value.product)
const claim = ref('')
const scaleText = ref<string | null>(null)
const scaleError = ref<string | null>(null)
const repeatsText = ref<string | null>(null)
const repeatsError = ref<string | null>(null)

const SCALES = [1, 0.1, 0.01, 0.001]
const KNOWN = ['natural', 'vegan', 'fragrance-free', 'fresh']
const claims = computed(() => product.value.claims ?? [])
const suggestions = computed(() => KNOWN.filter((known) => !claims.value.includes(known)))

const set = (patch: Partial<typeof product.value>) => editor.apply({ type: 'patch-product', patch })
function addClaim(text: string) {
  const clean = text.trim().slice(0, 200)
  if (clean !== '' && !claims.value.includes(clean)) set({ claims: [...claims.value, clean] })
  claim.value = ''
}
const removeClaim = (text: string) => {
  const left = claims.value.filter((c) => c !== text)
  set({ claims: left.length > 0 ? left : undefined })
}
function onScale(text: string) {
  scaleText.value = text
  const parsed = parseNumber(text, { min: 0.0001, max: 100, what: texts.theResolution, unit: 'g' })
  scaleError.value =
    'error' in parsed ? parsed.error : parsed.value === null ? texts.enterTheResolutionOfThe : null
  if ('value' in parsed && parsed.value)
    editor.apply({ type: 'patch', patch: { scaleResolutionGrams: parsed.value } }, 'scale')
}
function onRepeats(text: string) {
  repeatsText.value = text
  const parsed = parseNumber(text, { min: 0.0001, max: 100, what: texts.howWellItRepeats, unit: 'g' })
  repeatsError.value = 'error' in parsed ? parsed.error : null
  if ('value' in parsed)
    editor.apply({ type: 'patch', patch: { scaleRepeatabilityGrams: parsed.value ?? undefined } }, 'repeats')
}
function settleScale() {
  scaleText.value = null
  scaleError.value = null
  repeatsText.value = null
  repeatsError.value = null
  const { scaleResolutionGrams: step = 0.01, scaleRepeatabilityGrams: repeats } = formula.value
  rememberScale({ step, ...(repeats ? { repeats } : {}) })
}
function onNote(event: Event) {
  const { value } = event.target as HTMLTextAreaElement
  editor.apply({ type: 'patch', patch: { note: value.slice(0, LIMITS.note) || undefined } }, 'note')
}
</script>

<template>
  <PopUp v-model:visible="open" :header="common.product" @hide="editor.settle()" width="36rem">
    <div class="dialog-form">
      <ProductFields :product="product" made-for @change="set" />
      <TextField
        :label="texts.scaleResolutionG"
        :error="scaleError"
        :model-value="scaleText ?? sayNumber(formula.scaleResolutionGrams ?? 0.01, 4)"
        list="scales"
        figure
        @update:model-value="onScale"
        @blur="settleScale"
      >
        <datalist id="scales"><option v-for="s in SCALES" :key="s" :value="String(s)"></option></datalist>
        <p class="muted small">{{ texts.withTwoScalesEnterThe }}</p>
      </TextField>
      <TextField
        :label="texts.repeatabilityG"
        :error="repeatsError"
        :model-value="
          repeatsText ??
          (formula.scaleRepeatabilityGrams ? sayNumber(formula.scaleRepeatabilityGrams, 4) : '')
        "
        figure
        :placeholder="texts.asSpecified"
        @update:model-value="onRepeats"
        @blur="settleScale"
      >
        <p class="muted small">{{ texts.leaveEmptyToUseThe }}</p>
      </TextField>
      <div class="field wide">
        <label for="product-claim">{{ texts.claims }}</label>
        <ul v-if="claims.length" class="claims">
          <li v-for="text in claims" :key="text" class="chip">
            <span class="claim-text">{{ text }}</span>
            <button type="button" :aria-label="texts.remove(text)" @click="removeClaim(text)">
              <i class="pi pi-times" aria-hidden="true"></i>
            </button>
          </li>
        </ul>
        <div class="add">
          <InputText
            id="product-claim"
            v-model="claim"
            maxlength="200"
            :placeholder="texts.naturalVeganMakesSkinSoft"
            fluid
            @keydown.enter.prevent="addClaim(claim)"
          />
          <PlainButton :label="common.add" :disabled="claim.trim() === ''" @click="addClaim(claim)" />
        </div>
        <div class="suggest">
          <button v-for="text in suggestions" :key="text" type="button" class="chip" @click="addClaim(text)">
            <i class="pi pi-plus" aria-hidden="true"></i>{{ text }}
          </button>
        </div>
      </div>
      <TextField
        :label="common.note"
        class="wide"
        :model-value="formula.note ?? ''"
        :rows="2"
        @input="onNote"
      />
    </div>
  </PopUp>
</template>

<style scoped>
.claims,
.suggest {
  display: flex;
  flex-wrap: wrap;
  gap: 0.375rem;
}
.claims .chip {
  color: var(--ink);
  padding-right: 0.25rem;
  max-width: 100%;
}
.claim-text {
  overflow: hidden;
  text-overflow: ellipsis;
}
.claims button {
  width: 24px;
  height: 24px;
  border: 0;
  border-radius: var(--round-xl);
  background: none;
  cursor: pointer;
}
.add {
  display: flex;
  gap: 0.5rem;
}
</style>
