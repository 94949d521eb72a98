<script setup lang="ts">
import { sayMoney } from '@omblet/core/words'
import { common } from '#words/common'
import { shoppingDialog as texts } from '#words/formula'
import { capitalise, formatGrams, shoppingList } from '@omblet/core'
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
    notify(toast, texts.copied)
  } catch {
    notify(toast, texts.theBrowserBlockedCopyingSelect)
  }
}
</script>

<template>
  <PopUp v-model:visible="open" :header="texts.shoppingList">
    <p class="muted small lead">
      {{ texts.forOfWaterAndExpired(grams(editor.assessment!.amounts.batchGrams), editor.formula!.name) }}
    </p>
    <p v-if="lacking.length === 0" class="fine abreast">
      <FindingMark severity="fine" />{{ texts.everythingIsInStock }}
    </p>
    <table v-if="needs.length">
      <thead>
        <tr>
          <th>{{ common.ingredient }}</th>
          <th>{{ texts.needed }}</th>
          <th>{{ texts.inStock }}</th>
          <th>{{ texts.missing }}</th>
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
      {{ texts.theMissingIngredientsCostAbout }} <span class="mono">{{ sayMoney(cost) }}</span>
      {{ texts.atTheLatestPrices
      }}<template v-if="priced.length < lacking.length">{{
        texts.ofHaveNoPriceNot(lacking.length - priced.length, lacking.length)
      }}</template
      >{{ texts.packsContainMore }}
    </p>
    <div class="dialog-buttons buttons">
      <PlainButton
        :label="texts.copyMissingIngredients"
        icon="pi pi-copy"
        :disabled="lacking.length === 0"
        @click="copy"
      />
      <Button :label="common.done" @click="open = false" />
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
