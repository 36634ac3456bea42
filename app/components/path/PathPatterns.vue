<template>
  <!-- The fills that tell a lesson's state, once for the whole page. -->
  <svg width="0" height="0" class="absolute" aria-hidden="true">
    <defs>
      <pattern id="state-drafted" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="var(--moss-faint)" />
        <rect x="2" y="2" width="1.8" height="1.8" fill="var(--moss)" />
      </pattern>
      <pattern id="state-in-work" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" fill="var(--moss-faint)" />
        <rect width="1.3" height="7" fill="var(--moss)" />
      </pattern>
      <pattern id="state-for-review" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="5" height="5" fill="var(--moss-soft)" />
        <rect width="2.6" height="5" fill="var(--moss)" />
      </pattern>
    </defs>
  </svg>
</template>
