<script setup lang="ts">
import { useEditor } from '../../../stores/editor'
import FormulaLeaf from '../FormulaLeaf.vue'
import MethodBody from './MethodBody.vue'

defineProps<{ id: string }>()
const editor = useEditor()
</script>

<template>
  <FormulaLeaf :id="id" leaf="method" title="Method">
    <MethodBody v-if="editor.assessment" :key="id" />
  </FormulaLeaf>
</template>
