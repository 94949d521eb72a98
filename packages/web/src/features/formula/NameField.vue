<script setup lang="ts">
import { common } from '#words/common'
import { nameField as texts } from '#words/formula'
import { LIMITS } from '@omblet/core'
import { useToast } from 'primevue/usetoast'
import { computed, ref } from 'vue'
import { notify } from '../../components/notify'
import { useEditor } from '../../stores/editor'
import { useLibrary } from '../../stores/library'

const editor = useEditor()
const library = useLibrary()
const toast = useToast()
const formula = computed(() => editor.formula!)
const nameError = ref<string | null>(null)

function onName(event: Event) {
  const { value } = event.target as HTMLInputElement
  nameError.value =
    value.length > LIMITS.name
      ? texts.theNameHasCharactersAre(value.length, LIMITS.name)
      : value.trim() === ''
        ? common.enterAName
        : null
  if (!nameError.value) editor.apply({ type: 'patch', patch: { name: value } }, 'name')
}
function onNameBlur(event: Event) {
  ;(event.target as HTMLInputElement).value = formula.value.name
  nameError.value = null
  editor.settle()
  const others = library.records.filter((r) => r.id !== editor.id)
  if (others.some((r) => r.formula.name.trim().toLowerCase() === formula.value.name.trim().toLowerCase())) {
    notify(toast, texts.anotherFormulaHasTheSame)
  }
}
</script>

<template>
  <div class="title">
    <h1>
      <input
        data-history
        class="name"
        :value="formula.name"
        :aria-label="texts.nameOfTheFormula"
        :aria-invalid="nameError !== null"
        @input="onName"
        @blur="onNameBlur"
        @keydown.enter="($event.target as HTMLInputElement).blur()"
      />
    </h1>
    <p v-if="nameError" class="error-text" role="alert">{{ nameError }}</p>
  </div>
</template>

<style scoped>
.title {
  flex: 0 1 auto;
  min-width: 8rem;
}
.name {
  max-width: min(24rem, 70vw);
  min-width: 8rem;
  padding: 0.25rem 0.375rem;
  margin-left: -0.375rem;
  border: 1px solid transparent;
  border-radius: var(--round-m);
  background: none;
  font-size: var(--text-head-3);
  font-weight: 700;
  field-sizing: content;
  text-overflow: ellipsis;
}
.name:hover {
  border-color: var(--line);
}
.name[aria-invalid='true'] {
  border-color: var(--stop);
}
h1 {
  font-size: var(--text-body);
}
</style>
