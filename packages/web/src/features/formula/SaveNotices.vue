<script setup lang="ts">
import Button from 'primevue/button'
import { PlainButton } from '../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { download, fileName } from '../../browser/download'
import Notice from '../../components/Notice.vue'
import { notify } from '../../components/notify'
import { useEditor } from '../../stores/editor'
import { useMaterials } from '../../stores/materials'

const editor = useEditor()
const materials = useMaterials()
const toast = useToast()

function exportIt() {
  const formula = editor.formula!
  download(fileName(formula.name, '.omblet.json'), materials.exportText(formula))
}
async function keepBoth() {
  const id = await editor.keepAsCopy()
  if (id) notify(toast, 'Your version is kept as a separate formula.')
}
</script>

<template>
  <div class="notices stacked closer">
    <Notice v-if="editor.state === 'conflict'" kind="stop">
      This formula was also changed in another tab. Nothing is overwritten until you choose.
      <template #actions>
        <Button label="Keep both" size="small" @click="keepBoth" />
        <PlainButton label="Use the other version" size="small" @click="editor.takeOther()" />
      </template>
    </Notice>
    <Notice v-else-if="editor.state === 'gone'" kind="stop">
      This formula was deleted in another tab. Your copy is no longer saved.
      <template #actions>
        <Button label="Save it again" size="small" @click="editor.storeAgain()" />
        <PlainButton label="Export" size="small" @click="exportIt" />
      </template>
    </Notice>
    <Notice v-else-if="editor.state === 'failed'" kind="stop">
      {{ editor.problem }}
      <template #actions>
        <Button label="Export" size="small" @click="exportIt" />
        <PlainButton label="Try again" size="small" @click="editor.tryAgain()" />
      </template>
    </Notice>
    <Notice v-if="editor.refused" kind="check">
      Not done: {{ editor.refused }}
      <template #actions><PlainButton label="Close" size="small" @click="editor.refused = null" /></template>
    </Notice>
  </div>
</template>

<style scoped>
.notices {
  padding: 0.75rem 1rem 0;
}
.notices:not(:has(> *)) {
  display: none;
}
</style>
