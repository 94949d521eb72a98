<script setup lang="ts">
import { PopUp } from '../../../components/dialogs'

const open = defineModel<boolean>('open', { required: true })
const KEYS = [
  ['Page Down', 'next: record the scale reading, then finish the step (foot pedal)'],
  ['Page Up', 'previous step (foot pedal)'],
  ['Enter', 'record the typed or steady value'],
  ['t', 'tare, while weighing'],
  ['s', 'skip the step'],
  ['w', 'something looks wrong'],
  ['n', 'note or photo'],
  ['i', 'instruments'],
  ['?', 'these keys'],
] as const
</script>

<template>
  <PopUp v-model:visible="open" header="Keys at the Bench" width="32rem">
    <dl>
      <template v-for="[key, does] in KEYS" :key="key">
        <dt>
          <kbd class="mono">{{ key }}</kbd>
        </dt>
        <dd>{{ does }}</dd>
      </template>
    </dl>
  </PopUp>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.5rem 1rem;
  margin: 0;
}
dd {
  margin: 0;
}
kbd {
  padding: 0.125rem 0.5rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-m);
  background: var(--side);
  white-space: nowrap;
}
</style>
