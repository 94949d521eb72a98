<script setup lang="ts">
import { common } from '#words/common'
import { readingForm as texts } from '#words/formula'
import { doseFaultText } from '@omblet/core/words'
import { parseReading, recordReading, type Reading } from '@omblet/core'
import { PlainButton } from '../../components/buttons'
import { ref } from 'vue'
import { READING_WAYS } from '../../components/reading-ways'
import Choice from '../../components/Choice.vue'
import { useEditor } from '../../stores/editor'

withDefaults(defineProps<{ id: string; label: string; big?: boolean }>(), { big: false })
const emit = defineEmits<{ recorded: [reading: Reading] }>()
const editor = useEditor()

const text = ref('')
const error = ref<string | null>(null)
const method = ref<Reading['method']>(editor.formula?.readings?.at(-1)?.method ?? 'meter-10pct')

function record() {
  const read = parseReading(text.value, method.value)
  error.value = read === null ? texts.typeTheMeasuredPh : 'error' in read ? doseFaultText(read.error) : null
  if (read === null || 'error' in read) return
  const afterPhase = editor.formula!.phases.filter((p) => p.lines.length > 0).at(-1)?.name
  const reading: Reading = {
    ...read,
    at: new Date().toISOString(),
    ...(afterPhase ? { afterPhase } : {}),
  }
  editor.apply(recordReading(editor.formula!, reading))
  text.value = ''
  emit('recorded', reading)
}
</script>

<template>
  <form class="reading abreast wraps" :class="{ big }" @submit.prevent="record">
    <label class="muted small" :for="id">{{ label }}</label>
    <input
      :id="id"
      v-model="text"
      class="mono"
      inputmode="decimal"
      placeholder="pH"
      :title="texts.forAStripBetweenTwo"
      :aria-invalid="!!error"
    />
    <Choice v-model="method" :options="READING_WAYS" size="small" :label="texts.measurement" />
    <PlainButton type="submit" :label="common.record" size="small" />
    <p v-if="error" class="error-text" role="alert">{{ error }}</p>
  </form>
</template>

<style scoped>
label {
  width: 2.375rem;
}
input {
  height: 30px;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-m);
  background: var(--field);
  font-size: var(--text-note);
  width: 3.1rem;
  padding: 0 0.375rem;
  text-align: right;
}
.big label {
  width: 100%;
  padding-top: 0.3rem;
  color: var(--ink);
  font-size: var(--text-body);
}
.big input {
  width: 3.75rem;
  height: 36px;
  font-size: var(--text-body);
}
.reading {
  gap: 0.25rem;
}
.reading :deep(.p-select) {
  flex: 1 1 6rem;
}
.reading :deep(.p-select-label) {
  padding-inline: 0.375rem 0;
}
.reading :deep(.p-select-dropdown) {
  width: 1.375rem;
}
p {
  flex: 1 1 100%;
}
</style>
