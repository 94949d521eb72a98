<script setup lang="ts">
import { common } from '#words/common'
import { methodBody as texts } from '#words/formula-method'
import { stepTitle } from '@omblet/core/words'
import {
  addOwnStep,
  changeStep,
  type MethodChoices,
  type MethodEdits,
  type MethodStep,
  moveStep,
  putBackStep,
  resetStep,
  processOptionsOf,
  takeOutStep,
  tidyEdits,
} from '@omblet/core'
import Button from 'primevue/button'
import { useToast } from 'primevue/usetoast'
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import TitledCard from '../../../components/TitledCard.vue'
import FlowDrawing from '../../../components/FlowDrawing.vue'
import { notify } from '../../../components/notify'
import { makeId } from '../../../storage/channel'
import { useEditor } from '../../../stores/editor'
import ChoicesCard from './ChoicesCard.vue'
import NeedsCard from './NeedsCard.vue'
import PlanCard from './PlanCard.vue'
import StepRow from './StepRow.vue'

const editor = useEditor()
const toast = useToast()

const edits = computed<MethodEdits>(() => editor.formula?.method ?? {})
const method = computed(() => editor.derived!.method)
const route = useRoute()
/** A line of the sheet asked for its step. */
const open = ref<string | null>(typeof route.query['step'] === 'string' ? route.query['step'] : null)
onMounted(async () => {
  await nextTick()
  if (open.value) list.value?.querySelector('[data-open]')?.scrollIntoView({ block: 'center' })
})
const list = ref<HTMLElement>()

const save = (next: MethodEdits) => editor.apply({ type: 'patch', patch: { method: tidyEdits(next) } })
const choose = (choices: MethodChoices) => save({ ...edits.value, choices })

function change(step: MethodStep, told: Parameters<typeof changeStep>[2]) {
  save(changeStep(edits.value, step, told))
  open.value = null
}
function reset(step: MethodStep) {
  save(resetStep(edits.value, step.key))
  open.value = null
}
async function move(index: number, by: -1 | 1) {
  const next = moveStep(edits.value, method.value.steps, index, by)
  if (!next) return
  save(next)
  await nextTick()
  list.value?.children[index + by]?.querySelector<HTMLElement>(`[data-move="${by}"]`)?.focus()
}
function takeOut(step: MethodStep) {
  save(takeOutStep(edits.value, step))
  open.value = null
  notify(toast, texts.stepRemoved, { label: common.undo, run: () => editor.undo() })
}
const putBack = (step: MethodStep) => save(putBackStep(edits.value, step.key))
function add() {
  const key = `own-${makeId()}`
  save(addOwnStep(edits.value, method.value.steps, key))
  open.value = key
}
const changed = computed(() => Object.keys(edits.value).length > 0)
function startOver() {
  editor.apply({ type: 'patch', patch: { method: undefined } })
  notify(toast, texts.methodReset, { label: common.undo, run: () => editor.undo() })
}
</script>

<template>
  <div class="columns leaf">
    <h2 class="hidden-text">{{ common.method }}</h2>
    <div class="left stacked">
      <ChoicesCard
        :a="editor.assessment!"
        :schools="processOptionsOf(editor.assessment!, edits.choices)"
        :choices="edits.choices ?? {}"
        @choose="choose"
      />
      <TitledCard :title="texts.steps" class="steps">
        <template #beside
          ><Button v-if="changed" :label="texts.resetMethod" text size="small" @click="startOver"
        /></template>

        <ol ref="list">
          <StepRow
            v-for="(step, i) in method.steps"
            :key="step.key"
            :step="step"
            :number="i + 1"
            :open="open === step.key"
            :data-open="open === step.key || undefined"
            :first="i === 0"
            :last="i === method.steps.length - 1"
            @toggle="open = open === step.key ? null : step.key"
            @change="change(step, $event)"
            @reset="reset(step)"
            @move="move(i, $event)"
            @remove="takeOut(step)"
          />
        </ol>
        <div class="more">
          <Button :label="texts.addStep" icon="pi pi-plus" text size="small" @click="add" />
        </div>
        <ul v-if="method.hidden.length" class="hidden-steps small">
          <li v-for="step in method.hidden" :key="step.key">
            <span class="muted">{{ texts.removed(stepTitle(step)) }}</span>
            <Button :label="common.restore" text size="small" @click="putBack(step)" />
          </li>
        </ul>
      </TitledCard>
    </div>
    <div class="right stacked">
      <TitledCard :title="texts.processFlow">
        <div class="scroll" tabindex="0" role="group" :aria-label="texts.processFlowDiagram">
          <FlowDrawing :a="editor.assessment!" :steps="method.steps" :lit="open" />
        </div>
      </TitledCard>
      <PlanCard :steps="method.steps" />
      <NeedsCard :equipment="method.equipment" :day-before="method.dayBefore" />
    </div>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  padding-top: 0.5rem;
}
.more {
  border-top: 1px solid var(--line);
  padding-top: 0.375rem;
  margin-left: -0.5rem;
}
.hidden-steps li {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
</style>
