import { defineAsyncComponent, type Component } from 'vue';
import { fetchAtRest } from '../../composables/fetchAtRest.ts';

/** Parts of a piece's stages that the first one does not need: fetched when they are opened, or soon after the piece is there. */
const LATER = {
  SlabDesk: () => import('../slab/SlabDesk.vue'),
  SlabFields: () => import('../slab/SlabFields.vue'),
  SlabFigures: () => import('../slab/SlabFigures.vue'),
  BlankDesk: () => import('../mould/BlankDesk.vue'),
  DartFields: () => import('../mould/DartFields.vue'),
  MeshDialog: () => import('../mould/MeshDialog.vue'),
  WordHelp: () => import('../words/WordHelp.vue'),
  SheetTable: () => import('../mould/SheetTable.vue'),
  MouldFields: () => import('../mould/MouldFields.vue'),
  SheetFields: () => import('../mould/SheetFields.vue'),
  NextMould: () => import('../mould/NextMould.vue'),
  OwnClayMould: () => import('../mould/OwnClayMould.vue'),
  CutDesk: () => import('./CutDesk.vue'),
  CutFields: () => import('./CutFields.vue'),
  FormGrid: () => import('./FormGrid.vue'),
  GoreFields: () => import('./GoreFields.vue'),
  FlatFields: () => import('./FlatFields.vue'),
  HistoryDialog: () => import('./HistoryDialog.vue'),
  HowDialog: () => import('./HowDialog.vue'),
  MakeStage: () => import('../make/MakeStage.vue'),
  PlanFile: () => import('./PlanFile.vue'),
  RaiseBar: () => import('../standing/RaiseBar.vue'),
} as const;

/** The piece has been drawn, and the page is at rest, by then (ms). */
const SOON = 3000;

const part = <T extends Component>(load: () => Promise<{ default: T }>): T => defineAsyncComponent(load);

export const SlabDesk = part(LATER.SlabDesk);
export const SlabFields = part(LATER.SlabFields);
export const SlabFigures = part(LATER.SlabFigures);
export const BlankDesk = part(LATER.BlankDesk);
export const DartFields = part(LATER.DartFields);
export const MeshDialog = part(LATER.MeshDialog);
export const WordHelp = part(LATER.WordHelp);
export const SheetTable = part(LATER.SheetTable);
export const MouldFields = part(LATER.MouldFields);
export const SheetFields = part(LATER.SheetFields);
export const NextMould = part(LATER.NextMould);
export const OwnClayMould = part(LATER.OwnClayMould);
export const CutDesk = part(LATER.CutDesk);
export const CutFields = part(LATER.CutFields);
export const FormGrid = part(LATER.FormGrid);
export const GoreFields = part(LATER.GoreFields);
export const FlatFields = part(LATER.FlatFields);
export const HistoryDialog = part(LATER.HistoryDialog);
export const HowDialog = part(LATER.HowDialog);
export const MakeStage = part(LATER.MakeStage);
export const PlanFile = part(LATER.PlanFile);
export const RaiseBar = part(LATER.RaiseBar);

/** Drawing in three dimensions is fetched only when a piece is first raised. */
export const StandingView = defineAsyncComponent(() => import('../standing/StandingView.vue'));

/** Fetches the parts while the server is there, and then calls back. Called in a component's setup. */
export const fetchSoon = (then: () => void): void => fetchAtRest(Object.values(LATER), SOON, then);
