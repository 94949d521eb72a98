<script setup lang="ts">
import { PopUp } from '../../components/dialogs'

const open = defineModel<boolean>('open', { required: true })

const GROUPS = [
  {
    title: 'Anywhere in the formula',
    keys: [
      ['/', 'find an ingredient; Enter adds it'],
      ['Alt P', 'add a phase'],
      ['Ctrl Z', 'undo (⌘ Z)'],
      ['Ctrl Shift Z', 'redo (⌘ ⇧ Z)'],
      ['?', 'these keys'],
    ],
  },
  {
    title: 'In an amount',
    keys: [
      ['↑ ↓', 'previous or next ingredient; Enter moves down'],
      ['← →', 'to the name and the menu of the ingredient'],
      ['%  g', 'enter the amount in percent or grams'],
      ['q', 'q.s. to 100'],
      ['Alt ↑ ↓', 'move the ingredient, also into the next phase'],
      ['Alt N', 'add a note'],
      ['Ctrl Delete', 'remove the ingredient'],
      ['Esc', 'restore the previous value'],
    ],
  },
  {
    title: 'In the finder',
    keys: [
      ['↑ ↓', 'choose'],
      ['Enter', 'add, then type the amount'],
      ['Alt A … Alt Z', 'add it to that phase'],
      ['Esc', 'close'],
    ],
  },
]
</script>

<template>
  <PopUp v-model:visible="open" header="Keys" width="44rem">
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
      A comma or a dot is a decimal mark. Everything also works with the mouse and by touch.
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
