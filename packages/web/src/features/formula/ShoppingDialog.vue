<script setup lang="ts">
import { capitalise, formatGrams, sayMoney, shoppingList } from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton } from '../../components/buttons'
import { PopUp } from '../../components/dialogs'
import { useToast } from 'primevue/usetoast'
import { computed } from 'vue'
import FindingMark from '../../components/FindingMark.vue'
import { notify } from '../../components/notify'
import { useEditor } from '../../stores/editor'
import { today, useLots } from '../../stores/lots'

const open = defineModel<boolean>('open', { required: true })
const editor = useEditor()
const lots = useLots()
const toast = useToast()

const needs = computed(() =>
  open.value && editor.assessment ? shoppingList(editor.assessment, lots.lots, today()) : [],
)
const lacking = computed(() => needs.value.filter((n) => n.lackGrams > 0))
const priced = computed(() => lacking.value.filter((n) => n.cost !== null))
const cost = computed(() => priced.value.reduce((sum, n) => sum + n.cost!, 0))
const grams = (value: number) => formatGrams(value, editor.assessment!.amounts.resolutionGrams)

async function copy() {
  const text = lacking.value.map((n) => `${capitalise(n.label)}: ${grams(n.lackGrams)}`).join('\n')
  try {
    await navigator.clipboard.writeText(text)
    notify(toast, 'Copied.')
  } catch {
    notify(toast, 'The browser blocked copying. Select the list and copy it.')
  }
}
</script>

<template>
  <PopUp v-model:visible="open" header="Shopping list">
    <p class="muted small lead">
      For {{ grams(editor.assessment!.amounts.batchGrams) }} of {{ editor.formula!.name }}. Water and expired
      lots are not counted.
    </p>
    <p v-if="lacking.length === 0" class="fine abreast">
      <FindingMark severity="fine" />Everything is in stock.
    </p>
    <table v-if="needs.length">
      <thead>
        <tr>
          <th>Ingredient</th>
          <th>Needed</th>
          <th>In stock</th>
          <th>Missing</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="need in needs" :key="need.material">
          <td>{{ capitalise(need.label) }}</td>
          <td class="mono">{{ grams(need.needGrams) }}</td>
          <td class="mono muted">{{ grams(need.haveGrams) }}</td>
          <td class="mono" :class="need.lackGrams > 0 ? 'lack' : 'muted'">
            {{ need.lackGrams > 0 ? grams(need.lackGrams) : '–' }}
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="priced.length" class="small cost">
      The missing ingredients cost about <span class="mono">{{ sayMoney(cost) }}</span> at the latest
      prices<template v-if="priced.length < lacking.length"
        >; {{ lacking.length - priced.length }} of {{ lacking.length }} have no price (not included)</template
      >. Packs contain more.
    </p>
    <div class="dialog-buttons buttons">
      <PlainButton
        label="Copy missing ingredients"
        icon="pi pi-copy"
        :disabled="lacking.length === 0"
        @click="copy"
      />
      <Button label="Done" @click="open = false" />
    </div>
  </PopUp>
</template>

<style scoped>
.cost {
  padding-top: 0.75rem;
}
.lead {
  padding-bottom: 0.75rem;
}
.fine {
  padding-bottom: 0.5rem;
}
table {
  font-size: var(--text-less);
}
th {
  text-align: right;
}
th:first-child {
  text-align: left;
}
td:not(:first-child) {
  text-align: right;
  white-space: nowrap;
}
.lack {
  font-weight: 700;
}
.buttons {
  padding-top: 1rem;
}
</style>
