<script setup lang="ts">
import { common } from '#words/common'
import { exportDialog as texts } from '#words/formulas'
import { listWords } from '@omblet/core'
import Button from 'primevue/button'
import { useToast } from 'primevue/usetoast'
import { computed } from 'vue'
import { hand } from '../../browser/download'
import { QuietButton } from '../../components/buttons'
import { PopUp } from '../../components/dialogs'
import { notify } from '../../components/notify'
import type { MadeExport } from './export'

/** Export with formulas that are exported, before they are. */
const props = defineProps<{ made: MadeExport }>()
const emit = defineEmits<{ close: [] }>()
const toast = useToast()
const count = (n: number, one: string, many: string) => (n === 0 ? [] : [`${n} ${n === 1 ? one : many}`])
const words = computed(() =>
  listWords([
    ...count(props.made.formulas, 'formula', 'formulas'),
    ...count(props.made.versions, 'version', 'versions'),
    ...count(props.made.materials, texts.ownIngredient, texts.ownIngredients),
    ...count(props.made.changes, texts.changedFact, texts.changedFacts),
  ]),
)
function save() {
  hand('omblet-formulas.json', props.made.blob)
  notify(toast, texts.exportedToYourDownloads(props.made.formulas))
  emit('close')
}
</script>

<template>
  <PopUp :visible="true" :header="common.exportWord" @update:visible="emit('close')">
    <div class="stacked">
      <p>{{ texts.theFileContains(words) }}</p>
      <p class="muted small">
        {{ texts.yourOwnIngredientsUsedIn }}
      </p>
      <div class="dialog-buttons">
        <QuietButton :label="common.cancel" @click="emit('close')" />
        <Button :label="texts.saveFile" icon="pi pi-download" autofocus @click="save" />
      </div>
    </div>
  </PopUp>
</template>
