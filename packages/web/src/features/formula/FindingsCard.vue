<script setup lang="ts">
import { common } from '#words/common'
import { findingsCard as texts } from '#words/formula'
import { findingText, noteHeading, remedyText } from '@omblet/core/words'
import {
  countFindings,
  groupNotes,
  isCaution,
  type Assessment,
  type Finding,
  type Remedy,
  uncapitalise,
} from '@omblet/core'
import { computed, inject, ref } from 'vue'
import FindingMark from '../../components/FindingMark.vue'
import FindingItem from './FindingItem.vue'
import { useEditor } from '../../stores/editor'
import { sheetKey } from './sheet'
import { useTriedRemedies } from './use-tried-remedies'

const props = defineProps<{
  findings: readonly Finding[]
  assessment: Assessment
  begun: boolean
}>()
const tried = useTriedRemedies(
  () => props.assessment,
  () => props.findings,
)
const editor = useEditor()
const api = inject(sheetKey)!
const cautionsOpen = ref(false)
/** So many notes are shown as they are; more are folded by kind. */
const FEW_NOTES = 2
const opened = ref<Set<string>>(new Set())

const main = computed(() => props.findings.filter((f) => !isCaution(f) || f.severity !== 'note'))
const cautions = computed(() => props.findings.filter((f) => isCaution(f) && f.severity === 'note'))
const notes = computed(() => main.value.filter((f) => f.severity === 'note'))
const folds = computed(() => (notes.value.length > FEW_NOTES ? groupNotes(notes.value) : []))
const shown = computed(() =>
  folds.value.length > 0 ? main.value.filter((f) => f.severity !== 'note') : main.value,
)
function toggle(title: string) {
  const next = new Set(opened.value)
  if (!next.delete(title)) next.add(title)
  opened.value = next
}
const counts = computed(() => countFindings(main.value))
const headline = computed(() =>
  [
    common.counted(counts.value.stop, 'stop'),
    common.counted(counts.value.check, 'check'),
    common.counted(counts.value.note, 'note'),
  ].join(' · '),
)

function run(remedy: Remedy) {
  editor.apply(remedy.edit)
  api.say(texts.done(uncapitalise(remedyText(remedy))))
  api.highlight([])
}
const keyOf = (f: Finding) => `${f.code}|${findingText(f).message}`
</script>

<template>
  <section class="card findings padded" aria-labelledby="findings-title">
    <header class="abreast level spread">
      <h2 class="text-less" id="findings-title">{{ texts.findings }}</h2>
      <span v-if="begun" class="muted small" aria-live="polite">{{ headline }}</span>
    </header>
    <p v-if="!begun" class="muted small quiet">{{ texts.addIngredientsToSeeFindings }}</p>
    <template v-else>
      <p v-if="main.length === 0" class="fine abreast">
        <FindingMark severity="fine" />{{ texts.nothingToStopOrCheck }}
      </p>
      <ul>
        <FindingItem
          v-for="finding in shown"
          :key="keyOf(finding)"
          :finding="finding"
          :tried="tried"
          @remedy="run"
        />
      </ul>
      <template v-for="fold in folds" :key="noteHeading(fold.family)">
        <button
          type="button"
          class="toggle small abreast bare"
          :aria-expanded="opened.has(noteHeading(fold.family))"
          @click="toggle(noteHeading(fold.family))"
        >
          <i
            :class="opened.has(noteHeading(fold.family)) ? 'pi pi-chevron-down' : 'pi pi-chevron-right'"
            aria-hidden="true"
          ></i>
          <span class="fold"
            ><span>{{ noteHeading(fold.family) }} · {{ common.counted(fold.findings.length, 'note') }}</span
            ><span v-if="!opened.has(noteHeading(fold.family))" class="first cut">{{
              findingText(fold.findings[0]!).message
            }}</span></span
          >
        </button>
        <ul v-if="opened.has(noteHeading(fold.family))">
          <FindingItem v-for="f in fold.findings" :key="keyOf(f)" :finding="f" :tried="tried" @remedy="run" />
        </ul>
      </template>
      <template v-if="cautions.length">
        <button
          type="button"
          class="toggle small abreast bare"
          :aria-expanded="cautionsOpen"
          @click="cautionsOpen = !cautionsOpen"
        >
          <i :class="cautionsOpen ? 'pi pi-chevron-down' : 'pi pi-chevron-right'" aria-hidden="true"></i>
          {{ texts.forMakingAndUsingIt(texts.cautions(cautions.length)) }}
        </button>
        <ul v-if="cautionsOpen">
          <FindingItem
            v-for="f in cautions"
            :key="keyOf(f)"
            :finding="f"
            :tried="tried"
            plain
            @remedy="run"
          />
        </ul>
      </template>
    </template>
  </section>
</template>

<style scoped>
.quiet,
.fine {
  padding-top: 0.5rem;
}
ul:first-of-type > :first-child {
  border-top: 0;
}
.toggle {
  width: 100%;
  min-height: 32px;
  padding: 0.25rem 0 0;
  border-top: 1px solid var(--line);
  color: var(--muted);
}
.fold {
  display: grid;
  min-width: 0;
}
</style>
