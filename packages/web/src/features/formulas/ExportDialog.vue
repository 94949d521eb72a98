<script setup lang="ts">
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
    ...count(props.made.materials, 'own ingredient', 'own ingredients'),
    ...count(props.made.changes, 'changed fact', 'changed facts'),
  ]),
)
function save() {
  hand('omblet-formulas.json', props.made.blob)
  notify(toast, `${props.made.formulas} exported to your downloads.`)
  emit('close')
}
</script>

<template>
  <PopUp :visible="true" header="Export" @update:visible="emit('close')">
    <div class="stacked">
      <p>The file contains {{ words }}.</p>
      <p class="muted small">
        Your own ingredients used in these formulas are included, with their notes. Lots, prices, batches,
        trials and settings are not.
      </p>
      <div class="dialog-buttons">
        <QuietButton label="Cancel" @click="emit('close')" />
        <Button label="Save file" icon="pi pi-download" autofocus @click="save" />
      </div>
    </div>
  </PopUp>
</template>
