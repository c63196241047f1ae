import { defineAsyncComponent, type Component } from 'vue';
import { fetchAtRest } from './composables/fetchAtRest.ts';

/** Parts of the frame that are not needed at first: fetched when they are opened, or soon after the page has loaded. */
const LATER = {
  ChoiceList: () => import('./components/fields/ChoiceList.vue'),
  DeviceStrip: () => import('./components/devices/DeviceStrip.vue'),
  FindDialog: () => import('./components/frame/FindDialog.vue'),
  KeysDialog: () => import('./components/frame/KeysDialog.vue'),
  PiecePortrait: () => import('./components/portrait/PiecePortrait.vue'),
  PlacesDrawer: () => import('./components/frame/PlacesDrawer.vue'),
  ChosenBar: () => import('./components/shelf/ChosenBar.vue'),
  NewPieceDialog: () => import('./components/shelf/NewPieceDialog.vue'),
  SetDialog: () => import('./components/shelf/SetDialog.vue'),
  ShelfTools: () => import('./components/shelf/ShelfTools.vue'),
  WindowAlerts: () => import('./components/today/WindowAlerts.vue'),
  ShelfMenu: () => import('./components/shelf/ShelfMenu.vue'),
} as const;

/** Delay until the page is at rest (ms). */
const SOON = 2500;

const part = <T extends Component>(load: () => Promise<{ default: T }>): T => defineAsyncComponent(load);

export const ChoiceList = part(LATER.ChoiceList);
export const DeviceStrip = part(LATER.DeviceStrip);
export const FindDialog = part(LATER.FindDialog);
export const KeysDialog = part(LATER.KeysDialog);
export const PiecePortrait = part(LATER.PiecePortrait);
export const PlacesDrawer = part(LATER.PlacesDrawer);
export const ChosenBar = part(LATER.ChosenBar);
export const NewPieceDialog = part(LATER.NewPieceDialog);
export const SetDialog = part(LATER.SetDialog);
export const ShelfTools = part(LATER.ShelfTools);
export const WindowAlerts = part(LATER.WindowAlerts);
export const ShelfMenu = part(LATER.ShelfMenu);

/** Fetches these parts while the server answers. Called in a component's setup. */
export const fetchFrameSoon = (): void => fetchAtRest(Object.values(LATER), SOON);
