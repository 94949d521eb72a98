<script setup lang="ts">
import { common } from '#words/common'
import { versionsPage as texts } from '#words/formula-versions'
import { type Formula } from '@omblet/core'
import { format } from 'date-fns'
import Button from 'primevue/button'
import { PlainButton } from '../../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import ChoiceField from '../../../components/ChoiceField.vue'
import Jar from '../../../components/Jar.vue'
import NothingYet from '../../../components/NothingYet.vue'
import Notice from '../../../components/Notice.vue'
import { notify } from '../../../components/notify'
import type { VersionRecord } from '../../../storage/schema'
import { useEditor } from '../../../stores/editor'
import { useMaterials } from '../../../stores/materials'
import type { Leaf } from '../leaf'
import SaveVersionDialog from './SaveVersionDialog.vue'
import SidesTable from './SidesTable.vue'
import StoryForm from './StoryForm.vue'
import { useVersions } from './use-versions'

const editor = useEditor()
const materials = useMaterials()
const router = useRouter()
const toast = useToast()
const v = useVersions()
const { ready, versions, openId, againstId, tree, opened, parent, choices, pair, problem } = v
const saveOpen = ref(false)
onMounted(() => void v.load())
defineExpose({ reload: () => void v.load() } satisfies Leaf)
const layers = (formula: Formula) =>
  materials.derive(formula).assessment.phases.map(({ role, letter, percent }) => ({ role, letter, percent }))

async function restore(version: VersionRecord) {
  await v.restore(version)
  notify(toast, texts.versionRestoredUndoBringsThe(version.number), {
    label: common.undo,
    run: () => editor.undo(),
  })
  await router.push(`/formulas/${editor.id!}`)
}
const rename = (version: VersionRecord, event: Event) =>
  void v.tell(version.id, { name: (event.target as HTMLInputElement).value.slice(0, 120) })
const stars = (n: number | undefined) => (n ? `${'★'.repeat(n)}${'☆'.repeat(5 - n)}` : '')
</script>

<template>
  <div class="versions-page">
    <Notice v-if="problem" kind="stop" class="leaf">{{ problem }}</Notice>
    <NothingYet v-if="ready && versions.length === 0" :title="texts.noVersionsYet">
      <p>{{ texts.saveAVersionBeforeYou }}</p>
      <template #actions>
        <Button :label="common.saveVersion" icon="pi pi-bookmark" @click="saveOpen = true" />
      </template>
    </NothingYet>
    <div v-else-if="versions.length" class="body">
      <section class="list" :aria-label="common.versions">
        <div class="buttons">
          <Button :label="common.saveVersion" icon="pi pi-bookmark" @click="saveOpen = true" />
          <PlainButton
            :label="texts.printTheHistory"
            icon="pi pi-print"
            @click="router.push(`/formulas/${editor.id}/history`)"
          />
        </div>
        <ul>
          <li
            v-for="{ version, parent: from, depth } in tree"
            :key="version.id"
            class="card"
            :class="{ on: version.id === openId }"
            :style="{ marginLeft: `${Math.min(depth, 4) * 0.875}rem` }"
          >
            <Jar :layers="layers(version.formula)" small />
            <div class="facts">
              <button
                type="button"
                class="open bare bold"
                :aria-pressed="version.id === openId"
                @click="openId = version.id"
              >
                {{ texts.version(version.number) }}
              </button>
              <span class="muted small"
                >{{ format(new Date(version.savedAt), 'd MMM yyyy, HH:mm')
                }}<template v-if="from">{{ texts.from(from.number) }}</template></span
              >
              <span v-if="version.rating" class="small" :aria-label="texts.ratedOf5(version.rating)">{{
                stars(version.rating)
              }}</span>
              <input
                class="rename small"
                :value="version.name"
                :aria-label="texts.nameOfVersion(version.number)"
                maxlength="120"
                :placeholder="texts.noName"
                @change="rename(version, $event)"
              />
            </div>
          </li>
        </ul>
      </section>
      <section
        v-if="opened && pair"
        class="card view stacked padded"
        :aria-label="texts.version(opened.number)"
      >
        <header>
          <h2>
            {{ texts.version(opened.number) }}<span v-if="opened.name">: {{ opened.name }}</span>
          </h2>
          <PlainButton :label="common.restore" icon="pi pi-history" size="small" @click="restore(opened)" />
        </header>
        <StoryForm :version="opened" :parent="parent" @tell="v.tell(opened.id, $event)" />
        <ChoiceField
          v-model="againstId"
          :label="texts.compareWith"
          :options="choices"
          small
          class="against"
        />
        <SidesTable :pair="pair" />
      </section>
    </div>
    <SaveVersionDialog v-model:open="saveOpen" @saved="v.load" />
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
  gap: 0.75rem;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
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
.open::after {
  content: '';
  position: absolute;
  inset: 0;
}
.rename {
  text-overflow: ellipsis;
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
  min-width: 0;
}
.view header {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
}
.against {
  max-width: 20rem;
}
@media (max-width: 860px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
