<script setup lang="ts">
import { methodText } from '@omblet/core/words'
import { common } from '#words/common'
import { phEntries as texts } from '#words/formula'
import { formatRange, phLog, removeEntry, sayNumber, type Reading } from '@omblet/core'
import Button from 'primevue/button'
import { useEditor } from '../../stores/editor'
import ReadingForm from './ReadingForm.vue'
import { useTargetFields } from './target'
import TargetInputs from './TargetInputs.vue'

const props = defineProps<{
  shared: { min: number; max: number } | null
  reading: Reading | null
  target: { min: number; max: number } | null
  /** Water in oil: there is nothing to read. */
  shut: boolean
}>()
const editor = useEditor()

const fields = useTargetFields(() => props.target)
const { error } = fields

function removeReading() {
  const last = phLog(editor.formula!).findLast((entry) => entry.kind === 'read')
  if (last) editor.apply(removeEntry(editor.formula!, last))
}
</script>

<template>
  <div class="entries">
    <div class="entry abreast wraps">
      <span class="muted small" id="target-label">{{ common.target }}</span>
      <TargetInputs :of="fields" :target="target" />
      <Button
        v-if="!target && shared"
        :label="texts.use(formatRange(shared))"
        size="small"
        text
        @click="editor.apply({ type: 'patch', patch: { targetPh: { ...shared } } })"
      />
    </div>
    <p v-if="error" class="error-text" role="alert">{{ error }}</p>
    <p v-if="reading" class="entry abreast wraps">
      <span class="muted small">{{ texts.measured }}</span>
      <strong class="mono">{{ sayNumber(reading.ph) }}</strong>
      <span class="muted small">{{ methodText(reading.method) }}</span>
      <button type="button" class="more small bare" @click="removeReading">{{ texts.remove }}</button>
    </p>
    <ReadingForm v-if="!shut" id="ph-read" :label="reading ? texts.again : common.read" />
  </div>
</template>

<style scoped>
.more {
  min-height: 24px;
  color: var(--accent-ink);
  text-decoration: underline;
  text-underline-offset: 2px;
}
.entries {
  display: grid;
  gap: 0.25rem;
  padding-top: 0.375rem;
}
.entry > :first-child {
  flex: none;
  min-width: 2.375rem;
}
.entry :deep(input) {
  width: 3.1rem;
  height: 30px;
  padding: 0 0.375rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-m);
  background: var(--field);
  font-size: var(--text-note);
  text-align: right;
}
</style>
