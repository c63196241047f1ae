import { createVuetify } from 'vuetify';

/** The two lights of the table: north light by day, a lamp in the evening. */
export type Light = 'day' | 'evening';

/** The nonce that the server put into the page; Vuetify's one run-time style sheet carries it. */
function pageNonce(): string | undefined {
  return document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce;
}

export const vuetify = createVuetify({
  defaults: {
    VDialog: { maxWidth: 560 },
    VMenu: { offset: 6 },
  },
  theme: {
    cspNonce: pageNonce(),
    defaultTheme: 'day',
    themes: {
      day: {
        dark: false,
        colors: { background: '#f8f0e2', surface: '#fdf8ee', primary: '#2b5d72', error: '#9a3412', warning: '#8a5a00' },
      },
      evening: {
        dark: true,
        colors: { background: '#211a17', surface: '#2c2320', primary: '#8fc3d6', error: '#f0a088', warning: '#e6b85c' },
      },
    },
  },
});
