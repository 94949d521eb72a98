<template>
  <svg viewBox="0 0 80 96" width="72" height="86" aria-hidden="true">
    <rect x="16" y="4" width="48" height="14" rx="4" fill="none" stroke="currentColor" stroke-width="3" />
    <path
      d="M8 24h64v52a14 14 0 0 1-14 14H22A14 14 0 0 1 8 76z"
      fill="none"
      stroke="currentColor"
      stroke-width="3"
    />
    <path d="M10 56h60v20a12 12 0 0 1-12 12H22a12 12 0 0 1-12-12z" fill="var(--band)" />
  </svg>
</template>
