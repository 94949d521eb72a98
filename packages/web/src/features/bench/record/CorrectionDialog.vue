<script setup lang="ts">
import { common } from '#words/common'
import { correctionDialog as texts } from '#words/bench-record'
import Button from 'primevue/button'
import { PlainButton } from '../../../components/buttons'
import { PopUp } from '../../../components/dialogs'
import { ref, watch } from 'vue'
import TextField from '../../../components/TextField.vue'
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
  <PopUp v-model:visible="open" :header="common.addNote" width="30rem">
    <form class="dialog-form" @submit.prevent="save">
      <p class="wide muted">{{ texts.theRecordStaysUnchangedYour }}</p>
      <TextField
        :label="texts.correctionOrLaterObservation"
        class="wide"
        v-model="text"
        :rows="4"
        maxlength="4000"
        autofocus
      />
      <p v-if="batch.told ?? batch.held" class="error-text wide" role="alert">
        {{ batch.told ?? batch.held?.why }}
      </p>
      <div class="dialog-buttons">
        <PlainButton :label="common.cancel" @click="open = false" />
        <Button type="submit" :label="common.keep" :disabled="!text.trim()" />
      </div>
    </form>
  </PopUp>
</template>
