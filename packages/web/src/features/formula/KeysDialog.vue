<script setup lang="ts">
import { common } from '#words/common'
import { keysDialog as texts } from '#words/formula'
import { PopUp } from '../../components/dialogs'

const open = defineModel<boolean>('open', { required: true })

const GROUPS = [
  {
    title: texts.anywhereInTheFormula,
    keys: [
      ['/', texts.findAnIngredientEnterAdds],
      [texts.altP, texts.addAPhase],
      [texts.ctrlZ, texts.undo],
      [texts.ctrlShiftZ, texts.redo],
      ['?', texts.theseKeys],
    ],
  },
  {
    title: texts.inAnAmount,
    keys: [
      ['↑ ↓', texts.previousOrNextIngredientEnter],
      ['← →', texts.toTheNameAndThe],
      ['%  g', texts.enterTheAmountInPercent],
      ['q', common.qSTo100],
      [texts.alt, texts.moveTheIngredientAlsoInto],
      [texts.altN, texts.addANote],
      [texts.ctrlDelete, texts.removeTheIngredient],
      [texts.esc, texts.restoreThePreviousValue],
    ],
  },
  {
    title: texts.inTheFinder,
    keys: [
      ['↑ ↓', 'choose'],
      ['Enter', texts.addThenTypeTheAmount],
      [texts.altAAltZ, texts.addItToThatPhase],
      [texts.esc, texts.close],
    ],
  },
]
</script>

<template>
  <PopUp v-model:visible="open" :header="common.keys" width="44rem">
    <div class="groups">
      <section v-for="group in GROUPS" :key="group.title">
        <h3>{{ group.title }}</h3>
        <dl>
          <template v-for="[key, what] in group.keys" :key="key">
            <dt>
              <kbd>{{ key }}</kbd>
            </dt>
            <dd>{{ what }}</dd>
          </template>
        </dl>
      </section>
    </div>
    <p class="muted small">
      {{ texts.aCommaOrADot }}
    </p>
  </PopUp>
</template>

<style scoped>
.groups {
  columns: 18rem 2;
  column-gap: 2rem;
}
section {
  break-inside: avoid;
  padding-bottom: 1rem;
}
h3 {
  padding-bottom: 0.5rem;
}
dl {
  display: grid;
  grid-template-columns: 7.5rem 1fr;
  gap: 0.375rem 0.75rem;
  margin: 0;
}
dd {
  margin: 0;
}
kbd {
  display: inline-block;
  padding: 0 0.4rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-s);
  background: var(--side);
  font-family: var(--mono);
  font-size: var(--text-small);
  white-space: nowrap;
}
</style>
