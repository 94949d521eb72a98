<script setup lang="ts">
import Button from 'primevue/button'
import { useTemplateRef } from 'vue'
import { PlainButton } from './buttons'
import { filesOf } from './files-of'

/** A button that asks for files; the main one of its place, or one beside it. */
defineOptions({ inheritAttrs: false })
defineProps<{ label: string; accept?: string; multiple?: boolean; main?: boolean; testid: string }>()
const emit = defineEmits<{ picked: [first: File, all: File[]] }>()
const input = useTemplateRef<HTMLInputElement>('input')
function picked(event: Event) {
  const files = filesOf(event)
  if (files[0]) emit('picked', files[0], files)
}
</script>

<template>
  <component
    :is="main ? Button : PlainButton"
    type="button"
    v-bind="$attrs"
    :label="label"
    @click="input?.click()"
  />
  <input
    ref="input"
    type="file"
    :accept="accept"
    :multiple="multiple"
    hidden
    :data-testid="testid"
    @change="picked"
  />
</template>
