<script setup lang="ts">
import { USUAL_STORAGE, sheetFaultText, sheetText } from '@omblet/core/words'
import { common } from '#words/common'
import { designCard as texts } from '#words/formula-label'
import {
  CONTAINER_KINDS,
  containerWord,
  LABEL_REGIONS,
  MARKS,
  sheetFault,
  SHEETS,
  type LabelDesign,
  type StickerSheet,
  unitOf,
} from '@omblet/core'
import Checkbox from 'primevue/checkbox'
import { computed } from 'vue'
import TitledCard from '../../../components/TitledCard.vue'
import ChoiceField from '../../../components/ChoiceField.vue'
import TextField from '../../../components/TextField.vue'
import NumberField from '../../../components/NumberField.vue'
import { useContainers } from '../../../stores/containers'
import { MARK_WORDS } from './marks'
import type { LabelRoom } from './use-label'

/** How the label looks and what its maker writes on it. */
const { room } = defineProps<{ room: LabelRoom }>()
const d = room.design

const REGION_WORDS = {
  EU: texts.europeanUnion,
  UK: texts.unitedKingdom,
  US: texts.unitedStates,
  CA: texts.canada,
  other: common.other,
}
const regions = LABEL_REGIONS.map((value) => ({ value, label: REGION_WORDS[value] }))
const sheets = [
  ...SHEETS.map((s) => ({ value: s.id, label: sheetText(s) })),
  { value: 'own', label: texts.customGrid },
]
const marks = MARKS.map((value) => ({ value, label: MARK_WORDS[value] }))
const shelf = useContainers()
const UNSAID = 'unsaid'
const kinds = computed(() => [
  { value: UNSAID, label: texts.notSpecified },
  ...shelf.containers.map((c) => ({ value: c.id, label: c.name })),
  ...CONTAINER_KINDS.map((value) => ({ value: value as string, label: containerWord(value) })),
])
const units = [
  { value: 'g' as const, label: 'g' },
  { value: 'ml' as const, label: 'mL' },
]
/** A unit that is typed behind the content is the unit of the content. */
function takeUnit(text: string) {
  const kind = unitOf(/[a-z. ]+$/i.exec(text.trim())?.[0]?.trim() ?? '')?.unit
  if (kind === 'grams') unit.value = 'g'
  else if (kind === 'millilitres') unit.value = 'ml'
}
const FACES = [
  { value: 'one' as const, label: texts.oneLabelPerContainer },
  { value: 'two' as const, label: texts.frontAndBack },
]
const CONCENTRATES = [
  { value: 'made-up' as const, label: texts.reconstitutedWithWater },
  { value: 'as-added' as const, label: texts.asAdded },
]

const field = <K extends keyof LabelDesign>(key: K, usual: NonNullable<LabelDesign[K]>) =>
  computed({
    get: () => (d.value[key] ?? usual) as NonNullable<LabelDesign[K]>,
    set: (value) =>
      room.change({ [key]: value === usual && key !== 'region' ? undefined : value }, `label-${String(key)}`),
  })
const region = computed({
  get: () => room.label.value.region,
  set: (value) => room.change({ region: value }),
})
const line = field('line', '')
const address = field('address', '')
const storage = field('storage', '')
const mark = field('mark', 'none')
const faces = field('faces', 'one')
const concentrates = field('concentrates', 'made-up')
const into = computed({
  get: () => shelf.find(d.value.container)?.id ?? d.value.containerKind ?? UNSAID,
  set: (value) => {
    const own = shelf.find(value)
    room.change({
      container: own?.id,
      containerKind: own ? own.kind : value === UNSAID ? undefined : value,
    })
  },
})
const qr = field('qr', false)
const directions = field('directions', true)
const sheet = computed({
  get: () => d.value.sheet ?? SHEETS[0]!.id,
  set: (value) =>
    room.change(
      value === 'own' && !d.value.own
        ? { sheet: value, own: { ...room.sheet.value, id: 'own' } }
        : { sheet: value },
    ),
})
const unit = computed({
  get: () => d.value.content?.unit ?? 'g',
  set: (value) => d.value.content && room.change({ content: { ...d.value.content, unit: value } }),
})
const amount = computed({
  get: () => d.value.content?.amount ?? null,
  set: (value) =>
    room.change({ content: value ? { amount: value, unit: unit.value } : undefined }, 'label-content'),
})
const GRID: { key: keyof StickerSheet; label: string }[] = [
  { key: 'columns', label: texts.columns },
  { key: 'rows', label: texts.rows },
  { key: 'width', label: texts.widthMm },
  { key: 'height', label: texts.heightMm },
  { key: 'left', label: texts.leftMarginMm },
  { key: 'top', label: texts.topMarginMm },
  { key: 'across', label: texts.horizontalPitchMm },
  { key: 'down', label: texts.verticalPitchMm },
]
const own = computed(() => d.value.own ?? null)
const setGrid = (patch: Partial<StickerSheet>) =>
  own.value && room.change({ own: { ...own.value, ...patch } }, 'label-grid')
const whole = new Set(['columns', 'rows'])
const gridFault = computed(() => (own.value ? sheetFault(own.value) : null))
const papers = [
  { value: 'A4' as const, label: 'A4' },
  { value: 'Letter' as const, label: texts.letter },
]
const shapes = [
  { value: 'rectangle' as const, label: texts.squareCorners },
  { value: 'round' as const, label: texts.round },
]
</script>

<template>
  <TitledCard :title="texts.labelContentAndDesign">
    <div class="grid">
      <TextField
        id="label-line"
        :label="texts.productFunction"
        class="wide"
        v-model="line"
        maxlength="120"
        :placeholder="room.label.value.function ?? texts.handAndFootBalm"
      />
      <span class="content">
        <NumberField
          id="label-content"
          v-model="amount"
          :label="texts.content"
          :unit="unit === 'ml' ? 'mL' : 'g'"
          @typed="takeUnit"
          :min="0.1"
          :max="10000"
          :what="texts.theContent"
        />
        <ChoiceField v-model="unit" :label="texts.unit" :options="units" />
      </span>
      <ChoiceField v-model="region" :label="texts.market" :options="regions" />
      <TextField
        id="label-address"
        :label="texts.nameAndAddress"
        class="wide"
        v-model="address"
        :rows="2"
        maxlength="300"
      />
      <TextField
        :label="texts.storage"
        class="wide"
        v-model="storage"
        maxlength="200"
        :placeholder="USUAL_STORAGE"
      />
      <ChoiceField v-model="sheet" :label="texts.stickerSheet" :options="sheets" class="wide" />
      <template v-if="sheet === 'own' && own">
        <ChoiceField
          :label="texts.paper"
          :options="papers"
          :model-value="own.paper"
          @update:model-value="setGrid({ paper: $event })"
        />
        <ChoiceField
          :label="texts.shape"
          :options="shapes"
          :model-value="own.shape"
          @update:model-value="setGrid({ shape: $event })"
        />
        <NumberField
          v-for="g in GRID"
          :key="g.key"
          :label="g.label"
          :min="whole.has(g.key) ? 1 : 0"
          :max="whole.has(g.key) ? 40 : 290"
          :what="texts.theMeasure"
          :model-value="own[g.key] as number"
          @update:model-value="
            $event !== null &&
            ($event > 0 || g.key === 'left' || g.key === 'top') &&
            setGrid({ [g.key]: whole.has(g.key) ? Math.round($event) : $event })
          "
        />
        <p v-if="gridFault" class="error wide" role="alert">{{ sheetFaultText(gridFault) }}</p>
      </template>
      <ChoiceField v-model="into" :label="common.container" :options="kinds" />
      <ChoiceField v-model="faces" :label="texts.labels" :options="FACES" />
      <ChoiceField v-model="mark" :label="texts.mark" :options="marks" />
      <ChoiceField v-model="concentrates" :label="texts.concentrates" :options="CONCENTRATES" />
      <label class="tick abreast"
        ><Checkbox v-model="qr" binary input-id="label-qr" /> {{ texts.batchCodeAsA2d }}</label
      >
      <label class="tick abreast"
        ><Checkbox v-model="directions" binary input-id="label-directions" /> {{ texts.directions }}</label
      >
    </div>
  </TitledCard>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.75rem 0.75rem;
}
.wide {
  grid-column: 1 / -1;
}
.content {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 6.25rem;
  gap: 0.5rem;
}
.tick {
  min-height: 32px;
}
@media (max-width: 520px) {
  .grid {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
