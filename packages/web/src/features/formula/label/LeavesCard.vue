<script setup lang="ts">
import { leavesCard as texts } from '#words/formula-label'
import { findingText, missingText, doesNotFitText, suitsText } from '@omblet/core/words'
import { capitalise, doesNotFit, sayNumber, suits, findingKey, type Missing } from '@omblet/core'
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
const FIELDS: Partial<Record<Missing['code'], string>> = {
  address: 'label-address',
  content: 'label-content',
  function: 'label-line',
}
const REASONS: Partial<Record<Missing['code'], string>> = {
  composition: texts.orderUncertainEnterTheSuppliers,
  analysis: texts.neededToListAllergensEnter,
  address: texts.requiredByLawIfSold,
  content: texts.byWeightOrVolume,
  'batch-code': texts.openTheLabelFromA,
  function: texts.productFunctionUnlessObvious,
  'second-language': texts.everythingExceptTheIngredients,
}
const goTo = (field: string) => document.getElementById(field)?.focus()

const missing = computed(() =>
  room.label.value.missing.map((missing) => ({
    what: capitalise(missingText(missing)),
    why: REASONS[missing.code] ?? '',
    field: FIELDS[missing.code] ?? null,
    material: 'material' in missing ? (materials.catalogue.find(missing.material)?.id ?? null) : null,
  })),
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
  if (content.unit === 'g') {
    const fault = doesNotFit(room.assessment.value, container.value, content.amount)
    return fault && doesNotFitText(fault)
  }
  const most = container.value.brimMl ?? container.value.nominalMl
  return content.amount > most ? texts.mlDoNotFitMl(sayNumber(content.amount, 1), sayNumber(most, 1)) : null
})
const suit = computed(() => (container.value ? suits(room.assessment.value, container.value) : null))
const letters = computed(() => Math.min(...room.faces.value.map((f) => f.layout.letters)))
/** A small x of this height reads well at arm's length, mm (common practice). */
const READS_WELL = 1.2
</script>

<template>
  <TitledCard :title="texts.labelChecklist" class="closer">
    <ul>
      <li v-for="f in claims" :key="findingKey(f)">
        <FindingMark :severity="f.severity" /><span
          >{{ findingText(f).message }} {{ findingText(f).why }}</span
        >
      </li>
      <li v-if="tooMuch">
        <FindingMark severity="stop" /><span>{{ tooMuch }}</span>
      </li>
      <li v-for="why in suit?.reasons ?? []" :key="why.code">
        <FindingMark :severity="suit!.suits ? 'note' : 'check'" /><span
          >{{ container!.name }}: {{ suitsText(why) }}</span
        >
      </li>
      <li v-if="!room.fits.value">
        <FindingMark severity="check" /><span
          ><strong>{{ texts.textDoesNotFit }}</strong> {{ texts.seeNextToTheLabel }}</span
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
          :aria-label="texts.enter(m.what.toLowerCase())"
          @click="goTo(m.field)"
        />
        <RouterLink v-else-if="m.material" :to="`/ingredients/${m.material}`">{{
          texts.openIngredient
        }}</RouterLink>
      </li>
      <li>
        <FindingMark :severity="letters < READS_WELL ? 'note' : 'fine'" />
        <span
          >{{ texts.typeSizeIsMmHigh(sayNumber(letters, 1))
          }}<span class="muted">{{ letters < READS_WELL ? texts.smallAWiderLabelIs : '' }}</span></span
        >
      </li>
      <li>
        <FindingMark severity="fine" /><span>{{
          room.label.value.list.allergens.length
            ? texts.allergensListed(room.label.value.list.allergens.join(', '))
            : room.label.value.list.noAnalysis.length
              ? texts.noAllergenKnownAboveIts
              : texts.noAllergenAboveItsThreshold
        }}</span>
      </li>
    </ul>
    <p class="muted small">{{ texts.generalInformationNotLegalAdvice }}</p>
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
