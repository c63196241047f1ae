<script setup lang="ts">
import type { MadeLine } from '../../../contract/made.ts';
import { kindKey } from '../../../core/studio/kiln/firingLoad.ts';
import { OPEN_AT } from '../../../core/studio/kiln/schedule.ts';
import DryNow from './DryNow.vue';
import type { Kiln } from './useKiln.ts';

/** What is to be in a firing: what is dry now, and anything that was made. */
const props = defineProps<{ kiln: Kiln; firing: string }>();
const { lines } = props.kiln;

const wantedOf = (line: MadeLine) =>
  props.kiln.body.value?.wanted.filter((one) => kindKey(one) === kindKey(line)).length ?? 0;
function labelOf(line: MadeLine): string {
  const wanted = wantedOf(line);
  const letter = wanted > 0 ? `${props.kiln.letterOf(line)}: ` : '';
  return `${letter}${wanted > 0 && wanted < line.count ? `${wanted} of ` : ''}${line.count} × ${line.name}, ${line.called}`;
}
</script>

<template>
  <aside class="right" aria-label="What is fired">
    <DryNow :firing="firing" />
    <h2>What is to be fired</h2>
    <ul>
      <li v-for="line in lines" :key="`${line.making} ${line.piece}`">
        <VCheckbox
          :model-value="wantedOf(line) > 0"
          :label="labelOf(line)"
          density="compact"
          @update:model-value="(now: boolean | null) => kiln.want(line, now === true)"
        />
      </li>
    </ul>
    <p v-if="lines.length === 0">Nothing was made yet: begin a piece at its stage Make.</p>
    <VAlert type="warning">
      Ventilation, clearance and wiring follow the kiln maker's manual, local codes and a licensed electrician. Never
      open it hot: wait until it is under {{ OPEN_AT }} °C. Whether a piece may hold food is for the glaze's maker and a
      testing laboratory to say.
    </VAlert>
  </aside>
</template>

<style scoped>
.right {
  padding: 16px 18px;
  border-left: 1px solid var(--line);
}
h2 {
  font-size: 19px;
  margin: 16px 0 6px;
}
ul {
  padding: 0;
  list-style: none;
}
@media (max-width: 1199px) {
  .right {
    border: 0;
  }
}
</style>
