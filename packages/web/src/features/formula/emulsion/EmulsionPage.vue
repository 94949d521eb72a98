<script setup lang="ts">
import { common } from '#words/common'
import { emulsionPage as texts } from '#words/formula-emulsion'
import { coldAndWarm, emulsionProfile, expectedBody, fattyBalance } from '@omblet/core'
import { computed } from 'vue'
import { useEditor } from '../../../stores/editor'
import { useMaterials } from '../../../stores/materials'
import ChooserCard from './ChooserCard.vue'
import ProfileCard from './ProfileCard.vue'

const editor = useEditor()
const materials = useMaterials()
const profile = computed(() =>
  editor.assessment ? emulsionProfile(editor.assessment, (id) => materials.catalogue.find(id)) : null,
)
const body = computed(() => (editor.assessment ? expectedBody(editor.assessment) : null))
const weather = computed(() => (editor.assessment ? coldAndWarm(editor.assessment) : null))
const fatty = computed(() => (editor.assessment ? fattyBalance(editor.assessment) : null))
</script>

<template>
  <div v-if="editor.assessment" class="columns leaf">
    <h2 class="hidden-text">{{ common.emulsion }}</h2>
    <ProfileCard
      v-if="profile && editor.assessment.emulsion"
      :profile="profile"
      :emulsion="editor.assessment.emulsion"
      :body="body"
      :weather="weather"
      :fatty="fatty"
    />
    <section v-else class="card none stacked closer">
      <h3>{{ texts.noEmulsion }}</h3>
      <p>
        {{
          editor.assessment.waterPercent < 5
            ? texts.nothingToEmulsifyWithoutWater
            : texts.nothingToEmulsifyWithoutAn
        }}
      </p>
    </section>
    <ChooserCard />
  </div>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1fr) minmax(0, 1.2fr);
}
.none {
  padding: 2rem 1.25rem;
}
</style>
