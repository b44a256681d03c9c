<script setup lang="ts">
/** One finding: what and where; opened, its figure against the limit, why, and ways out. */
import { ref, watch } from 'vue'
import type { Finding, Thing } from '@/api/client'
import GearPicture from '@/drawing/GearPicture.vue'
import type { Units } from '@/kit/units'
import { againstLimit, said } from '@/kit/words'
import VerdictMark from '@/kit/VerdictMark.vue'

const props = defineProps<{
  finding: Finding
  /** what it is about, for its picture */
  thing: Thing | null
  open: boolean
  units: Units
  looking: boolean
  /** the worst of all: what to do stands there without opening it */
  first?: boolean
}>()
const emit = defineEmits<{ toggle: []; try: []; show: []; accept: [reason: string]; back: [] }>()

const accepting = ref(false)
const reason = ref('')
watch(
  () => props.open,
  () => (accepting.value = false),
)
function accept(): void {
  if (reason.value.trim()) emit('accept', reason.value.trim())
}
</script>

<template>
  <li
    class="card"
    :class="[finding.accepted ? 'accepted' : finding.verdict, { open, first }]"
    :data-finding="finding.key"
  >
    <button type="button" class="head" :aria-expanded="open" @click="emit('toggle')">
      <VerdictMark :verdict="finding.verdict" bare />
      <b>{{ said(finding.title, units) }}</b>
      <GearPicture v-if="thing" :thing="thing" :wide="34" :high="22" />
    </button>
    <p v-if="first && !open" class="do">{{ said(finding.clear, units) }}.</p>
    <p v-if="finding.accepted" class="soft">
      accepted {{ finding.accepted_on }}: {{ finding.accepted }}
    </p>
    <p v-if="finding.returned" class="back">accepted {{ finding.accepted_on }}, and worse since</p>
    <div v-if="open" class="body">
      <p class="soft">
        {{ finding.where }}
        <template v-if="finding.figure">
          · <span class="num">{{ againstLimit(finding, units) }}</span>
        </template>
      </p>
      <p>{{ finding.why }}</p>
      <p class="clear">{{ said(finding.clear, units) }}.</p>
      <p v-if="finding.caution" class="soft caution">{{ finding.caution }}</p>
      <div class="acts">
        <template v-if="!finding.accepted">
          <button
            type="button"
            class="small go"
            :disabled="looking"
            data-testid="try"
            @click="emit('try')"
          >
            {{ looking ? 'Looking…' : 'Try' }} <kbd>T</kbd>
          </button>
          <button
            v-if="finding.thing_id !== null"
            type="button"
            class="small"
            data-testid="show"
            @click="emit('show')"
          >
            Show
          </button>
          <button
            type="button"
            :aria-expanded="accepting"
            class="small"
            data-testid="accept"
            @click="accepting = !accepting"
          >
            Accept…
          </button>
        </template>
        <button v-else type="button" class="small" data-testid="accept-back" @click="emit('back')">
          Reopen
        </button>
      </div>
      <form v-if="accepting && !finding.accepted" @submit.prevent="accept">
        <input
          v-model="reason"
          aria-label="Why you accept it"
          placeholder="why you accept it"
          maxlength="400"
          required
          data-testid="reason"
        />
        <button type="submit" class="small" data-testid="accept-save">Keep</button>
      </form>
      <slot />
    </div>
  </li>
</template>

<style scoped src="./cards.css"></style>
<style scoped>
.accepted .head b {
  font-weight: 400;
}
p {
  margin: 2px 0 0;
  font-size: 12px;
  line-height: 1.35;
}
.clear {
  color: var(--pick);
}
.caution {
  font-style: italic;
}
.back {
  color: var(--fix);
}
.acts,
form {
  display: flex;
  gap: 4px;
  margin-top: 5px;
}
.go kbd {
  border-color: currentcolor;
  background: none;
}
form input {
  flex: 1;
  min-width: 0;
  height: 24px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font-size: 12px;
}
</style>
