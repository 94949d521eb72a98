<script setup lang="ts">
import { common } from '#words/common'
import { productFields as texts } from '#words/components'
import type { Product } from '@omblet/core'
import ChoiceField from './ChoiceField.vue'
import { kindOptions, madeForOptions, regionOptions, rinseOptions, siteOptions } from './words'

/** What a product is: its kind, where and how it is used, and whose rules it follows. Tells only what was changed. */
defineProps<{ product: Product; madeFor?: boolean }>()
const emit = defineEmits<{ change: [patch: Partial<Product>] }>()
const FIELDS = [
  { key: 'kind', label: common.kind, options: kindOptions },
  { key: 'site', label: texts.forWord, options: siteOptions },
  { key: 'rinse', label: common.use, options: rinseOptions },
  { key: 'region', label: texts.market, options: regionOptions },
] as const
const forWhom = [{ value: null, label: texts.notSpecified }, ...madeForOptions]
</script>

<template>
  <ChoiceField
    v-for="f in FIELDS"
    :key="f.key"
    :label="f.label"
    :model-value="product[f.key]"
    :options="f.options"
    @update:model-value="emit('change', { [f.key]: $event })"
  />
  <ChoiceField
    v-if="madeFor"
    :label="texts.madeFor"
    :model-value="product.for ?? null"
    :options="forWhom"
    @update:model-value="emit('change', { for: $event ?? undefined })"
  />
  <p v-if="product.region === 'other'" class="muted small wide">
    {{ texts.ombletShowsTheStrictestRule }}
  </p>
</template>
