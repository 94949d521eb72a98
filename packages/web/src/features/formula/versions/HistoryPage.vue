<script setup lang="ts">
import { changeText } from '@omblet/core/words'
import { historyPage as texts } from '#words/formula-versions'
import { difference } from '@omblet/core'
import { format } from 'date-fns'
import { computed, onMounted } from 'vue'
import PrintBar from '../../../components/PrintBar.vue'
import { useEditor } from '../../../stores/editor'
import { useMaterials } from '../../../stores/materials'
import { useVersions } from './use-versions'

/** The history of a formula on paper: each version with where it came from, what it changed, why, and what came of it. */
const editor = useEditor()
const materials = useMaterials()
const v = useVersions()
onMounted(() => void v.load())
const nameOf = (id: string) => materials.catalogue.find(id)?.name ?? id
const rows = computed(() =>
  v.tree.value.map(({ version, parent }) => ({
    version,
    parent,
    changes: parent ? difference(parent.formula, version.formula).map((c) => changeText(c, nameOf)) : [],
  })),
)
</script>

<template>
  <div>
    <PrintBar
      :back="`/formulas/${editor.id}/versions`"
      :title="texts.historyOf(editor.formula!.name || texts.thisFormula)"
    />
    <article class="sheet">
      <h2>{{ editor.formula!.name }}</h2>
      <p v-if="rows.length === 0">{{ texts.noVersionsYet }}</p>
      <section v-for="{ version, parent, changes } in rows" :key="version.id">
        <h3>
          {{ texts.version(version.number) }}<template v-if="version.name">: {{ version.name }}</template>
        </h3>
        <p>
          {{ format(new Date(version.savedAt), 'd MMM yyyy')
          }}<template v-if="parent">{{ texts.fromVersion(parent.number) }}</template
          ><template v-if="version.rating">{{ texts.ratedOf5(version.rating) }}</template>
        </p>
        <p v-if="version.reason">
          <strong>{{ texts.reason }}</strong> {{ version.reason }}
        </p>
        <p v-if="version.result">
          <strong>{{ texts.result }}</strong> {{ version.result }}
        </p>
        <ul>
          <li v-for="c in changes" :key="c">{{ c }}</li>
        </ul>
        <p v-if="parent && changes.length === 0">{{ texts.noChanges }}</p>
      </section>
    </article>
  </div>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 1rem;
  max-width: 190mm;
  margin: 1rem auto;
  padding: 1.25rem;
  background: var(--print-paper);
  color: var(--print-ink);
}
section {
  break-inside: avoid;
  overflow-wrap: anywhere;
}
li::before {
  content: '– ';
}
@media print {
  .sheet {
    margin: 0;
    padding: 0;
  }
}
</style>
