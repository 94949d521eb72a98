<script setup lang="ts">
/** The letter of a sample: a round badge of its own colour, a square one for the reference. */
defineProps<{ at: number; reference?: boolean }>()
const letter = (at: number) => String.fromCharCode(65 + at)
</script>

<template>
  <span class="letter" :class="{ reference }" :data-hue="at % 6">{{ letter(at) }}</span>
</template>

<style scoped>
.letter {
  --hue: var(--cobalt-500);
  display: inline-grid;
  place-items: center;
  width: 26px;
  height: 26px;
  border: 2px solid var(--hue);
  border-radius: 50%;
  background: var(--hue);
  color: var(--on-fill);
  font-size: var(--text-small);
  font-weight: 700;
}
.letter.reference {
  border-radius: var(--round-s);
  background: var(--paper);
  color: var(--ink);
}
[data-hue='1'] {
  --hue: var(--oil-deep);
}
[data-hue='2'] {
  --hue: var(--cool-down);
}
[data-hue='3'] {
  --hue: var(--adjust);
}
[data-hue='4'] {
  --hue: var(--premix);
}
[data-hue='5'] {
  --hue: var(--other);
}
</style>
