<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { useToast } from 'primevue/usetoast'
import { ref } from 'vue'
import FormField from '../../../components/FormField.vue'
import { notify } from '../../../components/notify'
import { makeId } from '../../../storage/channel'
import { explainStorage } from '../../../storage/db'
import { addVersion } from '../../../storage/formulas'
import { useEditor } from '../../../stores/editor'

const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ saved: [] }>()
const editor = useEditor()
const toast = useToast()
const name = ref('')

async function save() {
  try {
    await editor.flush()
    const record = await addVersion(
      editor.id!,
      editor.formula!,
      name.value.trim().slice(0, 120),
      makeId(),
      new Date().toISOString(),
    )
    open.value = false
    name.value = ''
    notify(toast, `Version ${record.number} saved.`)
    emit('saved')
  } catch (error) {
    notify(toast, explainStorage(error), undefined, 'error')
  }
}
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    header="Save a version"
    :style="{ width: 'min(26rem, calc(100vw - 2rem))' }"
    :draggable="false"
  >
    <form class="dialog-form" @submit.prevent="save">
      <FormField id="version-name" label="What is new in it (may stay empty)">
        <InputText
          id="version-name"
          v-model="name"
          autofocus
          maxlength="120"
          fluid
          placeholder="less wax, more glycerin"
        />
      </FormField>
      <p class="muted small">
        A version is a picture of the formula as it stands. You can open and restore it later.
      </p>
      <div class="dialog-buttons">
        <Button type="button" label="Cancel" text severity="secondary" @click="open = false" />
        <Button type="submit" label="Save version" />
      </div>
    </form>
  </Dialog>
</template>
