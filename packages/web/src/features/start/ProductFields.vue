<script setup lang="ts">
import type { Product } from '@omblet/core'
import ChoiceField from '../../components/ChoiceField.vue'
import { kindOptions, regionOptions, rinseOptions, siteOptions } from '../../components/words'

const product = defineModel<Product>({ required: true })
const set = (patch: Partial<Product>) => (product.value = { ...product.value, ...patch })
</script>

<template>
  <div class="product">
    <ChoiceField
      id="start-kind"
      label="Kind"
      :model-value="product.kind"
      :options="kindOptions"
      @update:model-value="set({ kind: $event })"
    />
    <ChoiceField
      id="start-site"
      label="For"
      :model-value="product.site"
      :options="siteOptions"
      @update:model-value="set({ site: $event })"
    />
    <ChoiceField
      id="start-rinse"
      label="How it is used"
      :model-value="product.rinse"
      :options="rinseOptions"
      @update:model-value="set({ rinse: $event })"
    />
    <ChoiceField
      id="start-region"
      label="Rules of"
      :model-value="product.region"
      :options="regionOptions"
      @update:model-value="set({ region: $event })"
    />
  </div>
</template>

<style scoped>
.product {
  display: grid;
  grid-template-columns: minmax(0, 0.9fr) minmax(0, 1fr);
  gap: 0.625rem;
}
</style>
