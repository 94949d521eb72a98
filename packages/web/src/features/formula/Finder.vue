<script setup lang="ts">
import { common } from '#words/common'
import { finder as texts } from '#words/formula'
import {
  capitalise,
  gradeAnswer,
  gradeQuestionOf,
  phaseLetter,
  type GradeOption,
  type Line,
  type LineRef,
  type Material,
  suppliedName,
} from '@omblet/core'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { computed, inject, nextTick, ref, watch } from 'vue'
import { useEditor } from '../../stores/editor'
import { useMaterials } from '../../stores/materials'
import OwnMaterialDialog from '../../components/OwnMaterialDialog.vue'
import GradeQuestion from './GradeQuestion.vue'
import { placeFor, range } from './place-for'
import { sheetKey } from './sheet'

const editor = useEditor()
const materials = useMaterials()
const api = inject(sheetKey)!

const open = ref(false)
const words = ref('')
const active = ref(0)
const asked = ref<number | null>(null)
const chosenPhase = ref<number | null>(null)
const replacing = ref<LineRef | null>(null)
const ownOpen = ref(false)
/** A name that covers different things: which one is asked before anything is computed. */
const unsure = ref<Material | null>(null)
const question = computed(() => (unsure.value ? gradeQuestionOf(unsure.value) : null))
const list = ref<HTMLElement>()
const field = ref<HTMLInputElement>()

const phases = computed(() => editor.formula?.phases ?? [])
const results = computed(() => (words.value.trim() === '' ? [] : materials.search(words.value, 24)))
const used = computed(() => new Set(editor.assessment?.lines.map((line) => line.id)))

watch(words, () => (active.value = 0))

function show(phase: number | null, replace?: LineRef) {
  asked.value = phase
  chosenPhase.value = null
  replacing.value = replace ?? null
  words.value = ''
  active.value = 0
  unsure.value = null
  open.value = true
}

const phaseFor = (material: Material) => chosenPhase.value ?? placeFor(material, phases.value, asked.value)

async function take(material: Material | undefined, answer?: GradeOption) {
  if (!material) return
  if (!answer && gradeQuestionOf(material)) {
    unsure.value = material
    return
  }
  const line: Line = answer ? gradeAnswer(answer, material.id) : { material: material.id }
  if (replacing.value) {
    const at = replacing.value
    const { material: id, ...patch } = line
    editor.apply({
      type: 'sequence',
      edits: [
        { type: 'replace-material', at, material: id },
        { type: 'patch-line', at, patch },
      ],
    })
    open.value = false
    api.say(texts.replacedWith(material.name))
    api.focusLine(at)
    return
  }
  if (phases.value.length === 0)
    editor.apply({ type: 'add-phase', phase: { name: common.phase, role: 'other', lines: [] } })
  const phase = Math.min(phaseFor(material), phases.value.length - 1)
  const at = { phase, line: phases.value[phase]!.lines.length }
  editor.apply({ type: 'add-line', phase, line })
  open.value = false
  await nextTick()
  api.focusLine(at)
}

function onKey(event: KeyboardEvent) {
  if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
    event.preventDefault()
    const step = event.key === 'ArrowDown' ? 1 : -1
    active.value = Math.max(0, Math.min(results.value.length - 1, active.value + step))
    void nextTick(() =>
      list.value?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' }),
    )
  } else if (event.key === 'Enter') {
    event.preventDefault()
    if (results.value.length > 0) void take(results.value[active.value])
    else if (words.value.trim() !== '') ownOpen.value = true
  } else if (event.altKey && /^Key[A-Z]$/.test(event.code)) {
    event.preventDefault()
    const index = event.code.charCodeAt(3) - 65
    if (index < phases.value.length) chosenPhase.value = chosenPhase.value === index ? null : index
  }
}

async function onOwn(material: Material) {
  ownOpen.value = false
  await take(material)
}

defineExpose({ show })
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    dismissable-mask
    position="top"
    :header="replacing ? texts.replaceWith : texts.findAnIngredient"
    :style="{ width: 'min(46rem, calc(100vw - 1rem))', marginTop: '4vh' }"
    :draggable="false"
    @show="field?.focus()"
  >
    <div v-if="question" @keydown.esc.stop="unsure = null">
      <GradeQuestion :question="question" @answer="take(unsure!, $event)" />
      <Button :label="texts.backToTheList" icon="pi pi-arrow-left" text size="small" @click="unsure = null" />
    </div>
    <div v-else class="stacked" @keydown="onKey">
      <input
        ref="field"
        v-model="words"
        class="query"
        autofocus
        type="text"
        role="combobox"
        :aria-label="texts.ingredientByInciCommonName"
        aria-autocomplete="list"
        aria-controls="finder-list"
        :aria-expanded="results.length > 0"
        :aria-activedescendant="results.length > 0 ? `found-${active}` : undefined"
        autocomplete="off"
        spellcheck="false"
        maxlength="120"
        :placeholder="common.inciCommonNameOrFunction"
      />
      <div
        v-if="!replacing && phases.length > 1"
        class="abreast wraps"
        role="group"
        :aria-label="common.phase"
      >
        <span class="muted small">{{ texts.into }}</span>
        <button
          type="button"
          class="pick"
          :class="{ on: chosenPhase === null }"
          :aria-pressed="chosenPhase === null"
          @click="chosenPhase = null"
        >
          {{ texts.whereItBelongs }}
        </button>
        <button
          v-for="(phase, i) in phases"
          :key="phase.id"
          type="button"
          class="pick"
          :class="{ on: chosenPhase === i }"
          :aria-pressed="chosenPhase === i"
          :title="texts.alt(phaseLetter(i))"
          @click="chosenPhase = i"
        >
          <span class="phase-badge" :data-role="phase.role" :style="{ background: 'var(--phase)' }">{{
            phaseLetter(i)
          }}</span>{{ phase.name }}
        </button>
      </div>
      <ul id="finder-list" ref="list" class="results" role="listbox" :aria-label="texts.ingredientsFound">
        <li
          v-for="(material, i) in results"
          :id="`found-${i}`"
          :key="material.id"
          role="option"
          :aria-selected="i === active"
          :class="{ active: i === active }"
          @click="take(material)"
          @mousemove="active = i"
        >
          <span class="names">
            <span
              >{{ capitalise(suppliedName(material)) }}
              <span v-if="used.has(material.id)" class="muted small">{{ texts.inThisFormula }}</span><span
                v-if="material.own"
                class="muted small"
                >{{ texts.yourOwn }}</span
              ></span
            >
            <span class="muted small cut">{{ material.inci.join(', ') }}</span>
          </span>
          <span class="does muted small cut">{{ material.functions.slice(0, 2).join(', ') }}</span>
          <span class="mono small num">{{ range(material) }}</span>
          <span
            v-if="!replacing"
            class="phase-badge"
            :data-role="phases[phaseFor(material)]?.role"
            :style="{ background: 'var(--phase)' }"
            :title="phases[phaseFor(material)]?.name"
            >{{ phaseLetter(phaseFor(material)) }}</span
          >
        </li>
      </ul>
      <p v-if="words.trim() === ''" class="muted hint">
        {{ texts.tryNiacinamideSheaPreservative }}
      </p>
      <p v-else-if="results.length === 0" class="muted hint" role="status">
        {{ texts.noIngredientIsCalled(words.trim().slice(0, 60)) }}
      </p>
      <div v-if="words.trim() !== ''" class="own">
        <Button
          :label="texts.makeMyOwnIngredient(words.trim().slice(0, 32))"
          icon="pi pi-plus"
          text
          size="small"
          @click="ownOpen = true"
        />
      </div>
    </div>
    <OwnMaterialDialog v-model:open="ownOpen" :name="words.trim()" @made="onOwn" />
  </Dialog>
</template>

<style scoped>
.query {
  width: 100%;
  height: 46px;
  padding: 0 0.875rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-l);
  background: var(--field);
  font-size: var(--text-lead);
}
.pick {
  display: inline-flex;
  align-items: center;
  gap: 0.375rem;
  min-height: 30px;
  max-width: 14rem;
  padding: 0 0.625rem 0 0.25rem;
  border: 1px solid var(--line);
  border-radius: var(--round-m);
  background: none;
  font-size: var(--text-small);
  cursor: pointer;
}
.pick:first-of-type {
  padding-left: 0.625rem;
}
.pick.on {
  border-color: var(--accent);
  background: var(--wash);
}
.results {
  max-height: min(52vh, 28rem);
  overflow: auto;
  margin: 0 -0.5rem;
}
.results li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 11rem) 8.5rem 28px;
  align-items: center;
  gap: 0.75rem;
  min-height: 44px;
  padding: 0.25rem 0.5rem;
  border-radius: var(--round-m);
  cursor: pointer;
}
.results li.active {
  background: var(--cobalt-100);
}
.results li.active .muted {
  color: var(--ink);
}
.names {
  display: grid;
  min-width: 0;
  line-height: 1.25;
}
.hint {
  padding: 0.5rem 0;
}
@media (max-width: 620px) {
  .results li {
    grid-template-columns: minmax(0, 1fr) auto 28px;
  }
  .does {
    display: none;
  }
}
</style>
