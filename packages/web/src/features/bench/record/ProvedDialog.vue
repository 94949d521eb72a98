<script setup lang="ts">
import {
  capitalise,
  formatPercent,
  provedChanges,
  withProved,
  type BatchHead,
  type BatchState,
} from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton } from '../../../components/buttons'
import Checkbox from 'primevue/checkbox'
import { PopUp } from '../../../components/dialogs'
import { useToast } from 'primevue/usetoast'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { notify } from '../../../components/notify'
import { makeId } from '../../../storage/channel'
import { explainStorage } from '../../../storage/db'
import { addVersion } from '../../../storage/formulas'
import { useEditor } from '../../../stores/editor'
import { useLibrary } from '../../../stores/library'
import { useMaterials } from '../../../stores/materials'

/** Takes what a batch did otherwise into its formula, as the next version. */
const props = defineProps<{ state: BatchState; head: BatchHead }>()
const open = defineModel<boolean>('open', { required: true })
const editor = useEditor()
const library = useLibrary()
const materials = useMaterials()
const router = useRouter()
const toast = useToast()

const changes = computed(() => provedChanges(props.state))
const chosen = ref<string[]>([])
const error = ref<string | null>(null)
watch(
  open,
  (now) => {
    if (now) chosen.value = changes.value.map((c) => c.id)
    error.value = null
  },
  { immediate: true },
)
const name = (material: string) => capitalise(materials.catalogue.find(material)?.name ?? material)
const say = (percent: number | null) => (percent === null ? '–' : formatPercent(Number(percent.toFixed(3))))
const words = (c: (typeof changes.value)[number]) =>
  c.kind === 'added'
    ? `${name(c.material)} added, ${say(c.after)}`
    : c.kind === 'removed'
      ? `${name(c.material)} removed, was ${say(c.before)}`
      : `${name(c.material)} ${say(c.before)} to ${say(c.after)}`

async function save() {
  error.value = null
  try {
    if (!(await editor.open(props.head.formulaId!).catch(() => false))) {
      error.value = 'The formula was deleted. The batch file contains its copy.'
      return
    }
    editor.replace(withProved(editor.formula!, props.state, new Set(chosen.value)))
    await editor.flush()
    if (editor.state !== 'saved') {
      error.value =
        editor.problem ?? 'The formula was changed in another tab. Open it, choose a version, and try again.'
      return
    }
    const version = await addVersion(
      editor.id!,
      editor.formula!,
      `after batch ${props.head.code}`,
      makeId(),
      new Date().toISOString(),
      { batchId: props.head.id },
    )
    await library.refresh()
    open.value = false
    notify(toast, `Version ${version.number} is saved.`)
    await router.push(`/formulas/${editor.id}/versions`)
  } catch (failure) {
    error.value = explainStorage(failure)
  }
}
</script>

<template>
  <PopUp v-model:visible="open" header="Next version of the formula">
    <form class="dialog-form" @submit.prevent="save">
      <p class="wide">
        Deviations of this batch, in percent of what was made. Choose the changes to adopt; the q.s.
        ingredient follows.
      </p>
      <ul v-if="changes.length" class="wide">
        <li v-for="c in changes" :key="c.id">
          <label class="abreast"
            ><Checkbox v-model="chosen" :value="c.id" :input-id="`proved-${c.id}`" /> {{ words(c) }}</label
          >
        </li>
      </ul>
      <p v-else class="wide muted">
        Made as designed: no ingredient deviates by more than 3 %, and nothing was added.
      </p>
      <p v-if="error" class="error-text wide" role="alert">{{ error }}</p>
      <div class="dialog-buttons">
        <PlainButton label="Cancel" @click="open = false" />
        <Button type="submit" label="Save as next version" :disabled="chosen.length === 0" />
      </div>
    </form>
  </PopUp>
</template>

<style scoped>
label {
  min-height: 44px;
  cursor: pointer;
}
</style>
