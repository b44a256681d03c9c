<script setup lang="ts">
/** All keys of the bench. */
const open = defineModel<boolean>({ required: true })

const KEYS: [string, string][] = [
  ['← → ↑ ↓', 'move 1 cm: bow, stern, starboard, port'],
  ['Shift + arrow', 'move 5 cm'],
  ['Alt + arrow', 'move 1 mm'],
  ['M', 'mirror to the other side'],
  ['R · Shift + R', 'turn 15° to port · to starboard'],
  ['[ · ]', 'next thing toward the bow · the stern'],
  ['X · Shift + click', 'choose it as well, or no longer'],
  ['Ctrl + A', 'choose all aboard'],
  ['D', 'a copy of what is chosen'],
  ['L · G', 'lock · group what is chosen'],
  ['E', 'measure between the two chosen'],
  ['A', 'put ashore'],
  ['Alt while dragging', 'nothing takes hold of it'],
  ['Enter on the shelf', 'put aboard, behind the seat'],
  ['/', 'find a thing'],
  ['1 … 7', 'overlays: reach, stroke, legs, cast, remount, sight, balance'],
  ['N', 'names'],
  ['T', 'try the top suggestion for the open finding, or the worst'],
  ['P', 'save the drawing as a picture'],
  ['H', 'how the trim was computed'],
  ['Ctrl + Z', 'undo'],
  ['Ctrl + Shift + Z', 'redo'],
  ['Esc', 'put it down, drop the drag'],
  ['?', 'these keys'],
]
</script>

<template>
  <el-dialog v-model="open" title="Keys" width="440" align-center>
    <dl>
      <template v-for="[keys, what] in KEYS" :key="keys">
        <dt>
          <kbd>{{ keys }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
  </el-dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 6px 10px;
  margin: 0;
}
dd {
  margin: 0;
}
</style>
