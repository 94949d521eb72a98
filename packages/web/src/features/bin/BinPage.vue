<script setup lang="ts">
import { common } from '#words/common'
import { binPage as texts } from '#words/bin'
import { formatDistanceToNow } from 'date-fns'
import Button from 'primevue/button'
import PageHead from '../../components/PageHead.vue'
import { QuietButton } from '../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { onMounted } from 'vue'
import { useRouter } from 'vue-router'
import { notAfter } from '../../browser/days'
import NothingYet from '../../components/NothingYet.vue'
import Notice from '../../components/Notice.vue'
import { notify } from '../../components/notify'
import type { BinRecord } from '../../storage/schema'
import { useBin } from '../../stores/bin'

const bin = useBin()
const router = useRouter()
const toast = useToast()
onMounted(() => {
  document.title = texts.binOmblet
  void bin.load()
})

const KINDS = {
  formula: common.formula,
  batch: common.batch,
  lot: texts.lot,
  container: common.container,
  material: texts.ownMaterial,
  trial: texts.trial,
}
const ICONS = {
  formula: 'pi-file-edit',
  batch: 'pi-stopwatch',
  lot: 'pi-box',
  container: 'pi-inbox',
  material: 'pi-box',
  trial: 'pi-chart-bar',
}
const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`
function more({ content }: BinRecord): string {
  if (content.kind === 'formula')
    return content.versions.length > 0
      ? texts.withWord(count(content.versions.length, 'version', 'versions'))
      : ''
  if (content.kind !== 'batch') return ''
  const pictures =
    content.photos.length > 0 ? `, ${count(content.photos.length, 'photograph', 'photographs')}` : ''
  return `${content.head?.code ?? texts.noCode}, ${count(content.events.length, 'entry', 'entries')}${pictures}`
}
const WHERE = {
  formula: (id: string) => `/formulas/${id}`,
  batch: (id: string) => `/bench/${id}/record`,
  lot: () => '/ingredients',
  container: () => '/ingredients/containers',
  material: (id: string) => `/ingredients/${id}`,
  trial: (id: string) => `/trials/${id}`,
}
async function takeBack(record: BinRecord) {
  const back = await bin.takeBack(record.id)
  if (!back) return
  const words = back.beside ? texts.restoredAsACopyBeside : 'restored'
  notify(toast, `${record.name} ${words}.`, {
    label: common.open,
    run: () => void router.push(WHERE[back.kind](back.id)),
  })
}
</script>

<template>
  <div class="page stacked">
    <PageHead :title="texts.bin" />
    <p class="muted">{{ texts.deletedItemsStayHereFor }}</p>
    <Notice v-if="bin.problem" kind="stop">{{ bin.problem }}</Notice>
    <ul v-if="bin.records.length" class="card list">
      <li v-for="record in bin.records" :key="record.id">
        <i :class="['pi', ICONS[record.content.kind]]" aria-hidden="true"></i>
        <div class="what">
          <strong>{{ record.name }}</strong>
          <span class="muted small"
            >{{ KINDS[record.content.kind] }}<template v-if="more(record)">, {{ more(record) }}</template
            >{{ texts.deleted(formatDistanceToNow(notAfter(record.deletedAt), { addSuffix: true })) }}</span
          >
        </div>
        <Button :label="common.restore" icon="pi pi-undo" size="small" outlined @click="takeBack(record)" />
        <QuietButton
          :label="texts.deletePermanently"
          size="small"
          :aria-label="texts.deletePermanently2(record.name)"
          @click="bin.throwAway(record.id)"
        />
      </li>
    </ul>
    <NothingYet v-else
      ><p>{{ texts.theBinIsEmpty }}</p></NothingYet
    >
  </div>
</template>

<style scoped>
.page {
  max-width: 60rem;
}
.list li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 0.75rem;
  padding: 0.75rem 1rem;
  border-bottom: 1px solid var(--line);
}
.list li:last-child {
  border-bottom: 0;
}
.what {
  flex: 1 1 14rem;
  min-width: 0;
  display: grid;
  overflow-wrap: anywhere;
}
</style>
