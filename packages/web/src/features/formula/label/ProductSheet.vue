<script setup lang="ts">
import { sayMonths, USUAL_STORAGE, missingText } from '@omblet/core/words'
import { common } from '#words/common'
import { productSheet as texts } from '#words/formula-label'
import { bestBefore, capitalise, keptMonths, namesInOrder } from '@omblet/core'
import { format, parseISO } from 'date-fns'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import PrintBar from '../../../components/PrintBar.vue'
import { useEditor } from '../../../stores/editor'
import { useLabel } from './use-label'

/** One page for somebody who gets a jar: what it is, how to use it, what is in it, until when. */
const editor = useEditor()
const route = useRoute()
const { label, design, made } = useLabel()
const months = computed(() => keptMonths(design.value, label.value.useWithin))
const until = computed(() => made.value && bestBefore(made.value.day, months.value.closed))
const day = (iso: string) => format(parseISO(iso), 'd MMMM yyyy')
const letter = computed(() => label.value.region === 'US' || label.value.region === 'CA')
const cautions = computed(() => label.value.statements.filter((s) => s.code !== 'patch-test'))
</script>

<template>
  <div class="print-page">
    <PrintBar :back="{ path: `/formulas/${editor.id}/label`, query: route.query }" />
    <article class="product-sheet" :class="{ letter }">
      <header>
        <h1>{{ label.name }}</h1>
        <p class="line">{{ design.line || label.function }}</p>
      </header>
      <section>
        <h2>{{ texts.directions }}</h2>
        <p>{{ label.directions.join(' ') }}</p>
      </section>
      <section>
        <h2>{{ texts.patchTest }}</h2>
        <p>
          {{ texts.applyALittleToThe }}
        </p>
      </section>
      <section v-if="cautions.length">
        <h2>{{ texts.precautions }}</h2>
        <ul>
          <li v-for="s in cautions" :key="s.code">{{ capitalise(s.text) }}</li>
        </ul>
      </section>
      <section>
        <h2>{{ common.ingredients }}</h2>
        <p>{{ namesInOrder(label, design.order).join(', ') }}.</p>
        <p v-if="label.list.unknownMakeUp.length || label.list.noAnalysis.length" class="small">
          {{
            texts.compositionNotFullyKnown(
              label.missing
                .filter((m) => m.code === 'composition' || m.code === 'analysis')
                .map(missingText)
                .join(', '),
            )
          }}
        </p>
      </section>
      <section>
        <h2>{{ texts.shelfLife }}</h2>
        <p>
          <template v-if="until">{{ texts.bestBefore(day(until)) }} </template>{{
            texts.onceOpenedWithinDiscardIf(sayMonths(months.opened), design.storage || USUAL_STORAGE)
          }}
        </p>
      </section>
      <footer>
        <p>
          <template v-if="made">{{ texts.batchMadeOn(made.code, day(made.day)) }} </template><template v-else
            >{{ texts.draftNotFromABatch }} </template
          >{{ design.address }}
        </p>
        <p class="small">{{ texts.madeAtHomeWithoutA }}</p>
      </footer>
    </article>
  </div>
</template>

<style scoped>
.product-sheet {
  overflow-wrap: anywhere;
  display: grid;
  align-content: start;
  gap: 6mm;
  width: 210mm;
  max-width: calc(100% - 1rem);
  min-height: 240mm;
  margin: 1rem auto 3rem;
  padding: 18mm 20mm;
  background: var(--print-paper);
  color: var(--print-ink);
  box-shadow: var(--shadow-high);
  color-scheme: light;
}
.product-sheet.letter {
  width: 8.5in;
}
.product-sheet > header {
  padding-bottom: 4mm;
  border-bottom: 1.2pt solid var(--rail);
}
h1 {
  font-size: var(--text-figure);
}
h2 {
  margin-bottom: 1mm;
}
ul {
  padding-left: 1.25rem;
  list-style: disc;
}
footer {
  padding-top: 4mm;
  border-top: 1px solid currentcolor;
}
@media print {
  .product-sheet,
  .product-sheet.letter {
    width: auto;
    max-width: none;
    min-height: 0;
    margin: 0;
    padding: 0;
    box-shadow: none;
    page: a4-sheet;
  }
  .product-sheet.letter {
    page: letter-sheet;
  }
}
</style>
