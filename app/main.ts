import '@fontsource-variable/figtree/wght.css';
import '@fontsource-variable/fraunces/wght.css';
import './theme/tokens.css';
import './theme/base.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router.ts';
import { vuetify } from './theme/vuetify.ts';
import { takeOverOnLeaving } from './storage/index.ts';

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app');
takeOverOnLeaving();
