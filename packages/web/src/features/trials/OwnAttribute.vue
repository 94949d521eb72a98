<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import FormField from '../../components/FormField.vue'

/** An attribute of one's own, with a neutral word at each end. */
const emit = defineEmits<{ add: [name: string, low: string, high: string] }>()
const open = ref(false)
const name = ref('')
const low = ref('')
const high = ref('')
const whole = computed(() => [name, low, high].every((x) => x.value.trim() !== ''))
function add() {
  if (!whole.value) return
  emit('add', name.value, low.value, high.value)
  open.value = false
  name.value = low.value = high.value = ''
}
</script>

<template>
  <Button label="One of your own" icon="pi pi-plus" text size="small" @click="open = true" />
  <Dialog
    v-model:visible="open"
    modal
    header="Something of your own to judge"
    :style="{ width: 'min(28rem, calc(100vw - 2rem))' }"
    :draggable="false"
  >
    <form class="dialog-form" @submit.prevent="add">
      <FormField id="own-name" label="What it is" class="wide">
        <InputText id="own-name" v-model="name" autofocus maxlength="60" placeholder="sound" fluid />
      </FormField>
      <FormField id="own-low" label="Word at 0">
        <InputText id="own-low" v-model="low" maxlength="60" placeholder="dull" fluid />
      </FormField>
      <FormField id="own-high" label="Word at 10">
        <InputText id="own-high" v-model="high" maxlength="60" placeholder="squeaky" fluid />
      </FormField>
      <p class="muted small wide">Words that are neither good nor bad: liking is asked last, apart.</p>
      <div class="dialog-buttons">
        <Button type="button" label="Cancel" text severity="secondary" @click="open = false" />
        <Button type="submit" label="Add it" :disabled="!whole" />
      </div>
    </form>
  </Dialog>
</template>
