<script setup lang="ts">
import { countFindings, isCaution, type Finding, type Remedy } from '@omblet/core'
import { computed, inject, ref } from 'vue'
import FindingMark from '../../components/FindingMark.vue'
import { useEditor } from '../../stores/editor'
import { sheetKey } from './sheet'

const props = defineProps<{ findings: readonly Finding[]; begun: boolean }>()
const editor = useEditor()
const api = inject(sheetKey)!
const cautionsOpen = ref(false)

const main = computed(() => props.findings.filter((f) => !isCaution(f) || f.severity !== 'note'))
const cautions = computed(() => props.findings.filter((f) => isCaution(f) && f.severity === 'note'))
const counts = computed(() => countFindings(main.value))
const say = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`
const headline = computed(() =>
  [say(counts.value.stop, 'stop'), say(counts.value.check, 'check'), say(counts.value.note, 'note')].join(
    ' · ',
  ),
)
const WORD = { stop: 'Stop', check: 'Check', note: 'Note' }

function run(remedy: Remedy) {
  editor.apply(remedy.edit)
  api.say(`Done: ${remedy.label.charAt(0).toLowerCase()}${remedy.label.slice(1)}.`)
  api.highlight([])
}
const keyOf = (f: Finding) => `${f.code}|${f.message}`
</script>

<template>
  <section class="card findings" aria-labelledby="findings-title">
    <header>
      <h2 id="findings-title">Findings</h2>
      <span v-if="begun" class="muted small" aria-live="polite">{{ headline }}</span>
    </header>
    <p v-if="!begun" class="muted small quiet">Add materials, and what is wrong with them shows here.</p>
    <template v-else>
      <p v-if="main.length === 0" class="fine"><FindingMark severity="fine" />Nothing to stop or check.</p>
      <ul>
        <li
          v-for="finding in main"
          :key="keyOf(finding)"
          @mouseenter="api.highlight(finding.lines)"
          @mouseleave="api.highlight([])"
          @focusin="api.highlight(finding.lines)"
          @focusout="api.highlight([])"
        >
          <FindingMark :severity="finding.severity" />
          <div>
            <p class="message">
              <span class="word" :data-severity="finding.severity">{{ WORD[finding.severity] }}</span>
              {{ finding.message }}
            </p>
            <p v-if="finding.why" class="why small">{{ finding.why }}</p>
            <p class="source muted">{{ finding.source }}</p>
            <div v-if="finding.remedies.length" class="remedies">
              <button
                v-for="remedy in finding.remedies"
                :key="remedy.label"
                type="button"
                @click="run(remedy)"
              >
                {{ remedy.label }}
              </button>
            </div>
          </div>
        </li>
      </ul>
      <template v-if="cautions.length">
        <button
          type="button"
          class="toggle small"
          :aria-expanded="cautionsOpen"
          @click="cautionsOpen = !cautionsOpen"
        >
          <i :class="cautionsOpen ? 'pi pi-chevron-down' : 'pi pi-chevron-right'" aria-hidden="true"></i>
          {{ say(cautions.length, 'caution') }} for making and using it
        </button>
        <ul v-if="cautionsOpen">
          <li v-for="finding in cautions" :key="keyOf(finding)">
            <FindingMark severity="note" />
            <div>
              <p class="message">{{ finding.message }}</p>
              <p class="why small">{{ finding.why }}</p>
              <p class="source muted">{{ finding.source }}</p>
            </div>
          </li>
        </ul>
      </template>
    </template>
  </section>
</template>

<style scoped>
.findings {
  padding: 0.75rem 0.875rem;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 0.5rem;
}
h2 {
  font-size: 0.9375rem;
}
.quiet,
.fine {
  padding-top: 0.5rem;
}
.fine {
  display: flex;
  align-items: center;
  gap: 0.5rem;
}
li {
  display: flex;
  gap: 0.625rem;
  padding: 0.625rem 0;
  border-top: 1px solid var(--line);
}
ul:first-of-type li:first-child {
  border-top: 0;
}
.message {
  font-size: 0.9375rem;
  line-height: 1.35;
  font-weight: 600;
  overflow-wrap: anywhere;
}
.word {
  font-weight: 700;
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
  font-size: 0.75rem;
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
  border-radius: 7px;
  background: var(--wash);
  color: var(--accent-ink);
  font-size: 0.8125rem;
  text-align: left;
  cursor: pointer;
}
.remedies button:hover {
  border-color: var(--accent);
}
.toggle {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  width: 100%;
  min-height: 32px;
  padding: 0.25rem 0 0;
  border: 0;
  border-top: 1px solid var(--line);
  background: none;
  color: var(--muted);
  cursor: pointer;
}
</style>
