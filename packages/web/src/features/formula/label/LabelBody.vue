<script setup lang="ts">
import { labelPartText, sheetText } from '@omblet/core/words'
import { common } from '#words/common'
import { labelBody as texts } from '#words/formula-label'
import { capitalise, fieldsOf, listWords } from '@omblet/core'
import Button from 'primevue/button'
import TitledCard from '../../../components/TitledCard.vue'
import { QuietButton } from '../../../components/buttons'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { fileName } from '../../../browser/download'
import NumberField from '../../../components/NumberField.vue'
import Notice from '../../../components/Notice.vue'
import MenuButton from '../../../components/MenuButton.vue'
import { useEditor } from '../../../stores/editor'
import DesignCard from './DesignCard.vue'
import KeepCard from './KeepCard.vue'
import LabelFace from './LabelFace.vue'
import LeavesCard from './LeavesCard.vue'
import RestsCard from './RestsCard.vue'
import SentencesCard from './SentencesCard.vue'
import SheetDrawing from './SheetDrawing.vue'
import { useLabel } from './use-label'

const editor = useEditor()
const router = useRouter()
const room = useLabel()
const { sheet, faces, made, fits, label, design } = room

/** First free field of a half-used sheet, and how many jars get a label. */
const first = ref(0)
const jars = ref<number | null>(editor.formula!.costing?.containers ?? 4)
watch(
  () => fieldsOf(sheet.value),
  () => (first.value = 0),
)
watch(room.batch, (b) => {
  const filled = b?.state.finished?.containers
  if (filled) jars.value = filled
})
const stickers = computed(() => Math.max(1, Math.round(jars.value ?? 1)) * faces.value.length)
const lacking = computed(() => [...new Set(faces.value.flatMap((f) => f.layout.lacking.map(labelPartText)))])
const zoom = ref<'true' | 'large'>('large')

function print() {
  void router.push({
    path: `/formulas/${editor.id}/stickers`,
    query: {
      first: String(Math.min(first.value, fieldsOf(sheet.value) - 1)),
      jars: String(Math.max(1, Math.round(jars.value ?? 1))),
      ...(router.currentRoute.value.query['batch']
        ? { batch: router.currentRoute.value.query['batch'] }
        : {}),
    },
  })
}
const drawn = useTemplateRef<HTMLElement>('drawn')
async function save(kind: 'svg' | 'png') {
  const { savePng, saveSvg } = await import('./picture')
  for (const [i, svg] of [...(drawn.value?.querySelectorAll('svg') ?? [])].entries()) {
    const name = fileName(`${label.value.name} ${faces.value[i]!.what}`, '')
    await (kind === 'svg' ? saveSvg : savePng)(svg, name)
  }
}
const items = [
  { label: texts.asSvg, icon: 'pi pi-download', command: () => void save('svg') },
  { label: texts.asPng, icon: 'pi pi-image', command: () => void save('png') },
  {
    label: texts.productSheetOnePage,
    icon: 'pi pi-file',
    command: () =>
      void router.push({
        path: `/formulas/${editor.id}/product-sheet`,
        query: router.currentRoute.value.query,
      }),
  },
]
</script>

<template>
  <div class="columns leaf">
    <h2 class="hidden-text">{{ common.label }}</h2>
    <div class="left">
      <Notice v-if="room.lostBatch.value" kind="check">{{ texts.thatBatchNoLongerExists }}</Notice>
      <TitledCard :title="made ? texts.forBatch(made.code) : texts.draftFromTheFormula" class="preview">
        <template #beside
          ><div class="abreast at-foot wraps">
            <QuietButton
              :label="zoom === 'true' ? texts.larger : texts.actualSize"
              size="small"
              @click="zoom = zoom === 'true' ? 'large' : 'true'"
            />
            <MenuButton
              :items="items"
              :label="texts.saveAs"
              icon="pi pi-chevron-down"
              icon-pos="right"
              size="small"
            /></div
        ></template>

        <div ref="drawn" class="faces" :class="zoom">
          <figure v-for="f in faces" :key="f.what">
            <LabelFace
              :layout="f.layout"
              :sheet="sheet"
              :kind="editor.formula!.product.kind"
              :mark="f.layout.mark ? design.mark : undefined"
              :code="made?.code"
              :label="texts.of(f.what, label.name)"
              :class="sheet.shape"
            />
            <figcaption v-if="faces.length > 1" class="muted small">{{ f.what }}</figcaption>
          </figure>
        </div>
        <Notice v-if="!fits" kind="check">{{
          texts.noRoomAtTheSmallest(
            capitalise(listWords(lacking)),
            lacking.length > 1 ? texts.find : texts.finds,
          )
        }}</Notice>
      </TitledCard>
      <TitledCard :title="texts.stickers">
        <template #beside
          ><span class="muted small">{{ sheetText(sheet) }}</span></template
        >

        <div class="count abreast at-foot wraps">
          <NumberField v-model="jars" :label="texts.jars" :min="1" :max="500" :what="texts.theNumberOfJars" />
          <Button icon="pi pi-print" :label="texts.print(stickers)" @click="print" />
        </div>
        <p class="muted small">{{ texts.onAPartlyUsedSheet }}</p>
        <SheetDrawing v-model:first="first" :sheet="sheet" :count="stickers" />
      </TitledCard>
    </div>
    <div class="right">
      <LeavesCard :room="room" />
      <DesignCard :room="room" />
      <RestsCard :room="room" />
      <KeepCard :room="room" />
      <SentencesCard :room="room" />
    </div>
  </div>
</template>

<style scoped>
.left,
.right {
  display: grid;
  gap: 0.75rem;
  min-width: 0;
}
.count :deep(.field) {
  width: 6rem;
}
.faces {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 1rem;
  padding: 1rem 0.25rem;
  overflow-x: auto;
  border-radius: var(--round-m);
  background: var(--bench);
}
figure {
  display: grid;
  justify-items: center;
  gap: 0.25rem;
  margin: 0;
  min-width: 0;
}
.faces svg {
  border-radius: 1.5mm;
  box-shadow: var(--shadow-high);
}
.faces svg.round {
  border-radius: 50%;
}
.faces.large figure {
  width: min(34rem, 100%);
}
.faces.large svg {
  width: 100%;
  height: auto;
}
.faces.large figure:has(svg.round) {
  width: min(22rem, 100%);
}
</style>
