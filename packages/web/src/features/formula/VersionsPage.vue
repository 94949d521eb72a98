<script setup lang="ts">
import { capitalise, difference, formatNumber, type Formula, type LineChange } from '@omblet/core'
import { format } from 'date-fns'
import Button from 'primevue/button'
import { useToast } from 'primevue/usetoast'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import Jar from '../../components/Jar.vue'
import { notify } from '../../components/notify'
import { listVersions, tellVersion } from '../../storage/formulas'
import type { VersionRecord } from '../../storage/schema'
import { useEditor } from '../../stores/editor'
import { useMaterials } from '../../stores/materials'
import type { Leaf } from './leaf'
import SaveVersionDialog from './SaveVersionDialog.vue'

const editor = useEditor()
const materials = useMaterials()
const router = useRouter()
const toast = useToast()
const versions = ref<VersionRecord[]>([])
const openId = ref<string | null>(null)
const saveOpen = ref(false)

async function load() {
  versions.value = await listVersions(editor.id!).catch(() => [])
  openId.value ??= versions.value[0]?.id ?? null
}
onMounted(() => void load())
defineExpose({ reload: () => void load() } satisfies Leaf)

const opened = computed(() => versions.value.find((v) => v.id === openId.value) ?? null)
const picture = computed(() => (opened.value ? materials.derive(opened.value.formula).assessment : null))
const changes = computed<LineChange[]>(() =>
  opened.value && editor.formula ? difference(opened.value.formula, editor.formula) : [],
)
const nameOf = (id: string) => capitalise(materials.catalogue.find(id)?.name ?? id)
const amount = (value: number | null) => (value === null ? 'no amount' : `${formatNumber(value, 2, 4)} %`)
function describe(change: LineChange) {
  const name = nameOf(change.material)
  if (change.kind === 'added') return `${name} added, ${amount(change.after)}`
  if (change.kind === 'removed') return `${name} taken out, was ${amount(change.before)}`
  if (change.kind === 'moved') return `${name} moved from ${change.from} to ${change.to}`
  return `${name} ${amount(change.before)} → ${amount(change.after)}`
}
const layers = (formula: Formula) =>
  materials.derive(formula).assessment.phases.map(({ role, letter, percent }) => ({ role, letter, percent }))

async function restore(version: VersionRecord) {
  editor.replace({ ...version.formula, name: editor.formula!.name })
  await editor.flush()
  notify(toast, `Version ${version.number} restored. What stood here is one undo away.`, {
    label: 'Undo',
    run: () => editor.undo(),
  })
  await router.push(`/formulas/${editor.id!}`)
}
async function rename(version: VersionRecord, event: Event) {
  await tellVersion(version.id, { name: (event.target as HTMLInputElement).value.slice(0, 120) })
  await load()
}
</script>

<template>
  <div class="page">
    <div class="body">
      <section class="list" aria-label="Versions">
        <Button label="Save a version" icon="pi pi-bookmark" @click="saveOpen = true" />
        <p v-if="versions.length === 0" class="muted">
          No version yet. Save one before you try something, and you can always come back to it.
        </p>
        <ul>
          <li
            v-for="version in versions"
            :key="version.id"
            class="card"
            :class="{ on: version.id === openId }"
          >
            <Jar :layers="layers(version.formula)" small />
            <div class="facts">
              <button
                type="button"
                class="open"
                :aria-pressed="version.id === openId"
                @click="openId = version.id"
              >
                Version {{ version.number }}
              </button>
              <span class="muted small">{{ format(new Date(version.savedAt), 'd MMM yyyy, HH:mm') }}</span>
              <input
                class="rename small"
                :value="version.name"
                :aria-label="`Name of version ${version.number}`"
                maxlength="120"
                placeholder="no name"
                @change="rename(version, $event)"
              />
            </div>
          </li>
        </ul>
      </section>
      <section v-if="opened && picture" class="card view" :aria-label="`Version ${opened.number}`">
        <header>
          <h2>
            Version {{ opened.number }}<span v-if="opened.name">: {{ opened.name }}</span>
          </h2>
          <Button
            label="Restore it"
            icon="pi pi-history"
            severity="secondary"
            outlined
            size="small"
            @click="restore(opened)"
          />
        </header>
        <div class="two">
          <div>
            <h3>As it was</h3>
            <template v-for="(phase, p) in picture.phases" :key="p">
              <p v-if="phase.lines" class="phase-line" :data-role="phase.role">
                <span class="phase-badge" :style="{ background: 'var(--phase)' }">{{ phase.letter }}</span>{{
                  phase.name
                }}<span class="mono sum">{{ formatNumber(phase.percent) }} %</span>
              </p>
              <p v-for="(line, l) in picture.lines.filter((x) => x.phase === p)" :key="l" class="row">
                <span>{{ capitalise(line.label) }}</span><span class="mono"
                  >{{ line.fill ? 'q.s. ' : ''
                  }}{{ line.given ? formatNumber(line.percent, 2, 4) : '–' }} %</span
                >
              </p>
            </template>
          </div>
          <div>
            <h3>Since then</h3>
            <p v-if="changes.length === 0" class="muted">No line has changed.</p>
            <ul class="changes">
              <li v-for="(change, i) in changes" :key="i">{{ describe(change) }}</li>
            </ul>
          </div>
        </div>
      </section>
    </div>
    <SaveVersionDialog v-model:open="saveOpen" @saved="load" />
  </div>
</template>

<style scoped>
.body {
  display: grid;
  grid-template-columns: minmax(15rem, 20rem) minmax(0, 1fr);
  gap: 1rem;
  padding: 1rem;
  align-items: start;
}
.list,
.list ul {
  display: grid;
  gap: 0.625rem;
}
.list .card {
  position: relative;
  display: flex;
  gap: 0.75rem;
  padding: 0.75rem;
}
.list .card.on {
  border-color: var(--accent);
  box-shadow: 0 0 0 1px var(--accent);
}
.facts {
  display: grid;
  justify-items: start;
  gap: 0.125rem;
  min-width: 0;
  flex: 1;
}
.open {
  padding: 0;
  border: 0;
  background: none;
  font-weight: 700;
  cursor: pointer;
}
.open::after {
  content: '';
  position: absolute;
  inset: 0;
}
.rename {
  position: relative;
  width: 100%;
  height: 28px;
  padding: 0 0.375rem;
  margin-left: -0.375rem;
  border: 1px solid transparent;
  border-radius: var(--round-m);
  background: none;
}
.rename:hover {
  border-color: var(--line);
}
.view {
  padding: 1rem;
}
.view header {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  padding-bottom: 0.75rem;
}
h2 {
  font-size: var(--text-lead);
  overflow-wrap: anywhere;
}
h3 {
  font-size: var(--text-note);
  color: var(--muted);
  padding-bottom: 0.375rem;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(17rem, 1fr));
  gap: 1.5rem;
}
.phase-line {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  padding: 0.5rem 0 0.25rem;
  font-weight: 700;
}
.sum {
  margin-left: auto;
}
.row .mono {
  white-space: nowrap;
}
.row {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  padding: 0.2rem 0 0.2rem 2rem;
  border-top: 1px solid var(--line);
}
.changes li {
  padding: 0.3rem 0;
  border-top: 1px solid var(--line);
}
@media (max-width: 860px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
