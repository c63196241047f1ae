<script setup lang="ts">
import { onMounted } from 'vue';
import { useHouseWay } from '../../stores/houseWay.ts';
import AirFields from '../make/AirFields.vue';
import HouseWayFields from '../make/HouseWayFields.vue';

/** Defaults of a new making: how this potter works, and the air of her shed. */
const way = useHouseWay();
onMounted(way.load);
</script>

<template>
  <section aria-labelledby="house-heading">
    <h2 id="house-heading">The house way</h2>
    <p>How you work where schools differ, and the air of the shed: a new making begins with them.</p>
    <div class="two">
      <HouseWayFields />
      <AirFields :air="way.air" @change="(air) => way.put({ air })" />
    </div>
  </section>
</template>

<style scoped>
section {
  margin-top: 30px;
}
p {
  margin: 4px 0 8px;
  color: var(--ink-soft);
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 0 40px;
  max-width: 760px;
}
</style>
