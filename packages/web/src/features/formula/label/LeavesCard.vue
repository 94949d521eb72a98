<script setup lang="ts">
import { findingText } from '@omblet/core/words'
import { capitalise, doesNotFit, sayNumber, suits, findingKey } from '@omblet/core'
import TitledCard from '../../../components/TitledCard.vue'
import { PlainButton } from '../../../components/buttons'
import { computed } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import { useContainers } from '../../../stores/containers'
import { useMaterials } from '../../../stores/materials'
import type { LabelRoom } from './use-label'

/** What is missing on it, and what must not stand on it. */
const { room } = defineProps<{ room: LabelRoom }>()
const materials = useMaterials()

/** Where on this page something missing is entered; on the shelf where it is a fact of a material. */
const FIELDS: Record<string, string> = {
  'name and address': 'label-address',
  content: 'label-content',
  function: 'label-line',
}
const REASONS: Record<string, string> = {
  'name and address': 'required by law if sold or supplied in trade',
  content: 'by weight or volume',
  'batch code': 'open the label from a batch to include its code and date',
  function: 'product function, unless obvious from its appearance',
  'second language': 'everything except the ingredients in English and French',
}
const goTo = (field: string) => document.getElementById(field)?.focus()

const missing = computed(() =>
  room.label.value.missing.map((what) => {
    const material = /^(?:make-up|analysis) of (.*)$/.exec(what)?.[1]
    return {
      what: capitalise(what),
      why: material
        ? what.startsWith('make-up')
          ? 'order uncertain: enter the supplier’s composition'
          : 'needed to list allergens: enter it with the lot'
        : (REASONS[what] ?? ''),
      field: FIELDS[what] ?? null,
      material: material ? (materials.catalogue.find(material)?.id ?? null) : null,
    }
  }),
)
const claims = computed(() =>
  materials.derive(room.assessment.value.formula).findings.filter((f) => f.code.startsWith('claim.')),
)
const shelf = useContainers()
const container = computed(() => shelf.find(room.design.value.container))
/** What speaks against the container that was chosen, for this product and this content. */
const tooMuch = computed(() => {
  const { content } = room.design.value
  if (!container.value || !content) return null
  if (content.unit === 'g') return doesNotFit(room.assessment.value, container.value, content.amount)
  const most = container.value.brimMl ?? container.value.nominalMl
  return content.amount > most
    ? `${sayNumber(content.amount, 1)} mL do not fit ${sayNumber(most, 1)} mL.`
    : null
})
const suit = computed(() => (container.value ? suits(room.assessment.value, container.value) : null))
const letters = computed(() => Math.min(...room.faces.value.map((f) => f.layout.letters)))
/** A small x of this height reads well at arm's length, mm (common practice). */
const READS_WELL = 1.2
</script>

<template>
  <TitledCard title="Label checklist" class="closer">
    <ul>
      <li v-for="f in claims" :key="findingKey(f)">
        <FindingMark :severity="f.severity" /><span
          >{{ findingText(f).message }} {{ findingText(f).why }}</span
        >
      </li>
      <li v-if="tooMuch">
        <FindingMark severity="stop" /><span>{{ tooMuch }}</span>
      </li>
      <li v-for="why in suit?.reasons ?? []" :key="why">
        <FindingMark :severity="suit!.suits ? 'note' : 'check'" /><span
          >{{ container!.name }}: {{ why }}</span
        >
      </li>
      <li v-if="!room.fits.value">
        <FindingMark severity="check" /><span
          ><strong>Text does not fit.</strong> See next to the label.</span
        >
      </li>
      <li v-for="m in missing" :key="m.what">
        <FindingMark severity="check" />
        <span
          ><strong>{{ m.what }}</strong> <span class="muted">{{ m.why }}</span></span
        >
        <PlainButton
          v-if="m.field"
          label="Enter"
          size="small"
          :aria-label="`Enter ${m.what.toLowerCase()}`"
          @click="goTo(m.field)"
        />
        <RouterLink v-else-if="m.material" :to="`/ingredients/${m.material}`">Open ingredient</RouterLink>
      </li>
      <li>
        <FindingMark :severity="letters < READS_WELL ? 'note' : 'fine'" />
        <span
          >Type size is {{ sayNumber(letters, 1) }} mm high<span class="muted">{{
            letters < READS_WELL ? ': small; a wider label is easier to read' : ''
          }}</span></span
        >
      </li>
      <li>
        <FindingMark severity="fine" /><span>{{
          room.label.value.list.allergens.length
            ? `Allergens listed: ${room.label.value.list.allergens.join(', ')}`
            : room.label.value.list.noAnalysis.length
              ? 'No allergen known above its threshold'
              : 'No allergen above its threshold'
        }}</span>
      </li>
    </ul>
    <p class="muted small">General information, not legal advice. Your local rules decide.</p>
  </TitledCard>
</template>

<style scoped>
li {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  padding: 0.375rem 0;
  border-bottom: 1px solid var(--line);
}
li > span {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
</style>
