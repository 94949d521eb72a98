<script setup lang="ts">
import { stickersPage as texts } from '#words/formula-label'
import { PAPERS, placeStickers } from '@omblet/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import Notice from '../../../components/Notice.vue'
import PrintBar from '../../../components/PrintBar.vue'
import { useEditor } from '../../../stores/editor'
import LabelFace from './LabelFace.vue'
import { useLabel } from './use-label'

/** Sheets of stickers as they are printed, at their true size. */
const editor = useEditor()
const route = useRoute()
const room = useLabel()
const { sheet, facesOf, made, label, design, fits } = room
const whole = (name: string, least: number, most: number) => {
  const value = Number(route.query[name])
  return Number.isInteger(value) ? Math.min(most, Math.max(least, value)) : least
}
const pages = computed(() => {
  const jars = whole('jars', 1, 500)
  // each jar of a batch has a number of its own
  const all = Array.from({ length: jars }, (_, i) => {
    const jar = made.value && {
      ...made.value,
      code: jars > 1 ? `${made.value.code}/${i + 1}` : made.value.code,
    }
    return facesOf(jar).map((face) => ({ ...face, code: jar?.code }))
  }).flat()
  const places = placeStickers(sheet.value, all.length, whole('first', 0, 799))
  const last = places.at(-1)!.page
  return Array.from({ length: last + 1 }, (_, page) =>
    places.flatMap((p, i) => (p.page === page ? [{ ...p, i, face: all[i]! }] : [])),
  )
})
const paper = computed(() => PAPERS[sheet.value.paper])
</script>

<template>
  <div class="print-page">
    <PrintBar
      :back="{
        path: `/formulas/${editor.id}/label`,
        query: route.query['batch'] ? { batch: route.query['batch'] } : {},
      }"
      :title="texts.stickers(pages.length, pages.length === 1 ? texts.sheet : texts.sheets)"
      :hint="texts.printAt100WithBrowser"
    />
    <Notice v-if="!fits" kind="check" class="told">{{ texts.textDoesNotFitSee }}</Notice>
    <div class="desk scroll" tabindex="0" role="region" :aria-label="texts.sheetsAtActualSize">
      <div
        v-for="(page, n) in pages"
        :key="n"
        class="stickers"
        :class="sheet.paper.toLowerCase()"
        :style="{ width: `${paper.width}mm`, height: `${paper.height}mm` }"
      >
        <LabelFace
          v-for="s in page"
          :key="s.i"
          class="sticker"
          :layout="s.face.layout"
          :sheet="sheet"
          :kind="editor.formula!.product.kind"
          :mark="s.face.layout.mark ? design.mark : undefined"
          :code="s.face.code"
          :label="texts.of(s.face.what, label.name)"
          :style="{ left: `${s.x}mm`, top: `${s.y}mm` }"
        />
      </div>
    </div>
  </div>
</template>

<style>
@page stickers-a4 {
  size: A4;
  margin: 0;
}
@page stickers-letter {
  size: letter;
  margin: 0;
}
</style>
<style scoped>
.told {
  margin: 0.5rem 1rem;
}
.stickers {
  position: relative;
  margin: 1rem auto;
  overflow: hidden;
  background: var(--print-paper);
  box-shadow: var(--shadow-high);
  color-scheme: light;
}
.sticker {
  position: absolute;
}
@media print {
  .told {
    display: none;
  }
  .desk {
    overflow: visible;
  }
  .stickers {
    margin: 0;
    box-shadow: none;
    break-after: page;
  }
  .stickers:last-child {
    break-after: auto;
  }
  .stickers.a4 {
    page: stickers-a4;
  }
  .stickers.letter {
    page: stickers-letter;
  }
}
</style>
