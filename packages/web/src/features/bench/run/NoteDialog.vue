<script setup lang="ts">
import { common } from '#words/common'
import { noteDialog as texts } from '#words/bench-run'
import Button from 'primevue/button'
import { PlainButton } from '../../../components/buttons'
import { PopUp } from '../../../components/dialogs'
import { ref, watch } from 'vue'
import TextField from '../../../components/TextField.vue'
import PhotoField from '../../../components/PhotoField.vue'
import { savePhoto } from '../../../storage/batches'
import { makeId } from '../../../storage/channel'
import { explainStorage } from '../../../storage/db'
import { useBatch } from '../../../stores/batch'
import { smallPicture } from '../../../browser/picture'

const open = defineModel<boolean>('open', { required: true })
const batch = useBatch()
const text = ref('')
const photo = ref<Blob | null>(null)
const preview = ref<string | null>(null)
const error = ref<string | null>(null)
const busy = ref(false)
/** The picture that is being made smaller: what is kept waits for it. */
let making: Promise<void> = Promise.resolve()
function clear() {
  if (preview.value) URL.revokeObjectURL(preview.value)
  preview.value = null
  photo.value = null
}
watch(open, () => {
  text.value = ''
  error.value = null
  clear()
})
async function take(file: File) {
  clear()
  try {
    photo.value = await smallPicture(file)
    preview.value = URL.createObjectURL(photo.value)
    error.value = null
  } catch {
    error.value = common.thisImageCannotBeRead
  }
}
async function save() {
  if ((!text.value.trim() && !photo.value) || busy.value) return
  busy.value = true
  await making
  if (error.value) {
    busy.value = false
    return
  }
  try {
    let id: string | undefined
    if (photo.value) {
      id = makeId()
      await savePhoto({ id, batch: batch.info!.id, blob: photo.value })
    }
    if (batch.enter({ type: 'note', text: text.value.trim(), ...(id ? { photo: id } : {}) }))
      open.value = false
  } catch (failure) {
    error.value = explainStorage(failure)
  }
  busy.value = false
}
</script>

<template>
  <PopUp v-model:visible="open" :header="texts.noteOrPhoto" width="30rem">
    <form class="dialog-form for-hands" @submit.prevent="save">
      <TextField :label="common.note" class="wide" v-model="text" :rows="4" maxlength="4000" autofocus />
      <div class="wide photo abreast wraps">
        <img v-if="preview" :src="preview" :alt="texts.photoPreview" />
        <PhotoField
          :label="preview ? texts.anotherPhoto : texts.addAPhoto"
          testid="photo"
          @picked="making = take($event)"
        />
      </div>
      <p v-if="error" class="error-text wide" role="alert">{{ error }}</p>
      <div class="dialog-buttons">
        <PlainButton :label="common.cancel" @click="open = false" />
        <Button type="submit" :label="common.keep" :loading="busy" :disabled="!text.trim() && !photo" />
      </div>
    </form>
  </PopUp>
</template>

<style scoped>
.photo {
  gap: 0.75rem;
}
img {
  max-width: 100%;
  max-height: 12rem;
  border-radius: var(--round-m);
}
</style>
