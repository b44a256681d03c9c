<script setup lang="ts">
/** The frame of a test: its name, whether it was made, whether it is used. */
defineProps<{ title: string; lead: string; made: boolean; testid: string }>()
const used = defineModel<boolean>('used', { required: true })
defineEmits<{ start: []; forget: [] }>()
</script>

<template>
  <section class="test" :aria-label="title">
    <div class="head">
      <h2>{{ title }}</h2>
      <template v-if="made">
        <el-checkbox
          :model-value="used"
          size="small"
          :data-testid="`${testid}-used`"
          @update:model-value="used = Boolean($event)"
          >used</el-checkbox
        >
        <el-button size="small" @click="$emit('forget')">Remove</el-button>
      </template>
      <el-button v-else size="small" :data-testid="`${testid}-start`" @click="$emit('start')"
        >Start</el-button
      >
    </div>
    <p class="soft">{{ lead }}</p>
    <slot v-if="made" />
  </section>
</template>

<style scoped>
.test {
  padding: 6px 0 10px;
  border-top: 1px solid var(--line);
}
.head {
  display: flex;
  gap: 10px;
  align-items: center;
}
h2 {
  flex: 1;
  margin: 0;
}
p {
  margin: 2px 0 6px;
  font-size: 12px;
}
</style>
