<script setup lang="ts">
/** What the course could show, lesson by lesson. */
</script>

<template>
  <div class="room">
    <div class="head">
      <h1>Diagrams and pictures to put in</h1>
      <span class="small quiet">drawn of the lessons' own words, and what the sources show</span>
    </div>
    <div class="scroll"><MediaOffers /></div>
  </div>
</template>

<style scoped>
.room {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
}
.scroll {
  flex: 1;
  overflow-y: auto;
  padding: 14px 24px 40px;
}
.scroll > * {
  max-width: 860px;
}
</style>
