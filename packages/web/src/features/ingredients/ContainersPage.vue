<script setup lang="ts">
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
    label: 'As CSV',
    icon: 'pi pi-table',
    command: () => void downloadCsv('containers', containerRows(store.containers)),
  },
  {
    label: 'As a spreadsheet',
    icon: 'pi pi-file-excel',
    command: () => void downloadSpreadsheet('containers', containerRows(store.containers)),
  },
]
onMounted(() => (document.title = 'Containers – Omblet'))

async function remove(container: Container) {
  const undo = await store.remove(container)
  if (undo)
    notify(toast, `${container.name} deleted. It stays in the bin for 30 days.`, {
      label: 'Undo',
      run: () => void undo(),
    })
}
async function take(file: File) {
  const read = await takeInContainers(file, store.containers, materials.takeIn).catch(() => null)
  if (!read) return notify(toast, `${file.name} could not be saved.`, undefined, 'error')
  if ('error' in read) return notify(toast, read.error, undefined, 'error')
  const { taken, refused, undo } = read
  const back = taken > 0 ? { label: 'Undo', run: () => void undo() } : undefined
  const words = `${taken} imported from ${file.name}`
  if (refused.length === 0) notify(toast, `${words}.`, back)
  else
    notify(
      toast,
      `${words}; refused: ${refused.slice(0, 3).join(' ')}${refused.length > 3 ? ` And ${refused.length - 3} more.` : ''}`,
      back,
      'error',
    )
}
</script>

<template>
  <div class="page stacked">
    <PageHead title="Containers" up="/ingredients" up-label="Ingredients">
      <FileButton
        label="Import"
        icon="pi pi-upload"
        accept=".csv,.txt,.xlsx"
        testid="containers-picker"
        @picked="take"
      />
      <MenuButton v-if="store.containers.length" :items="exports" label="Export" icon="pi pi-download" />
      <Button label="Add container" icon="pi pi-plus" @click="open = { container: null }" />
    </PageHead>
    <Notice v-if="store.problem" kind="stop">{{ store.problem }}</Notice>
    <div v-if="store.containers.length" class="card scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">Container</th>
            <th scope="col">Kind</th>
            <th scope="col" class="number">Volume</th>
            <th scope="col" class="number wide-only">Empty</th>
            <th scope="col" class="number wide-only">Price</th>
            <th scope="col" class="number">Left</th>
            <th scope="col"><span class="hidden-text">Acts</span></th>
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
              {{ sayNumber(c.nominalMl, 1) }} mL<span v-if="c.brimMl" class="muted small block"
                >brimful {{ sayNumber(c.brimMl, 1) }} mL</span
              >
            </td>
            <td class="number wide-only">
              {{ c.emptyGrams === undefined ? '–' : `${sayNumber(c.emptyGrams, 1)} g` }}
            </td>
            <td class="number wide-only">{{ c.price === undefined ? '–' : c.price.toFixed(2) }}</td>
            <td class="number">
              <strong v-if="c.left === 0">none</strong><template v-else>{{ c.left }}</template>
            </td>
            <td class="number">
              <QuietButton icon="pi pi-trash" rounded :aria-label="`Delete ${c.name}`" @click="remove(c)" />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <NothingYet v-else title="No containers yet">
      <p>
        Add jars, bottles and tubes. Omblet tells you which are suitable and how many a batch fills, and keeps
        count.
      </p>
      <template #actions>
        <Button label="Add container" icon="pi pi-plus" @click="open = { container: null }" />
        <PlainButton label="Load example stock" @click="takeInDemoShelf" />
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
