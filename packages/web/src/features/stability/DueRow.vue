<script setup lang="ts">
/** One thing that waits, with its day. */
defineProps<{
  title: string
  detail: string
  more: string
  to: string
  when: string
  pressing?: boolean
  current?: boolean
}>()
</script>

<template>
  <li>
    <RouterLink
      :to="to"
      class="row abreast"
      :class="{ current }"
      :aria-current="current ? 'true' : undefined"
    >
      <span class="words">
        <strong class="breaks">{{ title }}</strong>
        <span class="small muted">{{ detail }}</span>
        <span class="small muted">{{ more }}</span>
      </span>
      <span v-if="when" class="when small" :class="{ pressing }">{{ when }}</span>
    </RouterLink>
  </li>
</template>

<style scoped>
li {
  content-visibility: auto;
  contain-intrinsic-size: auto 76px;
}
.row {
  min-height: 44px;
  margin: 0 -0.5rem;
  padding: 0.5rem;
  border-top: 1px solid var(--line);
  color: inherit;
  text-decoration: none;
}
.row:hover,
.current {
  background: var(--wash);
}
.words {
  display: grid;
  flex: 1;
  min-width: 0;
  line-height: 1.3;
}
.when {
  flex: none;
  padding: 0.125rem 0.625rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-xl);
}
.pressing {
  border-color: var(--accent);
  font-weight: 700;
}
</style>
