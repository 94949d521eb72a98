<template>
  <div class="nowhere stacked">
    <h1>Page not found</h1>
    <p class="muted">The address may be mistyped, or the item was deleted.</p>
    <RouterLink to="/formulas">Go to your formulas</RouterLink>
  </div>
</template>

<style scoped>
.nowhere {
  padding: 3rem 2rem;
}
</style>
