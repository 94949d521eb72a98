<script setup lang="ts">
import type { Product } from '@omblet/core'
import Select from 'primevue/select'
import FormField from '../../components/FormField.vue'
import { kindOptions, regionOptions, rinseOptions, siteOptions } from '../../components/words'

const product = defineModel<Product>({ required: true })
const set = (patch: Partial<Product>) => (product.value = { ...product.value, ...patch })
</script>

<template>
  <div class="product">
    <FormField id="start-kind" label="Kind">
      <Select
        label-id="start-kind"
        aria-label="Kind"
        :model-value="product.kind"
        :options="kindOptions"
        option-label="label"
        option-value="value"
        fluid
        @update:model-value="set({ kind: $event })"
      />
    </FormField>
    <FormField id="start-site" label="For">
      <Select
        label-id="start-site"
        aria-label="For"
        :model-value="product.site"
        :options="siteOptions"
        option-label="label"
        option-value="value"
        fluid
        @update:model-value="set({ site: $event })"
      />
    </FormField>
    <FormField id="start-rinse" label="How it is used">
      <Select
        label-id="start-rinse"
        aria-label="How it is used"
        :model-value="product.rinse"
        :options="rinseOptions"
        option-label="label"
        option-value="value"
        fluid
        @update:model-value="set({ rinse: $event })"
      />
    </FormField>
    <FormField id="start-region" label="Rules of">
      <Select
        label-id="start-region"
        aria-label="Rules of"
        :model-value="product.region"
        :options="regionOptions"
        option-label="label"
        option-value="value"
        fluid
        @update:model-value="set({ region: $event })"
      />
    </FormField>
  </div>
</template>

<style scoped>
.product {
  display: grid;
  grid-template-columns: minmax(0, 0.9fr) minmax(0, 1fr);
  gap: 0.625rem;
}
.product :deep(.field),
.product :deep(.p-select) {
  min-width: 0;
}
</style>
