<script setup lang="ts">
import { common } from '#words/common'
import { containersPage as texts } from '#words/ingredients'
import { containerRows, containerWord, sayNumber, wallWord, type Container } from '@omblet/core'
import Button from 'primevue/button'
import PageHead from '../../components/PageHead.vue'
import { PlainButton, QuietButton } from '../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { onMounted, ref } from 'vue'
import { downloadCsv, downloadSpreadsheet } from '../../browser/download'
import NothingYet from '../../components/NothingYet.vue'
import Notice from '../../components/Notice.vue'
import { notify } from '../../components/notify'
import MenuButton from '../../components/MenuButton.vue'
import FileButton from '../../components/FileButton.vue'
import { useContainers } from '../../stores/containers'
import { useMaterials } from '../../stores/materials'
import { takeInDemoShelf } from '../../stores/demo-shelf'
import ContainerDialog from './ContainerDialog.vue'
import { takeInContainers } from './containers'

const store = useContainers()
const materials = useMaterials()
const toast = useToast()
const open = ref<{ container: Container | null } | null>(null)
const exports = [
  {
    label: texts.asCsv,
    icon: 'pi pi-table',
    command: () => void downloadCsv('containers', containerRows(store.containers)),
  },
  {
    label: texts.asASpreadsheet,
    icon: 'pi pi-file-excel',
    command: () => void downloadSpreadsheet('containers', containerRows(store.containers)),
  },
]
onMounted(() => (document.title = texts.containersOmblet))

async function remove(container: Container) {
  const undo = await store.remove(container)
  if (undo)
    notify(toast, texts.deletedItStaysInThe(container.name), {
      label: common.undo,
      run: () => void undo(),
    })
}
async function take(file: File) {
  const read = await takeInContainers(file, store.containers, materials.takeIn).catch(() => null)
  if (!read) return notify(toast, texts.couldNotBeSaved(file.name), undefined, 'error')
  if ('error' in read) return notify(toast, read.error, undefined, 'error')
  const { taken, refused, undo } = read
  const back = taken > 0 ? { label: common.undo, run: () => void undo() } : undefined
  const words = texts.importedFrom(taken, file.name)
  if (refused.length === 0) notify(toast, `${words}.`, back)
  else
    notify(
      toast,
      `${words}; refused: ${refused.slice(0, 3).join(' ')}${refused.length > 3 ? texts.andMore(refused.length - 3) : ''}`,
      back,
      'error',
    )
}
</script>

<template>
  <div class="page stacked">
    <PageHead :title="common.containers" up="/ingredients" :up-label="common.ingredients">
      <FileButton
        :label="texts.importWord"
        icon="pi pi-upload"
        accept=".csv,.txt,.xlsx"
        testid="containers-picker"
        @picked="take"
      />
      <MenuButton
        v-if="store.containers.length"
        :items="exports"
        :label="common.exportWord"
        icon="pi pi-download"
      />
      <Button :label="texts.addContainer" icon="pi pi-plus" @click="open = { container: null }" />
    </PageHead>
    <Notice v-if="store.problem" kind="stop">{{ store.problem }}</Notice>
    <div v-if="store.containers.length" class="card scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ common.container }}</th>
            <th scope="col">{{ common.kind }}</th>
            <th scope="col" class="number">{{ texts.volume }}</th>
            <th scope="col" class="number wide-only">{{ texts.empty }}</th>
            <th scope="col" class="number wide-only">{{ texts.price }}</th>
            <th scope="col" class="number">{{ texts.left }}</th>
            <th scope="col">
              <span class="hidden-text">{{ texts.acts }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="c in store.containers" :key="c.id">
            <td>
              <button type="button" class="name bare" @click="open = { container: c }">{{ c.name }}</button>
            </td>
            <td>
              {{ containerWord(c.kind)
              }}<span v-if="c.wall" class="muted small block">{{ wallWord(c.wall) }}</span>
            </td>
            <td class="number">
              {{ sayNumber(c.nominalMl, 1) }} mL<span v-if="c.brimMl" class="muted small block">{{
                texts.brimfulMl(sayNumber(c.brimMl, 1))
              }}</span>
            </td>
            <td class="number wide-only">
              {{ c.emptyGrams === undefined ? '–' : `${sayNumber(c.emptyGrams, 1)} g` }}
            </td>
            <td class="number wide-only">{{ c.price === undefined ? '–' : c.price.toFixed(2) }}</td>
            <td class="number">
              <strong v-if="c.left === 0">{{ texts.none }}</strong><template v-else>{{ c.left }}</template>
            </td>
            <td class="number">
              <QuietButton
                icon="pi pi-trash"
                rounded
                :aria-label="texts.deleteWord(c.name)"
                @click="remove(c)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <NothingYet v-else :title="texts.noContainersYet">
      <p>
        {{ texts.addJarsBottlesAndTubes }}
      </p>
      <template #actions>
        <Button :label="texts.addContainer" icon="pi pi-plus" @click="open = { container: null }" />
        <PlainButton :label="texts.loadExampleStock" @click="takeInDemoShelf" />
      </template>
    </NothingYet>
    <ContainerDialog v-if="open" :container="open.container" @close="open = null" />
  </div>
</template>

<style scoped>
.page {
  max-width: 1100px;
}
.scroll {
  padding: 0.25rem 1rem;
  overflow-x: auto;
}
.number {
  text-align: right;
}
.name {
  min-height: 24px;
  color: var(--accent-ink);
  overflow-wrap: anywhere;
}
@media (max-width: 620px) {
  .wide-only {
    display: none;
  }
}
</style>
