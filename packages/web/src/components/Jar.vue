<script setup lang="ts">
import { jar as texts } from '#words/components'
import { computed } from 'vue'

const props = defineProps<{ layers: { role: string; letter: string; percent: number }[]; small?: boolean }>()

/** Shares of the jar's height; what is over 100 % is scaled down, what is missing stays air at the top. */
const shown = computed(() => {
  const filled = props.layers.filter((layer) => layer.percent > 0)
  const sum = filled.reduce((s, l) => s + l.percent, 0)
  const scale = sum > 100 ? 100 / sum : 1
  return filled.map((layer) => ({ ...layer, height: layer.percent * scale }))
})
const spoken = computed(() =>
  texts.jar(
    shown.value.map((l) => texts.percent(l.letter, l.percent.toFixed(1), l.role)).join('; ') || texts.empty,
  ),
)
</script>

<template>
  <div class="jar" :class="{ small }" role="img" :aria-label="spoken">
    <div class="lid"></div>
    <div class="glass">
      <div
        v-for="(layer, i) in shown"
        :key="i"
        class="layer"
        :data-role="layer.role"
        :style="{ flexGrow: layer.height }"
      >
        <template v-if="!small">
          <span v-if="layer.height >= 3">{{ layer.letter }}</span>
          <span v-if="layer.height >= 7" class="mono">{{ layer.percent.toFixed(1) }}</span>
        </template>
        <span v-else-if="layer.height >= 22">{{ layer.letter }}</span>
      </div>
      <div
        class="air"
        :style="{ flexGrow: Math.max(0, 100 - shown.reduce((s, l) => s + l.height, 0)) }"
      ></div>
    </div>
  </div>
</template>

<style scoped>
.jar {
  display: flex;
  flex-direction: column;
  width: 64px;
  height: 100%;
  min-height: 20rem;
}
.lid {
  height: 12px;
  margin: 0 5px;
  border: 2px solid var(--line-strong);
  border-bottom: 0;
  border-radius: 5px 5px 0 0;
  background: var(--paper);
}
.glass {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 0;
  border: 2px solid var(--line-strong);
  border-radius: 6px 6px 16px 16px;
  overflow: hidden;
  background: var(--paper);
}
.layer {
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  flex-basis: 0;
  min-height: 0;
  overflow: hidden;
  background: var(--phase);
  color: var(--on-fill);
  font-size: var(--text-small);
  font-weight: 700;
  line-height: 1.35;
  border-top: 1px solid var(--on-fill-line);
}
.layer:first-child {
  border-top: 0;
}
.air {
  order: -1;
  flex-basis: 0;
}
.small {
  width: 44px;
  min-height: 0;
  height: 72px;
}
.small .lid {
  height: 7px;
  margin: 0 4px;
}
.small .glass {
  border-radius: 4px 4px 11px 11px;
}
.small .layer {
  font-size: var(--text-tiny);
}
</style>
