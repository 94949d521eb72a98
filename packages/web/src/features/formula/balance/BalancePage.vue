<script setup lang="ts">
import FormulaLeaf from '../FormulaLeaf.vue'
import BalanceBody from './BalanceBody.vue'
import { useEditor } from '../../../stores/editor'

defineProps<{ id: string }>()
const editor = useEditor()
</script>

<template>
  <FormulaLeaf :id="id" leaf="balance" title="Balance">
    <BalanceBody v-if="editor.assessment" :key="id" />
  </FormulaLeaf>
</template>
