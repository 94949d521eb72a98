<script setup lang="ts">
import { remarkText } from '@omblet/core/words'
import { common } from '#words/common'
import { recipeRow as texts } from '#words/start'
import {
  capitalise,
  parseAmount,
  sayNumber,
  type LineAnswer,
  type Material,
  type Question,
  type ReadLine,
  type RecipeLine,
} from '@omblet/core'
import AutoComplete from 'primevue/autocomplete'
import Button from 'primevue/button'
import { PlainButton, QuietButton } from '../../components/buttons'
import { computed, ref, watch } from 'vue'
import FindingMark from '../../components/FindingMark.vue'
import { useMaterials } from '../../stores/materials'

const props = defineProps<{ row: RecipeLine; read: ReadLine | null; questions: readonly Question[] }>()
const emit = defineEmits<{ answer: [LineAnswer] }>()
const materials = useMaterials()

const WORDS: Record<Exclude<RecipeLine['kind'], 'ingredient'>, string> = {
  heading: texts.heading,
  title: texts.title,
  batch: texts.batch,
  ph: 'pH',
  total: texts.total,
  note: texts.keptAsANote,
  unread: texts.notReadKeptAsA,
}
const ingredient = computed(() => (props.row.kind === 'ingredient' ? props.row.ingredient : null))
const mark = computed(() => {
  if (!props.read) return props.row.kind === 'unread' ? 'check' : 'note'
  if (props.read.leftOut) return 'note'
  if (props.questions.length > 0) return 'check'
  return 'fine'
})
const CONFIDENCE = { sure: '', likely: texts.likely, perhaps: texts.aGuess }
const confidence = computed(() => {
  const match = ingredient.value?.match
  if (!props.read?.material || props.read.material.id !== match?.material.id) return ''
  return CONFIDENCE[match.confidence]
})

const changing = ref(false)
const asksMaterial = computed(() => props.questions.some((q) => q.said.code === 'material'))
const words = ref<string | Material>('')
const found = ref<Material[]>([])
const guesses = computed(() => ingredient.value?.others.slice(0, 3) ?? [])
function search(event: { query: string }) {
  found.value = materials.search(event.query || ingredient.value?.name || '', 12)
}
function choose(material: Material) {
  emit('answer', { material: material.id })
  changing.value = false
  words.value = ''
}

const shown = computed(() =>
  props.read?.fill ? 'q.s.' : props.read?.percent === null ? '' : sayNumber(props.read?.percent ?? 0, 4),
)
const amount = ref(shown.value)
watch(shown, (value) => (amount.value = value))
const amountError = ref<string | null>(null)
function onAmount() {
  if (amount.value === shown.value) return
  const typed = parseAmount(amount.value)
  amountError.value = null
  if (typed.kind === 'fill') emit('answer', { percent: 'fill' })
  else if (typed.kind === 'percent' || typed.kind === 'bare') {
    if (typed.value > 100) amountError.value = texts.atMost100
    else emit('answer', { percent: typed.value })
  } else if (typed.kind === 'error') amountError.value = typed.message
  else if (typed.kind === 'grams') amountError.value = texts.enterPercentGramsAreConverted
}
</script>

<template>
  <li class="row" :class="[row.kind, { out: read?.leftOut }]">
    <span class="mono muted small number">{{ row.row }}</span>
    <FindingMark :severity="mark" :size="16" />
    <template v-if="!read || !ingredient">
      <span class="source breaks">{{ row.text }}</span>
      <span class="muted small what">{{ row.kind === 'ingredient' ? '' : WORDS[row.kind] }}</span>
    </template>
    <template v-else>
      <div class="main">
        <div class="top abreast wraps">
          <strong v-if="read.material" class="name">{{ capitalise(read.material.name) }}</strong>
          <strong v-else class="name">{{ ingredient.name }}</strong>
          <span v-if="confidence" class="muted small">{{ confidence }}</span>
          <Button
            v-if="!read.leftOut && !asksMaterial && !changing"
            :label="common.change"
            text
            size="small"
            class="tiny"
            :aria-label="texts.change(ingredient.name)"
            @click="changing = true"
          />
        </div>
        <span class="muted small source breaks">{{ row.text }}</span>
        <div v-if="(asksMaterial || changing) && !read.leftOut" class="choose abreast wraps">
          <span v-if="asksMaterial" class="small ask">{{ texts.whichIngredient }}</span>
          <PlainButton
            v-for="m in guesses"
            :key="m.id"
            :label="capitalise(m.name)"
            size="small"
            @click="choose(m)"
          />
          <AutoComplete
            v-model="words"
            :suggestions="found"
            option-label="name"
            :min-length="2"
            :placeholder="texts.anotherIngredient"
            size="small"
            :aria-label="texts.ingredientFor(ingredient.name)"
            @complete="search"
            @option-select="choose($event.value)"
          />
        </div>
        <ul v-if="read.remarks.length || ingredient.note" class="small muted remarks">
          <li v-for="(r, i) in read.remarks" :key="i">{{ remarkText(r) }}</li>
          <li v-if="ingredient.note">{{ texts.note(ingredient.note) }}</li>
        </ul>
      </div>
      <div class="amount">
        <span class="with"
          ><input
            v-model="amount"
            class="mono"
            type="text"
            inputmode="decimal"
            :aria-label="texts.percentOf(read.material?.name ?? ingredient.name)"
            :aria-invalid="amountError !== null"
            :disabled="read.leftOut"
            placeholder="?"
            @change="onAmount"
            @keydown.enter.prevent="onAmount"
          />
          <span class="muted unit">{{ read.fill ? '' : '%' }}</span></span
        >
        <span v-if="amountError" class="error-text" role="alert">{{ amountError }}</span>
      </div>
      <QuietButton
        :icon="read.leftOut ? 'pi pi-undo' : 'pi pi-times'"
        rounded
        :aria-label="read.leftOut ? texts.restore(ingredient.name) : texts.skip(ingredient.name)"
        :title="read.leftOut ? common.restore : texts.skip2"
        @click="emit('answer', { leaveOut: !read.leftOut })"
      />
    </template>
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 1.75rem 16px minmax(0, 1fr) auto 36px;
  align-items: start;
  gap: 0.25rem 0.75rem;
  padding: 0.4rem 0;
  border-top: 1px solid var(--line);
}
.row > :deep(svg) {
  margin-top: 0.25rem;
}
.number {
  padding-top: 0.15rem;
  text-align: right;
}
.row:not(.ingredient) {
  align-items: baseline;
  color: var(--muted);
}
.heading .source {
  font-weight: 700;
  color: var(--ink);
}
.what {
  grid-column: 4 / -1;
  justify-self: end;
}
.main {
  display: grid;
  gap: 0.125rem;
  min-width: 0;
}
.top {
  gap: 0 0.5rem;
}
.tiny {
  padding: 0 0.375rem;
  min-height: 24px;
}
.choose {
  padding: 0.25rem 0;
}
.ask {
  color: var(--check);
  font-weight: 700;
}
.remarks {
  display: grid;
  gap: 0.125rem;
}
.amount {
  display: grid;
  justify-items: end;
  max-width: 12rem;
}
.with {
  display: inline-grid;
  grid-template-columns: 6rem 1rem;
  align-items: center;
  gap: 0.25rem;
}
.with input {
  width: 6rem;
  height: 34px;
  padding: 0 0.5rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-m);
  background: var(--field);
  text-align: right;
}
.out .name,
.out .source {
  text-decoration: line-through;
  color: var(--muted);
}
@media (max-width: 620px) {
  .row {
    grid-template-columns: 1.5rem 16px minmax(0, 1fr) 36px;
  }
  .amount {
    grid-column: 3;
    grid-row: 2;
    justify-items: start;
  }
  .what {
    grid-column: 3 / -1;
  }
}
</style>
