import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';

/** The two lights of the table: north light by day, a lamp in the evening. */
export type Light = 'day' | 'evening';

/** The nonce that the server put into the page; Vuetify's one run-time style sheet carries it. */
function pageNonce(): string | undefined {
  return document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce;
}

/** A field is a line of the page: its label on the left, what stands in it on the right. */
const FIELD = { variant: 'plain', density: 'comfortable', hideDetails: 'auto', singleLine: true } as const;

/** Messages and tooltips are of the bar's colours, by day and in the evening. */
const MESSAGES = { 'surface-variant': '#3b2a22', 'on-surface-variant': '#f8ecd8', 'bar-ink': '#f8ecd8' } as const;

/** How components look and act everywhere; what CSS adds to it is in `look/`. */
export const vuetify = createVuetify({
  // Below `sm` all stands in one column; from `lg` on fields, drawing and figures stand side by side.
  display: { thresholds: { xs: 0, sm: 700, md: 960, lg: 1200, xl: 1600, xxl: 2400 } },
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  defaults: {
    global: { ripple: false },
    VAlert: { border: 'start', density: 'compact', icon: false, variant: 'text' },
    VBtn: { variant: 'outlined', color: 'primary' },
    VBtnToggle: { VBtn: { variant: 'text' }, mandatory: true, color: 'primary' },
    VDialog: { maxWidth: 560 },
    VEmptyState: { color: 'primary', textWidth: 560 },
    VExpansionPanels: { flat: true },
    VList: { bgColor: 'transparent' },
    VMenu: { offset: 6 },
    VNumberInput: FIELD,
    VProgressLinear: { color: 'primary', height: 8, rounded: true },
    VSelect: FIELD,
    VSkeletonLoader: { color: 'transparent' },
    VSnackbar: { VBtn: { color: 'bar-ink' } },
    VSlider: { color: 'primary', hideDetails: true, thumbSize: 30, trackSize: 8 },
    VSwitch: { color: 'primary', density: 'comfortable', hideDetails: true, inset: true },
    VTextarea: FIELD,
    VTextField: FIELD,
    // Drawn only while it is open: a closed one would be a name that nothing bears.
    VTooltip: { eager: false, location: 'bottom', openDelay: 400 },
  },
  theme: {
    cspNonce: pageNonce(),
    defaultTheme: 'day',
    themes: {
      day: {
        dark: false,
        colors: {
          background: '#f8f0e2',
          surface: '#fdf8ee',
          primary: '#2b5d72',
          error: '#9a3412',
          warning: '#8a5a00',
          ...MESSAGES,
        },
      },
      evening: {
        dark: true,
        colors: {
          background: '#211a17',
          surface: '#2c2320',
          primary: '#8fc3d6',
          error: '#f0a088',
          warning: '#e6b85c',
          ...MESSAGES,
        },
      },
    },
  },
});
