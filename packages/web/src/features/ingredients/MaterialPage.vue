<script setup lang="ts">
import { limitRowsOf } from '@omblet/core/words'
import { common } from '#words/common'
import { materialPage as texts } from '#words/ingredients'
import { acidBaseOf, capitalise, clashesOf, slug } from '@omblet/core'
import PageHead from '../../components/PageHead.vue'
import { PlainButton, QuietButton } from '../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { computed, defineAsyncComponent, ref, watchEffect } from 'vue'
import { useRouter } from 'vue-router'
import Jar from '../../components/Jar.vue'
import MaterialFacts from '../../components/MaterialFacts.vue'
import OwnMaterialDialog from '../../components/OwnMaterialDialog.vue'
import { layersOf } from '../../components/layers'
import { notify } from '../../components/notify'
import FactsDialog from './FactsDialog.vue'
import LotsCard from './LotsCard.vue'
import { useLibrary } from '../../stores/library'
import { useMaterials } from '../../stores/materials'

const props = defineProps<{ id: string }>()
const materials = useMaterials()
const library = useLibrary()
const SolubilityCharts = defineAsyncComponent(() => import('./SolubilityCharts.vue'))

const material = computed(() => materials.catalogue.materials.find((m) => m.id === props.id) ?? null)
watchEffect(() => {
  document.title = material.value ? `${capitalise(material.value.name)} – Omblet` : 'Omblet'
})
const limits = computed(() => (material.value ? limitRowsOf(material.value) : []))
const clashes = computed(() => (material.value ? clashesOf(material.value) : []))
/** The solid whose solubility can be drawn: the material itself, where its constants are known. */
const solid = computed(() => {
  const constants =
    material.value && !material.value.parts ? acidBaseOf(slug(material.value.inci[0]!)) : undefined
  return constants &&
    (constants.intrinsicSolubility ?? constants.waterSolubility ?? Infinity) < 300 &&
    constants.counterIonCharge === 0
    ? constants
    : null
})
const users = computed(() =>
  library.records.filter((record) =>
    record.formula.phases.some((p) =>
      p.lines.some((l) => (materials.catalogue.find(l.material)?.id ?? l.material) === props.id),
    ),
  ),
)
const router = useRouter()
const toast = useToast()
const changing = ref(false)
async function removeOwn() {
  const gone = material.value!
  const undo = await materials.remove(gone)
  await router.push('/ingredients')
  const used = users.value.length
  notify(
    toast,
    used > 0
      ? texts.removedIt(
          capitalise(gone.name),
          used,
          used === 1 ? texts.formulaStillNames : texts.formulasStillName,
        )
      : texts.removed(capitalise(gone.name)),
    undo ? { label: common.undo, run: () => void undo() } : undefined,
  )
}
</script>

<template>
  <div v-if="!material" class="page">
    <h1>{{ texts.ingredientNotFound }}</h1>
    <p>
      <RouterLink to="/ingredients">{{ texts.goToIngredients }}</RouterLink>
    </p>
  </div>
  <div v-else class="page">
    <PageHead :title="capitalise(material.name)" up="/ingredients" :up-label="common.ingredients">
      <PlainButton
        :label="material.own ? common.change : texts.changeFacts"
        icon="pi pi-pencil"
        size="small"
        @click="changing = true"
      />
      <QuietButton
        v-if="material.own"
        :label="common.remove"
        icon="pi pi-trash"
        size="small"
        @click="removeOwn"
      />
    </PageHead>
    <p v-if="material.note" class="lead">{{ material.note }}</p>
    <div class="columns">
      <div class="stacked">
        <section class="card" aria-labelledby="facts-title">
          <h2 id="facts-title">{{ texts.facts }}</h2>
          <MaterialFacts :material="material" />
          <p v-if="material.aliases?.length" class="muted small">
            {{ texts.alsoCalled(material.aliases.join(', ')) }}
          </p>
        </section>
        <LotsCard :material="material" />
        <section v-if="clashes.length" class="card" aria-labelledby="clash-title">
          <h2 id="clash-title">{{ texts.incompatibleWith }}</h2>
          <ul class="plain">
            <li v-for="(clash, i) in clashes" :key="i">
              <strong>{{ capitalise(clash.with.name) }}</strong>{{ texts.they(clash.what, clash.why) }}
            </li>
          </ul>
        </section>
      </div>
      <div class="stacked">
        <section v-if="solid" class="card" aria-labelledby="solubility-title">
          <h2 id="solubility-title">{{ texts.solubility }}</h2>
          <SolubilityCharts :solid="solid" />
        </section>
        <section class="card" aria-labelledby="limits-title">
          <h2 id="limits-title">{{ texts.limits }}</h2>
          <p v-if="limits.length === 0" class="muted">
            {{ texts.noLegalLimitKnownCheck }}
          </p>
          <div v-else class="scroll" tabindex="0" role="region" :aria-label="texts.limitsTable">
            <table>
              <thead>
                <tr>
                  <th>{{ texts.substance }}</th>
                  <th>{{ texts.limit }}</th>
                  <th>{{ common.product }}</th>
                  <th>{{ common.by }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(row, i) in limits" :key="i">
                  <td>{{ row.substance }}</td>
                  <td class="cap">
                    <span class="mono">{{ row.cap }}</span><small v-if="row.note">{{ row.note }}</small>
                  </td>
                  <td>{{ row.where }}</td>
                  <td>
                    <strong v-if="row.kind === 'law'">{{ row.authority }}</strong><span v-else>{{
                      row.authority
                    }}</span
                    ><small>{{ row.source }}</small>
                  </td>
                </tr>
              </tbody>
            </table>
          </div>
        </section>
        <section class="card" aria-labelledby="used-title">
          <h2 id="used-title">{{ texts.inYourFormulas }}</h2>
          <p v-if="users.length === 0" class="muted">{{ texts.notUsedYet }}</p>
          <ul v-else class="users">
            <li v-for="record in users" :key="record.id">
              <Jar :layers="layersOf(record.formula)" small />
              <RouterLink :to="`/formulas/${record.id}`">{{ record.formula.name }}</RouterLink>
            </li>
          </ul>
        </section>
      </div>
    </div>
    <OwnMaterialDialog
      v-if="material.own"
      v-model:open="changing"
      :material="material"
      @made="changing = false"
    />
    <FactsDialog v-else-if="changing" :material="material" @close="changing = false" />
  </div>
</template>

<style scoped>
h2 {
  font-size: var(--text-body);
  padding-bottom: 0.625rem;
}
.lead {
  max-width: 44rem;
}
.columns {
  --columns: minmax(20rem, 5fr) minmax(0, 7fr);
}
.card {
  min-width: 0;
  padding: 0.875rem 1rem;
}
table {
  font-size: var(--text-note);
}
.cap {
  white-space: nowrap;
}
small {
  display: block;
  color: var(--muted);
  font-size: var(--text-tiny);
  white-space: normal;
}
.plain li {
  padding: 0.25rem 0;
}
.users {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
  gap: 0.75rem;
}
.users li {
  display: flex;
  align-items: center;
  gap: 0.75rem;
}
.users a {
  color: inherit;
  overflow-wrap: anywhere;
}
</style>
