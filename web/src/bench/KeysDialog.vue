<script setup lang="ts">
/** All keys of the bench. */
const open = defineModel<boolean>({ required: true })

const KEYS: [string, string][] = [
  ['← → ↑ ↓', 'move 1 cm: bow, stern, starboard, port'],
  ['Shift + arrow', 'move 5 cm'],
  ['Alt + arrow', 'move 1 mm'],
  ['M', 'mirror to the other side'],
  ['R · Shift + R', 'turn 15° to port · to starboard'],
  ['[ · ]', 'next item toward the bow · the stern'],
  ['X · Shift + click', 'select it as well, or no longer'],
  ['Ctrl + A', 'select all aboard'],
  ['D', 'copy what is selected'],
  ['L · G', 'lock · group what is selected'],
  ['E', 'measure between the two selected'],
  ['A', 'put ashore'],
  ['Alt while dragging', 'it snaps to nothing'],
  ['Enter on an item ashore', 'put aboard, behind the seat'],
  ['/', 'find an item'],
  ['+ · − · 0', 'zoom in, zoom out, the whole boat'],
  ['F', 'zoom to what is selected'],
  ['Wheel · two fingers', 'zoom about the pointer; drag the bare sheet to move it'],
  ['1 … 8', 'overlays: reach, stroke, legs, cast, climb back in, sight, balance, wires'],
  ['N', 'names'],
  ['T', 'try the top suggestion for the open finding, or the worst'],
  ['P', 'save the drawing as a picture'],
  ['H', 'how the trim was computed'],
  ['Ctrl + Z', 'undo'],
  ['Ctrl + Shift + Z', 'redo'],
  ['Esc', 'cancel the drag, clear the selection'],
  [', · .', 'next screen back · on'],
  ['< · >', 'next group of screens back · on'],
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
