<template>
  <div class="desk">
    <a class="skip" href="#work">Skip to the work</a>
    <slot />
  </div>
</template>
