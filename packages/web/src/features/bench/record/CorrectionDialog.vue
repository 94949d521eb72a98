<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Textarea from 'primevue/textarea'
import { ref, watch } from 'vue'
import FormField from '../../../components/FormField.vue'
import { useBatch } from '../../../stores/batch'

const open = defineModel<boolean>('open', { required: true })
const batch = useBatch()
const text = ref('')
watch(open, () => (text.value = ''))
function save() {
  if (!text.value.trim()) return
  if (batch.enter({ type: 'correction', text: text.value.trim() }, null)) open.value = false
}
</script>

<template>
  <Dialog v-model:visible="open" modal header="Write beside the batch" :style="{ width: '30rem' }">
    <form class="dialog-form" @submit.prevent="save">
      <p class="wide muted">The batch stays as it was recorded; this stands beside it with its date.</p>
      <FormField id="correction" label="Correction, or what you saw later" class="wide">
        <Textarea id="correction" v-model="text" rows="4" maxlength="4000" autofocus auto-resize fluid />
      </FormField>
      <p v-if="batch.told ?? batch.held" class="error-text wide" role="alert">
        {{ batch.told ?? batch.held?.why }}
      </p>
      <div class="dialog-buttons">
        <Button label="Cancel" severity="secondary" outlined @click="open = false" />
        <Button type="submit" label="Keep" :disabled="!text.trim()" />
      </div>
    </form>
  </Dialog>
</template>
