<script setup lang="ts">
import { keysDialog as texts } from '#words/bench-run'
import { PopUp } from '../../../components/dialogs'

const open = defineModel<boolean>('open', { required: true })
const KEYS = [
  [texts.pageDown, texts.nextRecordTheScaleReading],
  [texts.pageUp, texts.previousStepFootPedal],
  ['Enter', texts.recordTheTypedOrSteady],
  ['t', texts.tareWhileWeighing],
  ['s', texts.skipTheStep],
  ['w', texts.somethingLooksWrong],
  ['n', texts.noteOrPhoto],
  ['i', 'instruments'],
  ['?', texts.theseKeys],
] as const
</script>

<template>
  <PopUp v-model:visible="open" :header="texts.keysAtTheBench" width="32rem">
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
