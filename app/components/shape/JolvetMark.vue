<template>
  <svg width="30" height="22" viewBox="0 0 30 22" aria-hidden="true">
    <path d="M0 5.5H14M0 16.5H14M14 5.5V16.5" class="l-edge" />
    <path d="M9 2.5V19.5" stroke="var(--copper)" stroke-width="2.5" />
    <path
      d="M18 2H30M18 20H30M18 2V20M22 5.5H30M22 16.5H30M22 5.5V16.5"
      stroke="var(--ink)"
      stroke-width="1.5"
      fill="none" />
  </svg>
</template>
