<script setup lang="ts">
// The usual cautions of a page, as the core words them.
defineProps<{ cautions: string[] | undefined }>()
</script>

<template>
  <p v-if="cautions?.length" class="soft">{{ cautions.join(' ') }}</p>
</template>
