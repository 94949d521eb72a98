<script setup lang="ts">
import { common } from '#words/common'
import { stepRow as texts } from '#words/formula-method'
import { stepText, stepTitle } from '@omblet/core/words'
import { linesOfStep, parseNumber, type MethodStep, sayMinutes } from '@omblet/core'
import Button from 'primevue/button'
import { QuietButton } from '../../../components/buttons'
import { computed, ref, watch } from 'vue'
import TextField from '../../../components/TextField.vue'
import { useEditor } from '../../../stores/editor'

const props = defineProps<{
  step: MethodStep
  number: number
  open: boolean
  first: boolean
  last: boolean
}>()
const emit = defineEmits<{
  toggle: []
  change: [{ title: string; note: string; hands: number; wait: number }]
  reset: []
  move: [-1 | 1]
  remove: []
}>()

const editor = useEditor()
const hasLines = computed(() => linesOfStep(props.step).length > 0)
const title = ref('')
const note = ref('')
const hands = ref('')
const wait = ref('')
watch(
  () => props.open,
  (open) => {
    if (!open) return
    title.value = stepTitle(props.step)
    note.value = props.step.note
    hands.value = String(props.step.hands)
    wait.value = String(props.step.wait)
  },
  { immediate: true },
)
const read = (text: string) => parseNumber(text, { min: 0, max: 100_000, what: common.theTime, unit: 'min' })
const fault = (text: string) => {
  const typed = read(text)
  return 'error' in typed ? typed.error : typed.value === null ? texts.typeTheMinutesOr0 : null
}
const handsError = computed(() => fault(hands.value))
const waitError = computed(() => fault(wait.value))
const titleError = computed(() => (title.value.trim() === '' ? texts.describeTheStep : null))
const value = (text: string) => {
  const typed = read(text)
  return 'value' in typed ? (typed.value ?? 0) : 0
}
function submit() {
  if (handsError.value || waitError.value || titleError.value) return
  emit('change', {
    title: title.value.trim().slice(0, 300),
    note: note.value.trim().slice(0, 4000),
    hands: value(hands.value),
    wait: value(wait.value),
  })
}
const time = computed(() => {
  const { hands: h, wait: w } = props.step
  return w > 0 ? `${sayMinutes(h)} + ${sayMinutes(w)}` : sayMinutes(h)
})
</script>

<template>
  <li>
    <div class="line">
      <span class="mono number">{{ number }}</span>
      <div class="text">
        <strong>
          <RouterLink
            v-if="hasLines"
            :to="{ path: `/formulas/${editor.id}`, query: { step: step.key } }"
            class="to-lines"
            :title="texts.showTheIngredientsOfThis"
            >{{ stepTitle(step) }}</RouterLink
          >
          <template v-else>{{ stepTitle(step) }}</template>
        </strong>
        <span v-if="step.changed" class="muted small mine">{{
          step.kind === 'own' ? texts.yourOwn : texts.changed
        }}</span>
        <span v-if="stepText(step).detail" class="small muted">{{ stepText(step).detail }}</span>
        <span v-if="stepText(step).look" class="small muted">{{ texts.until(stepText(step).look) }}</span>
        <span v-if="step.note" class="small note">{{ step.note }}</span>
      </div>
      <span class="mono small time" :title="step.wait > 0 ? texts.handsWaiting : texts.hands">{{
        time
      }}</span>
      <div class="acts">
        <QuietButton
          icon="pi pi-arrow-up"
          rounded
          data-move="-1"
          :aria-label="texts.moveUp(stepTitle(step))"
          :disabled="first"
          @click="emit('move', -1)"
        />
        <QuietButton
          icon="pi pi-arrow-down"
          rounded
          data-move="1"
          :aria-label="texts.moveDown(stepTitle(step))"
          :disabled="last"
          @click="emit('move', 1)"
        />
        <QuietButton
          icon="pi pi-pencil"
          rounded
          :aria-label="texts.change(stepTitle(step))"
          :aria-expanded="open"
          @click="emit('toggle')"
        />
      </div>
    </div>
    <form v-if="open" class="edit" @submit.prevent="submit">
      <TextField
        :label="common.step"
        :error="titleError"
        class="wide"
        v-model="title"
        maxlength="300"
        autofocus
      />
      <TextField :label="texts.handsOnTimeMinutes" :error="handsError" v-model="hands" figure />
      <TextField :label="texts.waitingTimeMinutes" :error="waitError" v-model="wait" figure />
      <TextField :label="common.note" class="wide" v-model="note" :rows="2" maxlength="4000" />
      <div class="buttons">
        <QuietButton type="button" :label="common.remove" size="small" @click="emit('remove')" />
        <QuietButton
          v-if="step.changed && step.kind !== 'own'"
          type="button"
          :label="common.reset"
          size="small"
          @click="emit('reset')"
        />
        <span></span>
        <QuietButton type="button" :label="common.cancel" size="small" @click="emit('toggle')" />
        <Button type="submit" :label="common.keep" size="small" />
      </div>
    </form>
  </li>
</template>

<style scoped>
.to-lines {
  color: inherit;
  text-decoration: none;
}
.to-lines:hover,
.to-lines:focus-visible {
  text-decoration: underline;
}
li {
  border-top: 1px solid var(--line);
  padding: 0.375rem 0;
}
.line {
  display: grid;
  grid-template-columns: 1.75rem minmax(0, 1fr) auto auto;
  align-items: start;
  gap: 0.5rem;
}
.number {
  padding-top: 0.05rem;
  color: var(--muted);
  text-align: right;
}
.text {
  display: grid;
  gap: 0.125rem;
}
.text strong {
  font-weight: 600;
}
.note {
  font-style: italic;
}
.time {
  padding-top: 0.1rem;
  white-space: nowrap;
}
.acts {
  display: flex;
  margin-top: -0.25rem;
}
.acts :deep(.p-button) {
  width: 32px;
  height: 32px;
}
.edit {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.75rem;
  padding: 0.5rem 0 0.5rem 2.25rem;
}
.wide,
.buttons {
  grid-column: 1 / -1;
}
.buttons {
  display: flex;
  gap: 0.375rem;
}
.buttons span {
  flex: 1;
}
@media (max-width: 620px) {
  .line {
    grid-template-columns: 1.5rem minmax(0, 1fr) auto;
  }
  .acts {
    grid-column: 2 / -1;
    grid-row: 2;
    margin: 0;
  }
}
</style>
