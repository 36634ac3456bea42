<script setup lang="ts">
const route = useRoute();
await navigateTo(`/course/${route.params.course}/outline`, { replace: true });
</script>

<template><div /></template>
