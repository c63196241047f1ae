import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-ext-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-600.css';
import '@fontsource/atkinson-hyperlegible-next/latin-ext-600.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/atkinson-hyperlegible-next/latin-ext-700.css';
import '@fontsource/bitter/latin-600.css';
import '@fontsource/bitter/latin-ext-600.css';
import 'vuetify/styles/layers';
import 'vuetify/styles/core';
import './style.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router.ts';
import { vuetify } from './theme.ts';

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app');
