<script setup lang="ts">
defineProps<{ id: string; label: string; error?: string | null | undefined }>()
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <slot />
    <p v-if="error" class="error" role="alert">{{ error }}</p>
  </div>
</template>
