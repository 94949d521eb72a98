<template>
  <div class="nowhere">
    <h1>There is no page here</h1>
    <p class="muted">The address may be mistyped, or what it named was deleted.</p>
    <RouterLink to="/formulas">Go to your formulas</RouterLink>
  </div>
</template>

<style scoped>
.nowhere {
  display: grid;
  gap: 0.75rem;
  padding: 3rem 2rem;
}
h1 {
  font-size: var(--text-head-1);
}
a {
  color: var(--accent-ink);
}
</style>
