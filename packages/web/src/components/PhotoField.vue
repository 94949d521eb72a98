<script setup lang="ts">
import { filesOf } from './files-of'

/** A photograph, taken on the spot where the device can. */
defineProps<{ label: string; testid: string }>()
const emit = defineEmits<{ picked: [photo: File] }>()
function picked(event: Event) {
  const [file] = filesOf(event)
  if (file) emit('picked', file)
}
</script>

<template>
  <label class="chip photo"
    ><i class="pi pi-camera" aria-hidden="true"></i> {{ label
    }}<input type="file" accept="image/*" capture="environment" :data-testid="testid" @change="picked"
  /></label>
</template>

<style scoped>
.photo {
  position: relative;
  min-height: 44px;
  justify-self: start;
  color: var(--ink);
  cursor: pointer;
}
.photo input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.photo:focus-within {
  outline: 2px solid var(--cobalt-400);
}
</style>
