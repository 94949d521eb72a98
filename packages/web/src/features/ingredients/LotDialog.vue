<script setup lang="ts">
import { common } from '#words/common'
import { lotDialog as texts } from '#words/ingredients'
import {
  acknowledged,
  clashWords,
  Lot,
  measuredOf,
  parseNumber,
  parsePrice,
  sayNumber,
  usualTraces,
  type Material,
} from '@omblet/core'
import Button from 'primevue/button'
import { QuietButton } from '../../components/buttons'
import Checkbox from 'primevue/checkbox'
import { PopUp } from '../../components/dialogs'
import { computed, onMounted, reactive, ref } from 'vue'
import AnalysisEditor, { type AnalysisRow } from './AnalysisEditor.vue'
import DayField from '../../components/DayField.vue'
import TextField from '../../components/TextField.vue'
import FileButton from '../../components/FileButton.vue'
import { barePicture } from '../../browser/picture'
import { makeId } from '../../storage/channel'
import { useLots } from '../../stores/lots'
import { useTools } from '../../stores/tools'
import { useMaterials } from '../../stores/materials'

const props = defineProps<{ material: Material; lot: Lot | null }>()
const emit = defineEmits<{ close: [] }>()
const store = useLots()
const materials = useMaterials()

const say = (value: number | undefined) => (value === undefined ? '' : sayNumber(value, 4))
const form = reactive({
  left: say(props.lot?.leftGrams),
  pack: say(props.lot?.packGrams),
  price: say(props.lot?.price),
  postage: say(props.lot?.postage),
  supplier: props.lot?.supplier ?? '',
  batch: props.lot?.batch ?? '',
  bought: props.lot?.bought ?? '',
  opened: props.lot?.opened ?? '',
  expires: props.lot?.expires ?? '',
  note: props.lot?.note ?? '',
})

/** Natural oils and scents bring along what only the lot's paper tells. */
const asksAnalysis =
  usualTraces(props.material).length > 0 ||
  props.material.kind === 'essential-oil' ||
  props.material.kind === 'fragrance' ||
  props.lot?.analysis !== undefined
const analysis = ref<AnalysisRow[]>(
  props.lot?.analysis?.map((a) => ({ inci: a.inci, percent: sayNumber(a.percent, 5) })) ??
    (asksAnalysis ? usualTraces(props.material).map((t) => ({ inci: t.inci, percent: '' })) : []),
)
const share = (text: string) => parseNumber(text, { min: 0, max: 100, what: common.thePercent, unit: '%' })
const analysisError = computed(() => {
  for (const { inci, percent } of analysis.value) {
    const parsed = share(percent)
    if ('error' in parsed) return parsed.error
    if (parsed.value !== null && inci.trim() === '') return texts.nameTheSubstanceForEach
  }
  return null
})

/** A stock is made from lots of its parts: which ones is told, so that each can be found again. */
const parts = new Set((props.material.parts ?? []).flatMap((p) => materials.catalogue.find(p.inci)?.id ?? []))
const sources = computed(() => store.lots.filter((l) => parts.has(l.material) && l.id !== props.lot?.id))
const madeFrom = ref<string[]>([...(props.lot?.madeFrom ?? [])])
const sourceWords = (lot: Lot) =>
  `${materials.catalogue.find(lot.material)?.name ?? lot.material}, ${lot.batch || lot.supplier || common.unnumberedLot}`

const MOST_BYTES = 10_000_000
const paper = ref<{ name: string; blob: Blob } | null>(null)
const paperError = ref<string | null>(null)
let hadPaper: typeof paper.value = null
onMounted(async () => {
  const kept = props.lot ? await store.fileOf(props.lot.id) : undefined
  if (kept) paper.value = hadPaper = { name: kept.name, blob: kept.blob }
})
async function takePaper(file: File) {
  paperError.value = null
  try {
    // a picture is kept without the place where it was taken
    const isPicture = file.type.startsWith('image/')
    const blob = isPicture ? await barePicture(file) : file
    if (blob.size > MOST_BYTES) paperError.value = texts.isOver10MbKeep(file.name)
    else paper.value = { name: isPicture ? file.name.replace(/\.\w+$/, '') + '.jpg' : file.name, blob }
  } catch {
    paperError.value = texts.cannotBeOpenedHereSo(file.name)
  }
}
function openPaper() {
  if (!paper.value) return
  const url = URL.createObjectURL(paper.value.blob)
  const link = document.createElement('a')
  link.href = url
  link.download = paper.value.name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

const tools = useTools()
const grams = (text: string, what: string) =>
  parseNumber(text, {
    min: 0,
    max: 1e7,
    what,
    unit: 'g',
    of: measuredOf(props.material, tools.tools.dropGrams),
  })
const left = computed(() => grams(form.left, common.theAmount))
const pack = computed(() => grams(form.pack, texts.thePack))
const price = computed(() => parsePrice(form.price))
const postage = computed(() => parsePrice(form.postage))
const saidOf = (read: ReturnType<typeof grams>) => ('said' in read ? read.said : undefined)
const errors = computed(() => ({
  left:
    'error' in left.value
      ? left.value.error
      : asked.value && left.value.value === null && form.pack === ''
        ? texts.enterTheRemainingAmountIn
        : null,
  pack: 'error' in pack.value ? pack.value.error : null,
  price: 'error' in price.value ? price.value.error : null,
  postage: 'error' in postage.value ? postage.value.error : null,
  analysis: analysisError.value,
}))
const valid = computed(() => Object.values(errors.value).every((e) => e === null))
/** Once the fields of the amount were left, an empty one is said to be. */
const asked = ref(props.lot !== null)
const valueOf = (parsed: ReturnType<typeof grams>) => ('value' in parsed ? parsed.value : null)

/** The lot as it was read: only what was changed of it since is saved. */
let read = props.lot
const clash = ref<string | null>(null)
async function save() {
  asked.value = true
  if (!valid.value) return
  const packGrams = valueOf(pack.value)
  const optional = {
    packGrams,
    price: valueOf(price.value),
    postage: valueOf(postage.value),
    supplier: form.supplier.trim(),
    batch: form.batch.trim(),
    bought: form.bought,
    opened: form.opened,
    expires: form.expires,
    note: form.note.trim(),
  }
  const told = analysis.value.flatMap(({ inci, percent }) => {
    const parsed = share(percent)
    return 'value' in parsed && parsed.value !== null ? [{ inci: inci.trim(), percent: parsed.value }] : []
  })
  const { analysis: _analysis, madeFrom: _madeFrom, ...kept } = props.lot ?? {}
  const lot = Lot.parse({
    ...Object.fromEntries(Object.entries(kept).filter(([key]) => !(key in optional))),
    ...(told.length > 0 ? { analysis: told } : {}),
    ...(madeFrom.value.length > 0 ? { madeFrom: madeFrom.value } : {}),
    id: props.lot?.id ?? makeId(),
    material: props.material.id,
    // shown rounded: what nobody typed over stays to the last figure
    leftGrams:
      props.lot && form.left === say(props.lot.leftGrams)
        ? props.lot.leftGrams
        : (valueOf(left.value) ?? packGrams ?? 0),
    ...Object.fromEntries(Object.entries(optional).filter(([, value]) => value !== null && value !== '')),
  })
  if (read) {
    const saved = await store.change(read, lot)
    if (saved && 'clashes' in saved) {
      clash.value = clashWords(saved.clashes)
      read = acknowledged(read, saved.clashes)
      return
    }
    if (!saved) return
  } else await store.put(lot)
  if (paper.value !== hadPaper) {
    if (paper.value) await store.putFile({ lot: lot.id, ...paper.value })
    else await store.dropFile(lot.id)
  }
  emit('close')
}
</script>

<template>
  <PopUp :visible="true" :header="lot ? texts.editLot : texts.addLot" @update:visible="emit('close')">
    <form class="dialog-form" @submit.prevent="save">
      <TextField
        :label="texts.packSizeG"
        :error="errors.pack"
        :said="saidOf(pack)"
        v-model="form.pack"
        autofocus
        figure
      />
      <TextField
        :label="texts.remainingG"
        :error="errors.left"
        :said="saidOf(left)"
        v-model="form.left"
        :placeholder="form.pack"
        @blur="asked = true"
        figure
      />
      <TextField :label="texts.pricePerPack" :error="errors.price" v-model="form.price" figure />
      <TextField :label="texts.shareOfPostage" :error="errors.postage" v-model="form.postage" figure />
      <DayField v-model="form.expires" :label="texts.expires" ends />
      <DayField v-model="form.bought" :label="texts.bought" />
      <DayField v-model="form.opened" :label="texts.opened" />
      <TextField :label="texts.supplier" v-model="form.supplier" maxlength="200" />
      <TextField :label="texts.lotNumber" v-model="form.batch" maxlength="100" />
      <TextField :label="common.note" class="wide" v-model="form.note" :rows="2" maxlength="2000" />
      <fieldset v-if="sources.length" class="wide sources">
        <legend>{{ texts.madeFromLots }}</legend>
        <label v-for="source in sources" :key="source.id" class="source abreast">
          <Checkbox v-model="madeFrom" :value="source.id" />
          {{ sourceWords(source) }}
        </label>
      </fieldset>
      <AnalysisEditor v-if="asksAnalysis" v-model="analysis" class="wide" :error="errors.analysis" />
      <div class="field wide">
        <span id="paper-label" class="label text-note muted">{{ texts.documentCertificateDataSheet }}</span>
        <div class="paper">
          <Button
            v-if="paper"
            type="button"
            :label="paper.name"
            icon="pi pi-file"
            text
            size="small"
            class="paper-name"
            @click="openPaper"
          />
          <FileButton
            :label="paper ? texts.chooseAnother : common.chooseAFile"
            size="small"
            aria-describedby="paper-label"
            testid="paper-picker"
            @picked="takePaper"
          />
          <QuietButton v-if="paper" type="button" :label="common.remove" size="small" @click="paper = null" />
        </div>
        <p v-if="paperError" class="error" role="alert">{{ paperError }}</p>
        <p class="muted small">
          {{ texts.theDocumentStaysInThis }}
        </p>
      </div>
      <p v-if="clash ?? store.problem" class="error-text wide" role="alert">{{ clash ?? store.problem }}</p>
      <div class="dialog-buttons">
        <QuietButton type="button" :label="common.cancel" @click="emit('close')" />
        <Button type="submit" :label="lot ? common.save : common.add" :disabled="!valid" />
      </div>
    </form>
  </PopUp>
</template>

<style scoped>
.sources {
  display: grid;
}
.source {
  min-height: 36px;
}
.paper {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  padding: 0.25rem 0;
}
.paper-name {
  max-width: 100%;
  overflow-wrap: anywhere;
}
</style>
