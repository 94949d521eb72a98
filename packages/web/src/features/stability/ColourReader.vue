<script setup lang="ts">
import { common } from '#words/common'
import { colourReader as texts } from '#words/stability'
import { asideText } from '@omblet/core/words'
import { colourChange, GREY_CARD, sayNumber, WHITE_PAPER, type Answer, type Rgb } from '@omblet/core'
import Button from 'primevue/button'
import { QuietButton } from '../../components/buttons'
import { computed, nextTick, onBeforeUnmount, ref, useTemplateRef } from 'vue'
import { smallPicture } from '../../browser/picture'
import Notice from '../../components/Notice.vue'
import OneOf from '../../components/OneOf.vue'
import PhotoField from '../../components/PhotoField.vue'
import { savePhoto } from '../../storage/batches'
import { makeId } from '../../storage/channel'
import { explainStorage } from '../../storage/db'
import { meanColour, markAt } from './pixels'

/** Reads a colour off a photograph: one taps the card, then the product. */
const props = defineProps<{ batch: string; first: Answer['colour'] }>()
const emit = defineEmits<{ measured: [colour: NonNullable<Answer['colour']>, photo: string]; cancel: [] }>()

const WIDEST = 1200
const CARDS = [
  { value: GREY_CARD, label: texts.greyCard },
  { value: WHITE_PAPER, label: texts.whitePaper },
]
const reflects = ref(props.first?.cardReflects ?? GREY_CARD)
const blob = ref<Blob | null>(null)
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const card = ref<Rgb | null>(null)
const product = ref<Rgb | null>(null)
const error = ref<string | null>(null)
const marks = ref<{ x: number; y: number; what: string }[]>([])
let image: ImageBitmap | null = null
onBeforeUnmount(() => image?.close())

async function pick(file: File) {
  try {
    blob.value = await smallPicture(file)
    image?.close()
    // read from the picture itself: what is kept is pressed, and that shifts colours
    image = await createImageBitmap(file)
    card.value = product.value = null
    marks.value = []
    error.value = null
    await nextTick()
    const c = canvas.value!
    const scale = Math.min(1, WIDEST / image.width)
    c.width = Math.round(image.width * scale)
    c.height = Math.round(image.height * scale)
    c.getContext('2d', { willReadFrequently: true })!.drawImage(image, 0, 0, c.width, c.height)
  } catch {
    error.value = common.thisImageCannotBeRead
  }
}
function tap(event: MouseEvent) {
  const c = canvas.value!
  const at = markAt(event, c)
  const colour = meanColour(c, at)
  if (!card.value || product.value) {
    card.value = colour
    product.value = null
    marks.value = [{ ...at, what: 'card' }]
  } else {
    product.value = colour
    marks.value = [...marks.value, { ...at, what: 'product' }]
  }
}
const seen = computed(() =>
  card.value && product.value
    ? { card: card.value, product: product.value, cardReflects: reflects.value }
    : null,
)
const told = computed(() => {
  if (!seen.value) return null
  return colourChange(props.first ?? seen.value, seen.value)
})
async function keep() {
  if (!seen.value || !blob.value) return
  try {
    const id = makeId()
    await savePhoto({ id, batch: props.batch, blob: blob.value })
    emit('measured', seen.value, id)
  } catch (failure) {
    error.value = explainStorage(failure)
  }
}
</script>

<template>
  <div class="stacked">
    <p class="muted small">
      {{ texts.placeTheGreyCardOr }}
    </p>
    <OneOf v-if="!first" v-model="reflects" :options="CARDS" :label="texts.reference" />
    <PhotoField
      :label="blob ? texts.anotherPhoto : texts.takePhoto"
      testid="colour-photo"
      class="pick"
      @picked="pick"
    />
    <div v-if="blob" class="frame">
      <canvas ref="canvas" role="img" :aria-label="texts.photoTapTheCardThen" @click="tap"></canvas>
      <span
        v-for="m in marks"
        :key="m.what"
        class="mark"
        :style="{ left: `${100 * m.x}%`, top: `${100 * m.y}%` }"
        >{{ m.what }}</span
      >
    </div>
    <p v-if="blob && !seen" role="status">{{ card ? texts.nowTheProduct : texts.tapTheCard }}</p>
    <Notice v-if="told && 'why' in told" kind="check">{{ asideText(told.why) }}</Notice>
    <p v-else-if="told && first" role="status">
      {{ texts.e00 }} <strong class="mono">{{ sayNumber(told.deltaE, 1) }}</strong>
      {{ texts.fromTheFirstPhoto
      }}<template v-if="Math.abs(told.yellower) >= 1"
        >, {{ told.yellower > 0 ? texts.yellower : texts.bluer }}</template
      >.
    </p>
    <p v-else-if="told" role="status">{{ texts.firstPhotoLaterOnesAre }}</p>
    <p v-if="error" class="error-text" role="alert">{{ error }}</p>
    <div class="acts">
      <QuietButton :label="texts.enterInWordsInstead" @click="emit('cancel')" />
      <Button label="Enter" size="large" :disabled="!told || 'why' in told" @click="keep" />
    </div>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
}
canvas {
  display: block;
  width: 100%;
  border-radius: var(--round-m);
  cursor: crosshair;
}
.mark {
  position: absolute;
  transform: translate(-50%, -50%);
  padding: 0 0.375rem;
  border: 2px solid var(--ink);
  border-radius: var(--round-xl);
  background: var(--paper);
  font-size: var(--text-small);
  pointer-events: none;
}
.pick {
  min-height: 52px;
  justify-content: center;
  justify-self: stretch;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0.5rem;
}
</style>
