<script setup lang="ts">
import { common } from '#words/common'
import { saveVersionDialog as texts } from '#words/formula-versions'
import Button from 'primevue/button'
import { QuietButton } from '../../../components/buttons'
import { PopUp } from '../../../components/dialogs'
import { useToast } from 'primevue/usetoast'
import { ref } from 'vue'
import TextField from '../../../components/TextField.vue'
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
    notify(toast, texts.versionSaved(record.number))
    emit('saved')
  } catch (error) {
    notify(toast, explainStorage(error), undefined, 'error')
  }
}
</script>

<template>
  <PopUp v-model:visible="open" :header="common.saveVersion" width="26rem">
    <form class="dialog-form" @submit.prevent="save">
      <TextField
        :label="texts.nameOptional"
        v-model="name"
        autofocus
        maxlength="120"
        :placeholder="texts.lessWaxMoreGlycerin"
      />
      <p class="muted small">{{ texts.aVersionIsASnapshot }}</p>
      <div class="dialog-buttons">
        <QuietButton type="button" :label="common.cancel" @click="open = false" />
        <Button type="submit" :label="common.saveVersion" />
      </div>
    </form>
  </PopUp>
</template>
