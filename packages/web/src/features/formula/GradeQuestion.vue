<script setup lang="ts">
import { gradeQuestion as texts } from '#words/formula'
import type { GradeOption, GradeQuestion } from '@omblet/core'
import { onMounted, useTemplateRef } from 'vue'

const props = defineProps<{ question: GradeQuestion; chosen?: string | undefined }>()
const emit = defineEmits<{ answer: [option: GradeOption] }>()
const list = useTemplateRef<HTMLElement>('list')
const buttons = () => [...(list.value?.querySelectorAll('button') ?? [])]

onMounted(() => {
  const at = props.question.options.findIndex((o) => o.label === props.chosen)
  buttons()[Math.max(0, at)]?.focus()
})
function onKey(event: KeyboardEvent) {
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
  event.stopPropagation()
  if (step === 0) return
  event.preventDefault()
  const all = buttons()
  const at = all.indexOf(document.activeElement as HTMLButtonElement)
  all[Math.max(0, Math.min(all.length - 1, at + step))]?.focus()
}
</script>

<template>
  <section class="question" :aria-label="texts.which(question.name)">
    <h3>{{ texts.which2(question.name, question.question) }}</h3>
    <ul class="stacked closer" ref="list" @keydown="onKey">
      <li v-for="option in question.options" :key="option.label">
        <button
          type="button"
          :class="{ on: option.label === chosen }"
          :aria-pressed="option.label === chosen"
          @click="emit('answer', option)"
        >
          <strong>{{ option.label }}</strong>
          <span class="muted text-note">{{ option.difference }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.question {
  padding-bottom: 0.75rem;
}
h3 {
  padding-bottom: 0.5rem;
}
button {
  display: grid;
  gap: 0.125rem;
  width: 100%;
  padding: 0.5rem 0.75rem;
  border: 1px solid var(--line);
  border-radius: var(--round-l);
  background: none;
  text-align: left;
  cursor: pointer;
}
button:hover,
button:focus-visible {
  background: var(--wash);
}
button.on {
  border-color: var(--accent);
}
</style>
