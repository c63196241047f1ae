<script setup lang="ts">
import { useNow } from '@vueuse/core';
import { computed, onMounted, onUnmounted, ref } from 'vue';
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router';
import { useDisplay } from 'vuetify';
import type { Design } from '../../contract/api.ts';
import type { KeptOrder } from '../../core/studio/order/keptOrder.ts';
import BookConflicts from '../components/frame/BookConflicts.vue';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import SheetDialog from '../components/frame/SheetDialog.vue';
import BlockBeside from '../components/order/BlockBeside.vue';
import { manyText } from '../components/order/blockWords.ts';
import OrderCalendar from '../components/order/OrderCalendar.vue';
import OrderDays from '../components/order/OrderDays.vue';
import OrderMakings from '../components/order/OrderMakings.vue';
import OrderFields from '../components/order/OrderFields.vue';
import OrderVerdict from '../components/order/OrderVerdict.vue';
import { newOrder, useOrderLines } from '../components/order/orderLine.ts';
import { useOrder } from '../components/order/useOrder.ts';
import { useShortcuts } from '../composables/useShortcuts.ts';
import { useHouseWay } from '../stores/houseWay.ts';
import { useClays, useOrders } from '../stores/records.ts';
import { useShelf } from '../stores/shelf.ts';

/** An order, planned back from its due date: its pieces on one side, the calendar on the other. */
const orders = useOrders();
const shelf = useShelf();
const clays = useClays();
const route = useRoute();
const router = useRouter();
const lines = useOrderLines();
const now = useNow({ interval: 60_000 });
const { smAndDown: phone, width } = useDisplay();
const narrow = computed(() => width.value < 1200);
const changing = ref(false);

const shown = computed(() => orders.list.find(({ id }) => id === route.params['id']));
const hand = useOrder(() => shown.value);
const adding = ref<string | null>(null);
const trouble = ref('');

/** Creates the records that `work` asks for, and shows an error where it cannot. */
async function drawn(name: string, work: () => Promise<void>): Promise<void> {
  adding.value = name;
  trouble.value = '';
  try {
    await work();
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error);
  }
  adding.value = null;
}
const FIRST_COUNT = 6;
const add = (design: Design) =>
  drawn(design.name, async () => {
    const line = await lines.line(design, FIRST_COUNT);
    hand.change({ lines: [...(hand.body.value?.lines ?? []), line] });
  });
const renew = () =>
  drawn('all', async () => {
    const next = await Promise.all(
      (hand.body.value?.lines ?? []).map((line) => {
        const design = shelf.designs.find(({ id }) => id === line.design);
        return design ? lines.line(design, line.count) : line;
      }),
    );
    hand.change({ lines: next });
  });

async function begin(): Promise<void> {
  const made = await orders.create(newOrder(lines.air(), orders.list.at(-1)?.body));
  if (made) void router.push({ name: 'order', params: { id: made.id } });
}
async function remove(id: string): Promise<void> {
  changing.value = false;
  await orders.remove(id);
  void router.replace({ name: 'order' });
}
/** Props of the fields, beside the calendar or in a sheet. */
const fields = computed(() => ({
  order: hand.body.value as KeptOrder,
  designs: shelf.designs,
  put: hand.change,
  done: orders.endGesture,
  adding: adding.value,
  trouble: trouble.value,
}));
const told = (order: KeptOrder) =>
  manyText(
    order,
    order.lines.map(({ count }) => count),
  ) || 'nothing yet';
const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });

useShortcuts([{ keys: 'ctrl+z', words: 'Undo', run: () => void orders.undo() }]);
onMounted(() => {
  void orders.load();
  // Its jobs follow the house way.
  void useHouseWay().load();
  if (clays.state !== 'ready') void clays.load();
  if (shelf.state !== 'ready') void shelf.load();
  window.addEventListener('pagehide', orders.keepAll);
});
onUnmounted(() => window.removeEventListener('pagehide', orders.keepAll));
onBeforeRouteLeave(() => orders.keepAll());
</script>

<template>
  <main class="order">
    <Teleport defer to="#place-heading">
      <div class="head">
        <span class="name">{{ shown?.body.name ?? 'Orders' }}</span>
        <VBtn variant="text" :disabled="orders.past.length === 0" @click="orders.undo()">Undo</VBtn>
        <VBtn variant="text" :disabled="orders.future.length === 0" @click="orders.redo()">Redo</VBtn>
      </div>
    </Teleport>
    <BookConflicts :book="orders" :told="told" />
    <VAlert v-if="orders.trouble" type="error">{{ orders.trouble }}</VAlert>
    <VSkeletonLoader v-if="orders.state === 'loading'" type="heading, list-item@4" loading-text="Fetching the orders" />
    <EmptyPlace v-else-if="orders.state === 'failed'" heading="h1" title="The orders could not be fetched">
      <VBtn variant="flat" @click="orders.load()">Try again</VBtn>
    </EmptyPlace>
    <div v-else-if="shown && hand.body.value" class="bench">
      <aside v-if="!narrow" class="left" aria-label="What is wanted">
        <OrderFields :key="shown.id" v-bind="fields" @add="add" @renew="renew" @remove="remove(shown.id)" />
      </aside>
      <div class="middle">
        <div class="top">
          <OrderVerdict
            :order="hand.body.value"
            :busy="hand.busy.value"
            :looking="hand.looking.value"
            :helps="hand.helps.value"
            :trouble="hand.trouble.value"
            @change="(part) => hand.change(part)"
            @stop="hand.stop()"
            @lay="hand.lay()"
          />
          <div class="verbs">
            <VBtn v-if="narrow" variant="flat" @click="changing = true">What and when</VBtn>
            <VBtn :disabled="hand.body.value.lines.length === 0" @click="hand.lay()">Lay it again from now</VBtn>
            <VBtn v-if="hand.body.value.held.length" @click="hand.change({ held: [] })">Let go of all</VBtn>
            <VBtn :to="{ name: 'order' }" :active="false">All orders</VBtn>
          </div>
        </div>
        <OrderMakings v-if="hand.body.value.lines.length" :key="shown.id" :order="shown" />
        <template v-if="hand.body.value.lines.length">
          <OrderDays
            v-if="phone"
            :order="hand.body.value"
            :now="now.getTime()"
            :is-held="hand.isHeld"
            @choose="(block) => (hand.chosen.value = block)"
          />
          <OrderCalendar
            v-else
            :order="hand.body.value"
            :now="now.getTime()"
            :chosen="hand.chosen.value"
            :is-held="hand.isHeld"
            @choose="(block) => (hand.chosen.value = block)"
            @move="hand.hold"
            @let-go="hand.letGo"
          />
        </template>
        <BlockBeside
          v-if="hand.chosenBlock.value"
          :order="hand.body.value"
          :block="hand.chosenBlock.value"
          :held="hand.isHeld(hand.chosenBlock.value)"
          @move="(start) => hand.chosenBlock.value && hand.hold(hand.chosenBlock.value, start)"
          @let-go="hand.chosenBlock.value && hand.letGo(hand.chosenBlock.value)"
          @close="hand.chosen.value = null"
        />
      </div>
      <SheetDialog v-if="narrow" v-model="changing" aria-label="What is wanted" scrollable>
        <section class="sheet-card">
          <OrderFields :key="shown.id" v-bind="fields" @add="add" @renew="renew" @remove="remove(shown.id)" />
          <VBtn variant="flat" @click="changing = false">Done</VBtn>
        </section>
      </SheetDialog>
    </div>
    <EmptyPlace
      v-else-if="orders.list.length === 0"
      heading="h1"
      title="No order yet"
      words="Say which pieces are wanted by which day: kiln, glaze, bisque, drying and making are laid backwards on the hours that you have."
    >
      <VBtn variant="flat" @click="begin">Plan an order</VBtn>
    </EmptyPlace>
    <section v-else class="all">
      <h1 class="serif">Orders</h1>
      <VList bg-color="transparent" tag="nav" role="navigation" aria-label="All orders">
        <VListItem
          v-for="one in orders.list"
          :key="one.id"
          :title="one.body.name"
          :subtitle="`${told(one.body)}, fired by ${day.format(new Date(`${one.body.ready}T12:00`))}`"
          :to="{ name: 'order', params: { id: one.id } }"
        />
      </VList>
      <VBtn variant="flat" @click="begin">Plan an order</VBtn>
    </section>
  </main>
</template>

<style scoped>
.order {
  flex: 1;
  display: flex;
  flex-direction: column;
}
.head {
  display: flex;
  align-items: center;
  gap: 14px;
  min-width: 0;
  padding-left: 10px;
}
.name {
  overflow: hidden;
  font-size: 20px;
  font-weight: 600;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: 330px minmax(0, 1fr);
}
.left {
  padding: 16px 18px 30px;
  border-right: 1px solid var(--line);
}
.middle {
  display: grid;
  gap: 14px;
  align-content: start;
  min-width: 0;
  padding: 18px 22px 30px;
  background: var(--cloth);
}
.top {
  display: flex;
  gap: 18px;
  align-items: start;
  justify-content: space-between;
}
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  justify-content: end;
}
.all {
  width: 100%;
  max-width: 760px;
  margin: 0 auto;
  padding: 24px 20px;
}
@media (max-width: 1199px) {
  .bench {
    display: block;
  }
  .top {
    flex-direction: column;
  }
  .verbs {
    justify-content: start;
  }
  .middle {
    padding: 14px 16px 30px;
  }
}
</style>
