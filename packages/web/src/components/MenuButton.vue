<script setup lang="ts">
import Menu from 'primevue/menu'
import type { MenuItem } from 'primevue/menuitem'
import { useTemplateRef } from 'vue'
import { PlainButton, QuietButton } from './buttons'

/** A button that opens what can be done; without words on it three dots, and `more` says of what. */
defineOptions({ inheritAttrs: false })
defineProps<{ items: MenuItem[]; label?: string; more?: string }>()
const menu = useTemplateRef<InstanceType<typeof Menu>>('menu')
</script>

<template>
  <PlainButton
    v-if="label"
    v-bind="$attrs"
    :label="label"
    aria-haspopup="menu"
    @click="menu?.toggle($event)"
  />
  <QuietButton
    v-else
    v-bind="$attrs"
    icon="pi pi-ellipsis-v"
    rounded
    :aria-label="more"
    aria-haspopup="menu"
    @click="menu?.toggle($event)"
  />
  <Menu ref="menu" :model="items" popup />
</template>
