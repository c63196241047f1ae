import { createRouter, createWebHistory } from 'vue-router';
import ShelfPlace from './places/ShelfPlace.vue';

/** The stages of a piece. */
export const STAGES = ['shape', 'flat', 'slab', 'cut', 'make'] as const;
/** A stage, the last part of the piece's address. */
export type Stage = (typeof STAGES)[number];

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfPlace, meta: { title: 'On the shelf' } },
    {
      path: `/piece/:id/:stage(${STAGES.join('|')})?`,
      name: 'piece',
      component: () => import('./places/PiecePlace.vue'),
      meta: { title: 'Piece' },
    },
    {
      path: '/from',
      name: 'from',
      component: () => import('./places/OwnedPlace.vue'),
      meta: { title: 'From what you own' },
    },
    {
      path: '/photograph',
      name: 'photograph',
      component: () => import('./places/PhotoPlace.vue'),
      meta: { title: 'From a photograph' },
    },
    {
      path: '/clay/:id?',
      name: 'clay',
      component: () => import('./places/ClayPlace.vue'),
      meta: { title: 'Clay book' },
    },
    { path: '/kit/:id?', name: 'kit', component: () => import('./places/KitPlace.vue'), meta: { title: 'Kit' } },
    { path: '/today', name: 'today', component: () => import('./places/TodayPlace.vue'), meta: { title: 'Today' } },
    {
      path: '/order/:id?',
      name: 'order',
      component: () => import('./places/OrderPlace.vue'),
      meta: { title: 'Orders' },
    },
    {
      path: '/records/:clay?',
      name: 'records',
      component: () => import('./places/RecordsPlace.vue'),
      meta: { title: 'Records' },
    },
    {
      path: '/made/:making/:piece',
      name: 'made',
      component: () => import('./places/MadePlace.vue'),
      meta: { title: 'Measured pieces' },
    },
    {
      path: '/kiln/:id?',
      name: 'kiln',
      component: () => import('./places/KilnPlace.vue'),
      meta: { title: 'Kiln' },
    },
    {
      path: '/story/:making/:piece',
      name: 'story',
      component: () => import('./places/StoryPlace.vue'),
      meta: { title: 'Story' },
    },
    {
      path: '/size/:id',
      name: 'true-size',
      component: () => import('./places/TrueSizePlace.vue'),
      meta: { title: 'True size' },
    },
    {
      path: '/light/:id',
      name: 'by-light',
      component: () => import('./places/LightPlace.vue'),
      meta: { title: 'By light' },
    },
    { path: '/door', name: 'door', component: () => import('./places/DoorPlace.vue'), meta: { title: 'Sign in' } },
    {
      path: '/:rest(.*)*',
      name: 'lost',
      component: () => import('./places/LostPlace.vue'),
      meta: { title: 'Nothing here' },
    },
  ],
});

router.afterEach((to) => {
  document.title = `${String(to.meta['title'])} · Fawn Table`;
});
