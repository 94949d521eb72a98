<script setup lang="ts">
import { common } from '#words/common'
import { provedDialog as texts } from '#words/bench-record'
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
    ? texts.added(name(c.material), say(c.after))
    : c.kind === 'removed'
      ? texts.removedWas(name(c.material), say(c.before))
      : `${name(c.material)} ${say(c.before)} to ${say(c.after)}`

async function save() {
  error.value = null
  try {
    if (!(await editor.open(props.head.formulaId!).catch(() => false))) {
      error.value = texts.theFormulaWasDeletedThe
      return
    }
    editor.replace(withProved(editor.formula!, props.state, new Set(chosen.value)))
    await editor.flush()
    if (editor.state !== 'saved') {
      error.value = editor.problem ?? texts.theFormulaWasChangedIn
      return
    }
    const version = await addVersion(
      editor.id!,
      editor.formula!,
      texts.afterBatch(props.head.code),
      makeId(),
      new Date().toISOString(),
      { batchId: props.head.id },
    )
    await library.refresh()
    open.value = false
    notify(toast, texts.versionIsSaved(version.number))
    await router.push(`/formulas/${editor.id}/versions`)
  } catch (failure) {
    error.value = explainStorage(failure)
  }
}
</script>

<template>
  <PopUp v-model:visible="open" :header="texts.nextVersionOfTheFormula">
    <form class="dialog-form" @submit.prevent="save">
      <p class="wide">
        {{ texts.deviationsOfThisBatchIn }}
      </p>
      <ul v-if="changes.length" class="wide">
        <li v-for="c in changes" :key="c.id">
          <label class="abreast"
            ><Checkbox v-model="chosen" :value="c.id" :input-id="`proved-${c.id}`" /> {{ words(c) }}</label
          >
        </li>
      </ul>
      <p v-else class="wide muted">
        {{ texts.madeAsDesignedNoIngredient }}
      </p>
      <p v-if="error" class="error-text wide" role="alert">{{ error }}</p>
      <div class="dialog-buttons">
        <PlainButton :label="common.cancel" @click="open = false" />
        <Button type="submit" :label="texts.saveAsNextVersion" :disabled="chosen.length === 0" />
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
