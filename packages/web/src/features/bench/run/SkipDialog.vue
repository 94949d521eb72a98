<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { ref, watch } from 'vue'
import FormField from '../../../components/FormField.vue'
import { useBatch } from '../../../stores/batch'
import { useRun } from './run'

const open = defineModel<boolean>('open', { required: true })
const batch = useBatch()
const run = useRun()
const reason = ref('')
watch(open, () => (reason.value = ''))
function skip() {
  if (reason.value.trim() === '') return
  if (batch.enter({ type: 'step', how: 'skip', reason: reason.value.trim() })) open.value = false
}
const OFTEN = ['Not needed this time', 'Done already', 'Tool not at hand']
</script>

<template>
  <Dialog v-model:visible="open" modal header="Leave this step out" :style="{ width: '28rem' }">
    <form class="dialog-form" @submit.prevent="skip">
      <p class="wide">{{ run.step.value?.title }}</p>
      <FormField id="skip-reason" label="Why" class="wide">
        <InputText id="skip-reason" v-model="reason" maxlength="500" autofocus fluid />
      </FormField>
      <div class="wide often">
        <button v-for="o in OFTEN" :key="o" type="button" class="chip" @click="reason = o">{{ o }}</button>
      </div>
      <div class="dialog-buttons">
        <Button label="Cancel" severity="secondary" outlined @click="open = false" />
        <Button type="submit" label="Leave it out" :disabled="reason.trim() === ''" />
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.often {
  display: flex;
  flex-wrap: wrap;
  gap: 0.375rem;
}
.often .chip,
form :deep(button) {
  min-height: 44px;
}
</style>
