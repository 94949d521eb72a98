<script setup lang="ts">
import { common } from '#words/common'
import { saveNotices as texts } from '#words/formula'
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
  if (id) notify(toast, texts.yourVersionIsKeptAs)
}
</script>

<template>
  <div class="notices stacked closer">
    <Notice v-if="editor.state === 'conflict'" kind="stop">
      {{ texts.thisFormulaWasAlsoChanged }}
      <template #actions>
        <Button :label="texts.keepBoth" size="small" @click="keepBoth" />
        <PlainButton :label="texts.useTheOtherVersion" size="small" @click="editor.takeOther()" />
      </template>
    </Notice>
    <Notice v-else-if="editor.state === 'gone'" kind="stop">
      {{ texts.thisFormulaWasDeletedIn }}
      <template #actions>
        <Button :label="texts.saveItAgain" size="small" @click="editor.storeAgain()" />
        <PlainButton :label="common.exportWord" size="small" @click="exportIt" />
      </template>
    </Notice>
    <Notice v-else-if="editor.state === 'failed'" kind="stop">
      {{ editor.problem }}
      <template #actions>
        <Button :label="common.exportWord" size="small" @click="exportIt" />
        <PlainButton :label="common.tryAgain" size="small" @click="editor.tryAgain()" />
      </template>
    </Notice>
    <Notice v-if="editor.refused" kind="check">
      {{ texts.notDone(editor.refused) }}
      <template #actions
        ><PlainButton :label="common.close" size="small" @click="editor.refused = null"
      /></template>
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
