<script setup lang="ts">
import { common } from '#words/common'
import { findingItem as texts } from '#words/formula'
import { findingText, remedyText } from '@omblet/core/words'
import type { Finding, Remedy } from '@omblet/core'
import { computed, inject } from 'vue'
import FindingMark from '../../components/FindingMark.vue'
import TermText from '../../components/TermText.vue'
import { sheetKey } from './sheet'

/** One finding with what settles it; its lines are lit while it is looked at. `plain` leaves out how grave it is. */
const props = defineProps<{
  finding: Finding
  /** Whether a remedy was tried in this formula and holds; undefined while it is being tried. */
  tried: (remedy: Remedy) => boolean | undefined
  plain?: boolean
}>()
const offered = computed(() => props.finding.remedies.filter((r) => props.tried(r) !== false))
const text = computed(() => findingText(props.finding))
const emit = defineEmits<{ remedy: [remedy: Remedy] }>()
const api = inject(sheetKey)!
const WORD = { stop: common.stop, check: texts.check, note: common.note }
</script>

<template>
  <li
    @mouseenter="api.highlight(finding.lines)"
    @mouseleave="api.highlight([])"
    @focusin="api.highlight(finding.lines)"
    @focusout="api.highlight([])"
  >
    <FindingMark :severity="finding.severity" />
    <div>
      <p class="message">
        <span v-if="!plain" class="word bold" :data-severity="finding.severity">{{
          WORD[finding.severity]
        }}</span>
        {{ ' ' }}<TermText :text="text.message" />
      </p>
      <p v-if="text.why" class="why small"><TermText :text="text.why" /></p>
      <p class="source muted">{{ text.source }}</p>
      <div v-if="offered.length" class="remedies">
        <button
          v-for="remedy in offered"
          :key="remedyText(remedy)"
          type="button"
          :disabled="tried(remedy) === undefined"
          @click="emit('remedy', remedy)"
        >
          {{ remedyText(remedy) }}
        </button>
      </div>
    </div>
  </li>
</template>

<style scoped>
li {
  display: flex;
  gap: 0.5rem;
  padding: 0.625rem 0;
  border-top: 1px solid var(--line);
}
.message {
  font-size: var(--text-less);
  line-height: 1.35;
  font-weight: 600;
  overflow-wrap: anywhere;
}
.word[data-severity='stop'] {
  color: var(--stop);
}
.word[data-severity='check'] {
  color: var(--check);
}
.word[data-severity='note'] {
  color: var(--note-ink);
}
.why {
  padding-top: 0.125rem;
  overflow-wrap: anywhere;
}
.source {
  padding-top: 0.125rem;
  font-size: var(--text-tiny);
}
.remedies {
  display: flex;
  flex-wrap: wrap;
  gap: 0.375rem;
  padding-top: 0.5rem;
}
.remedies button {
  min-height: 28px;
  padding: 0.125rem 0.625rem;
  border: 1px solid var(--cobalt-200);
  border-radius: var(--round-m);
  background: var(--wash);
  color: var(--accent-ink);
  font-size: var(--text-small);
  text-align: left;
  cursor: pointer;
}
.remedies button:hover {
  border-color: var(--accent);
}
</style>
