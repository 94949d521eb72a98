<script setup lang="ts">
import { common } from '#words/common'
import { lineDialog as texts } from '#words/formula'
import {
  capitalise,
  gradeAnswer,
  gradeQuestionOf,
  gradesOf,
  parseNumber,
  reconstituted,
  sayNumber,
  sayPercent,
  type AssessedLine,
  type CapMark,
  type GradeOption,
  type Substitute,
} from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton } from '../../components/buttons'
import { PopUp } from '../../components/dialogs'
import InputText from 'primevue/inputtext'
import { computed, inject, ref } from 'vue'
import MaterialFacts from '../../components/MaterialFacts.vue'
import { useEditor } from '../../stores/editor'
import { useMaterials } from '../../stores/materials'
import GradeQuestion from './GradeQuestion.vue'
import StandIns from './StandIns.vue'
import StockRecipe from './StockRecipe.vue'
import { sheetKey } from './sheet'

const open = defineModel<boolean>('open', { required: true })
const props = defineProps<{ line: AssessedLine; cap: CapMark | null }>()
const editor = useEditor()
const materials = useMaterials()
const api = inject(sheetKey)!
const strengthText = ref<string | null>(null)
const error = ref<string | null>(null)

const material = computed(() => props.line.material)
const whole = computed(() => (material.value ? reconstituted(material.value, props.line.percent) : null))
const grades = computed(() => (material.value ? gradesOf(material.value, materials.catalogue.materials) : []))
const question = computed(() => (material.value ? gradeQuestionOf(material.value) : null))
const isChosen = (option: GradeOption) =>
  props.line.source.grade === (option.grade ?? option.label) ||
  (option.strengthPercent !== undefined && props.line.source.strengthPercent === option.strengthPercent)
function answer(option: GradeOption) {
  const { material: id, ...patch } = gradeAnswer(option, props.line.source.material)
  editor.apply({
    type: 'sequence',
    edits: [
      ...(id === props.line.source.material
        ? []
        : [{ type: 'replace-material' as const, at: props.line, material: id }]),
      { type: 'patch-line', at: props.line, patch },
    ],
  })
  strengthText.value = null
}
function take(id: string) {
  open.value = false
  editor.apply({ type: 'replace-material', at: props.line, material: id })
  api.say(texts.gradeChanged)
}
function onStrength(text: string) {
  strengthText.value = text
  const parsed = parseNumber(text, { min: 0.001, max: 100, what: common.theStrength, unit: '%' })
  error.value = 'error' in parsed ? parsed.error : null
  if ('value' in parsed)
    editor.apply(
      { type: 'patch-line', at: props.line, patch: { strengthPercent: parsed.value ?? undefined } },
      `strength-${props.line.source.id}`,
    )
}
function settle() {
  strengthText.value = null
  error.value = null
}
function standIn(s: Substitute) {
  open.value = false
  editor.apply(s.edit)
  api.say(texts.replacedWith(s.material.name, sayPercent(s.percent)))
}
function replace() {
  open.value = false
  api.find(props.line.phase, props.line)
}
</script>

<template>
  <PopUp v-model:visible="open" :header="capitalise(line.label).slice(0, 90)" @hide="editor.settle()">
    <p v-if="!material" class="muted">
      {{ texts.unknownIngredientNothingAbout }}
    </p>
    <p v-if="material?.note" class="lead">{{ material.note }}</p>
    <p v-if="whole" class="lead">
      {{ texts.standsForSingleStrength(sayPercent(line.percent), sayPercent(whole.percent))
      }}<template v-if="whole.percent > 100">{{ texts.whichIsMoreThanThe }}</template
      ><template v-else>{{ texts.makeItUpFirstWith(sayPercent(whole.waterPercent)) }}</template
      >.
    </p>
    <MaterialFacts v-if="material" :material="material" />
    <p v-if="cap" class="small cap">
      {{ cap.open ? texts.compositionUnknownItMayExceed : texts.legalLimitHere }}
      {{ sayPercent(Number(cap.maxPercent.toFixed(3))) }} ({{ cap.source }}).
    </p>
    <p v-if="material" class="small more">
      <RouterLink :to="`/ingredients/${material.id}`">{{ texts.moreUnderIngredients }}</RouterLink>
    </p>
    <GradeQuestion
      v-if="question"
      :question="question"
      :chosen="question.options.find((o) => isChosen(o))?.label"
      @answer="answer"
    />
    <div v-else-if="grades.length" class="grades">
      <span class="muted small">{{ texts.otherFormsStrengthSkinFeel }}</span>
      <span class="chip on">{{ capitalise(line.label) }}</span>
      <button v-for="grade in grades" :key="grade.id" type="button" class="chip" @click="take(grade.id)">
        {{ capitalise(grade.name) }}
      </button>
    </div>
    <StockRecipe
      v-if="material?.own && material.parts && line.grams > 0"
      :material="material"
      :need="line.grams"
      :resolution="editor.assessment!.amounts.resolutionGrams"
    />
    <div v-if="material && !material.parts" class="field strength">
      <label for="line-strength">{{ texts.strengthOfYourMaterial }}</label>
      <InputText
        id="line-strength"
        class="mono"
        inputmode="decimal"
        :model-value="
          strengthText ??
          (line.source.strengthPercent === undefined ? '' : sayNumber(line.source.strengthPercent, 3))
        "
        :placeholder="material.strengthPercent ? texts.asUsual(material.strengthPercent) : texts.n100AsUsual"
        :invalid="error !== null"
        @update:model-value="onStrength($event ?? '')"
        @blur="settle"
      />
      <p v-if="error" class="error" role="alert">{{ error }}</p>
    </div>
    <StandIns v-if="material" :line="line" @take="standIn" />
    <div class="buttons">
      <PlainButton :label="texts.replaceMaterial" icon="pi pi-sync" @click="replace" />
      <Button :label="common.done" @click="open = false" />
    </div>
  </PopUp>
</template>

<style scoped>
.grades {
  display: flex;
  flex-wrap: wrap;
  gap: 0.375rem;
  padding-bottom: 1rem;
}
.grades > :first-child {
  flex: 1 1 100%;
}
.grades .on {
  border-color: var(--accent);
  color: var(--accent-ink);
}
.cap {
  padding-bottom: 0.5rem;
}
.more {
  padding-bottom: 0.75rem;
}
.lead {
  padding-bottom: 0.75rem;
}
.strength {
  max-width: 18rem;
}
.buttons {
  display: flex;
  justify-content: flex-end;
  gap: 0.5rem;
  padding-top: 1rem;
}
</style>
