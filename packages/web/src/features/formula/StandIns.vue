<script setup lang="ts">
import { common } from '#words/common'
import { standIns as texts } from '#words/formula'
import { substituteText, findingText, sayMoney } from '@omblet/core/words'
import {
  capitalise,
  pricePerGram,
  sayPercent,
  substitutesFor,
  swapCost,
  type AssessedLine,
  type Substitute,
  findingKey,
} from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton } from '../../components/buttons'
import { computed, ref, watch } from 'vue'
import FindingMark from '../../components/FindingMark.vue'
import { useEditor } from '../../stores/editor'
import { useLots } from '../../stores/lots'
import { useMaterials } from '../../stores/materials'

/** What could stand in for the material of a line, worked out when it is asked for. */
const props = defineProps<{ line: AssessedLine }>()
const emit = defineEmits<{ take: [Substitute] }>()
const editor = useEditor()
const lots = useLots()
const materials = useMaterials()

const MOST = 5
const open = ref(false)
const all = ref(false)
const list = computed(() => {
  const a = editor.assessment
  if (!open.value || !a) return []
  const index = a.lines.findIndex((l) => l.phase === props.line.phase && l.line === props.line.line)
  return substitutesFor(a, index, materials.catalogue, lots.owned)
})
/** What it would change in the price of a batch, where both have one. */
function priceWords(s: Substitute): string {
  const change = swapCost(editor.assessment!, props.line, { id: s.material.id, percent: s.percent }, (id) =>
    pricePerGram(lots.lots, id),
  )
  return change === null ? '' : texts.aBatch(sayMoney(Math.abs(change)), change < 0 ? texts.less : texts.more)
}
const shown = computed(() => (all.value ? list.value : list.value.slice(0, MOST)))
watch(
  () => props.line.id,
  () => (open.value = false),
)
</script>

<template>
  <div class="stand-ins">
    <Button
      :label="open ? texts.hideAlternatives : texts.showAlternatives"
      text
      size="small"
      class="ask"
      :aria-expanded="open"
      @click="open = !open"
    />
    <template v-if="open">
      <p v-if="list.length === 0" class="muted small">{{ texts.noSubstituteInTheCatalogue }}</p>
      <ul>
        <li v-for="s in shown" :key="s.material.id">
          <div class="head abreast wraps">
            <strong>{{ capitalise(s.material.name) }}</strong>
            <span v-if="lots.owned.has(s.material.id)" class="muted small">{{ texts.inStock }}</span>
            <span v-if="priceWords(s)" class="muted small">{{ priceWords(s) }}</span>
            <span class="mono small to-end">{{ sayPercent(s.percent) }}</span>
            <PlainButton
              :label="common.use"
              size="small"
              :aria-label="texts.use(s.material.name)"
              @click="emit('take', s)"
            />
          </div>
          <p v-if="s.alike.length" class="small">
            <span class="muted">{{ texts.same }}</span> {{ s.alike.map(substituteText).join('; ') }}
          </p>
          <p v-if="s.differs.length" class="small">
            <span class="muted">{{ texts.different }}</span> {{ s.differs.map(substituteText).join('; ') }}
          </p>
          <p v-for="f in s.brings.slice(0, 3)" :key="findingKey(f)" class="small brings">
            <FindingMark :severity="f.severity" :size="14" /><span>{{ findingText(f).message }}</span>
          </p>
        </li>
      </ul>
      <Button
        v-if="list.length > MOST"
        :label="all ? common.showFewer : texts.showAll(list.length)"
        text
        size="small"
        @click="all = !all"
      />
    </template>
  </div>
</template>

<style scoped>
.stand-ins {
  display: grid;
  justify-items: start;
  gap: 0.25rem;
  padding-top: 0.5rem;
}
.ask {
  margin-left: -0.5rem;
}
ul {
  width: 100%;
}
li {
  display: grid;
  gap: 0.125rem;
  padding: 0.5rem 0;
  border-top: 1px solid var(--line);
}
.head {
  gap: 0.25rem 0.5rem;
}
.brings {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr);
  align-items: baseline;
  gap: 0.5rem;
}
</style>
