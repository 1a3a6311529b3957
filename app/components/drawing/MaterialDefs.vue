<!-- Hatches for cut faces, once for the whole page. Metals are lines, plastics are marks drawn one by one elsewhere. -->
<template>
  <svg width="0" height="0" class="absolute" aria-hidden="true">
    <defs>
      <pattern id="hatch-copper" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V5" stroke="var(--ink)" stroke-width="2.2" />
      </pattern>
      <pattern id="hatch-thin" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V5" stroke="var(--ink2)" stroke-width="1.2" />
      </pattern>
      <pattern id="hatch-selected" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V5" stroke="var(--copper)" stroke-width="2.4" />
      </pattern>
      <pattern id="hatch-band" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <path d="M0 0V5" stroke="var(--copper)" stroke-width="1.2" />
      </pattern>
      <pattern id="hatch-steel" width="10" height="10" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <path d="M2 0V10" stroke="var(--ink)" stroke-width="2.4" />
        <path d="M7 0V10" stroke="var(--ink)" stroke-width="1" />
      </pattern>
      <pattern id="hatch-stainless" width="9" height="9" patternUnits="userSpaceOnUse">
        <path d="M2 0V9M5 0V9" stroke="var(--ink)" stroke-width="1.1" />
      </pattern>
      <pattern id="hatch-brass" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V7M0 0H7" stroke="var(--ink)" stroke-width="1.1" />
      </pattern>
      <pattern id="hatch-brick" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V8" stroke="var(--brick)" stroke-width="1.2" />
      </pattern>
      <pattern id="hatch-wall" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M4 0V9" stroke="var(--hair)" stroke-width="1.4" />
      </pattern>
      <pattern id="hatch-wait" width="7" height="7" patternUnits="userSpaceOnUse">
        <path d="M3 0V7" stroke="var(--ink)" stroke-width="1" />
      </pattern>
    </defs>
  </svg>
</template>
