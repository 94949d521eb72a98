<script setup lang="ts">
import { common } from '#words/common'
import { skipDialog as texts } from '#words/bench-run'
import { stepTitle } from '@omblet/core/words'
import Button from 'primevue/button'
import { PlainButton } from '../../../components/buttons'
import { PopUp } from '../../../components/dialogs'
import { ref, watch } from 'vue'
import TextField from '../../../components/TextField.vue'
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
const OFTEN = [texts.notNeededThisTime, texts.alreadyDone, texts.equipmentMissing]
</script>

<template>
  <PopUp v-model:visible="open" :header="texts.skipStep" width="28rem">
    <form class="dialog-form" @submit.prevent="skip">
      <p class="wide">{{ stepTitle(run.step.value!) }}</p>
      <TextField :label="common.reason" class="wide" v-model="reason" maxlength="500" autofocus />
      <div class="wide often">
        <button v-for="o in OFTEN" :key="o" type="button" class="chip" @click="reason = o">{{ o }}</button>
      </div>
      <div class="dialog-buttons">
        <PlainButton :label="common.cancel" @click="open = false" />
        <Button type="submit" :label="texts.skipStep" :disabled="reason.trim() === ''" />
      </div>
    </form>
  </PopUp>
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
