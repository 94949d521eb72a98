<script setup lang="ts">
import { common } from '#words/common'
import { ingredientsPage as texts } from '#words/ingredients'
import { capitalise, lotRows, materialRows, sayNumber, sayPercent, type Material } from '@omblet/core'
import PageHead from '../../components/PageHead.vue'
import { PlainButton } from '../../components/buttons'
import VirtualScroller from 'primevue/virtualscroller'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'
import { downloadCsv, downloadSpreadsheet } from '../../browser/download'
import NothingYet from '../../components/NothingYet.vue'
import Notice from '../../components/Notice.vue'
import OwnMaterialDialog from '../../components/OwnMaterialDialog.vue'
import SearchField from '../../components/SearchField.vue'
import MenuButton from '../../components/MenuButton.vue'
import Choice from '../../components/Choice.vue'
import { useMaterials } from '../../stores/materials'
import { useLots } from '../../stores/lots'
import { standWords, type ShelfRow } from './rows'
import { useIngredients } from './use-ingredients'

const ImportDialog = defineAsyncComponent(() => import('./ImportDialog.vue'))
const materials = useMaterials()
const lots = useLots()
const router = useRouter()

const { words, group, phase, which, groups, phases, whiches, shown, rows, remember, clear } = useIngredients()
const EMPTY = {
  all: texts.noIngredientMatches,
  shelf: texts.noStockYetOpenAn,
  used: texts.noneOfYourFormulasUses,
  own: texts.noIngredientsOfYourOwn,
}
const nameOf = (id: string) => materials.catalogue.find(id)?.name ?? id
const range = (m: Material) =>
  m.usage ? `${sayNumber(m.usage.min, 4)}–${sayPercent(m.usage.max)}` : texts.usageRateUnknown
const making = ref(false)
const importing = ref(false)
const importUsed = ref(false)
function takeIn() {
  importUsed.value = true
  importing.value = true
}
const exports = computed(() => [
  {
    label: texts.myLots(lots.lots.length),
    items: [
      { label: texts.asCsv, command: () => downloadCsv('omblet-lots', lotRows(lots.lots)) },
      {
        label: texts.asASpreadsheet,
        command: () => void downloadSpreadsheet('omblet-lots', lotRows(lots.lots)),
      },
    ],
  },
  {
    label: texts.ownIngredients(materials.own.length),
    items: [
      { label: texts.asCsv, command: () => downloadCsv('omblet-materials', materialRows(materials.own)) },
      {
        label: texts.asASpreadsheet,
        command: () => void downloadSpreadsheet('omblet-materials', materialRows(materials.own)),
      },
    ],
  },
])
function onMade(material: Material) {
  making.value = false
  void router.push(`/ingredients/${material.id}`)
}
</script>

<template>
  <div class="page">
    <PageHead :title="common.ingredients"
      ><template #beside
        ><span class="muted small count grow" aria-live="polite">{{
          texts.ofIngredients(shown.length, materials.catalogue.materials.length)
        }}</span></template
      >
      <PlainButton
        as="a"
        href="/ingredients/containers"
        :label="common.containers"
        icon="pi pi-inbox"
        @click.prevent="router.push('/ingredients/containers')"
      />
      <PlainButton :label="texts.newIngredient" icon="pi pi-plus" @click="making = true" />
      <PlainButton :label="texts.importWord" icon="pi pi-upload" @click="takeIn" />
      <MenuButton :items="exports" :label="common.exportWord" icon="pi pi-download" />
    </PageHead>
    <div class="filters" role="search">
      <SearchField
        v-model="words"
        :label="texts.searchIngredients"
        :placeholder="common.inciCommonNameOrFunction"
      />
      <Choice
        v-model="group"
        :options="groups"
        :placeholder="common.allCategories"
        :label="texts.category"
        @change="remember"
      />
      <Choice v-model="phase" :options="phases" :placeholder="texts.anyPhase" :label="common.phase" />
      <Choice v-model="which" :options="whiches" :label="texts.show" />
    </div>
    <Notice v-if="lots.expiring.length" kind="check" class="expiring">
      {{ texts.expiredOrExpiringSoon }}
      <template v-for="(lot, i) in lots.expiring.slice(0, 4)" :key="lot.id"
        ><template v-if="i > 0">, </template
        ><RouterLink :to="`/ingredients/${lot.material}`">{{ nameOf(lot.material) }}</RouterLink> ({{
          lot.expires
        }})</template
      ><template v-if="lots.expiring.length > 4"> {{ texts.andMore(lots.expiring.length - 4) }}</template
      >.
    </Notice>
    <div v-if="shown.length > 0" class="card list">
      <div class="row titles muted small" aria-hidden="true">
        <span>{{ common.ingredient }}</span><span>{{ texts.functionWord }}</span
        ><span>{{ common.phase }}</span
        ><span class="num">{{ texts.usualRange }}</span>
      </div>
      <VirtualScroller :items="rows" :item-size="54" class="scroller">
        <template #item="{ item }: { item: ShelfRow }">
          <h2 v-if="'title' in item" class="section">
            {{ item.title }} <span class="muted">{{ item.count }}</span>
          </h2>
          <RouterLink v-else :to="`/ingredients/${item.material.id}`" class="row">
            <span class="names">
              <span class="name"
                >{{ capitalise(item.material.name)
                }}<span v-if="item.material.own" class="muted small"> {{ texts.yourOwn }}</span></span
              >
              <span class="muted small inci">{{ item.material.inci.join(', ') }}</span>
            </span>
            <span v-if="item.stand" class="small does stand"
              >{{ standWords(item.stand).left
              }}<span v-if="standWords(item.stand).warning" class="warning"
                ><i class="pi pi-clock" aria-hidden="true"></i> {{ standWords(item.stand).warning }}</span
              ></span
            >
            <span v-else class="muted small does">{{ item.material.functions.slice(0, 3).join(', ') }}</span>
            <span class="small into">{{
              item.material.phase === 'any' ? texts.any : item.material.phase
            }}</span>
            <span class="small num">{{ range(item.material) }}</span>
          </RouterLink>
        </template>
      </VirtualScroller>
    </div>
    <NothingYet v-else>
      <p>{{ EMPTY[which] }}</p>
      <template #actions><PlainButton :label="texts.showAll" @click="clear" /></template>
    </NothingYet>
    <OwnMaterialDialog v-model:open="making" :name="words.trim()" :action="common.make" @made="onMade" />
    <ImportDialog v-if="importUsed" v-model:open="importing" />
  </div>
</template>

<style scoped>
.expiring {
  margin-bottom: 0.75rem;
}
.expiring a {
  color: inherit;
}
.page {
  display: flex;
  flex-direction: column;
  height: 100dvh;
  padding-bottom: 1rem;
  gap: 0;
}
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  padding-bottom: 0.875rem;
}
.list {
  flex: 1;
  min-height: 16rem;
  display: flex;
  flex-direction: column;
  overflow: hidden;
}
.scroller {
  flex: 1;
  width: 100%;
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 17rem) 6rem 9.5rem;
  align-items: center;
  gap: 1rem;
  height: 54px;
  padding: 0 1rem;
  border-top: 1px solid var(--line);
  color: inherit;
  text-decoration: none;
}
.row:hover,
.row:focus-visible {
  background: var(--wash);
}
.titles {
  height: 34px;
  border-top: 0;
}
.titles:hover {
  background: none;
}
.section {
  display: flex;
  align-items: end;
  gap: 0.5rem;
  height: 54px;
  padding: 0 1rem 0.5rem;
  border-top: 1px solid var(--line);
  font-size: var(--text-body);
}
.stand {
  display: grid;
}
.warning {
  color: var(--check);
}
.names {
  display: grid;
  min-width: 0;
  line-height: 1.25;
}
.name,
.inci,
.does {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
@media (max-width: 860px) {
  .page {
    height: calc(100dvh - 52px);
  }
  .row {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .stand ~ .num {
    display: none;
  }
  .does:not(.stand),
  .into,
  .titles {
    display: none;
  }
}
</style>
