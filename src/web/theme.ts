import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';

/** The two themes: north light by day, a lamp in the evening. */
export type Light = 'day' | 'evening';

/** The nonce that the server put into the page, for Vuetify's run-time style sheet. */
function pageNonce(): string | undefined {
  return document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce;
}

/** A field is a line of the page: its label on the left, its value on the right. */
const FIELD = { variant: 'plain', density: 'comfortable', hideDetails: 'auto', singleLine: true } as const;

/** Messages and tooltips have the bar's colours in both themes. */
const MESSAGES = { 'surface-variant': '#3b2a22', 'on-surface-variant': '#f8ecd8', 'bar-ink': '#f8ecd8' } as const;

/** Defaults of all components; CSS adds to them in `look/`. */
export const vuetify = createVuetify({
  // Below `sm` there is one column; from `lg` on fields, drawing and figures are side by side.
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
    // Rendered only while open: otherwise `aria-controls` would name a missing element.
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
