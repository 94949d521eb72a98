<template>
  <div class="nowhere stacked">
    <h1>There is no page here</h1>
    <p class="muted">The address may be mistyped, or what it named was deleted.</p>
    <RouterLink to="/formulas">Go to your formulas</RouterLink>
  </div>
</template>

<style scoped>
.nowhere {
  padding: 3rem 2rem;
}
</style>
