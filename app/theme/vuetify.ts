import 'vuetify/styles';
import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';

const light = {
  primary: '#5D2A53',
  secondary: '#F2A65A',
  surface: '#FFFDF9',
  background: '#F7F3EC',
  error: '#A53A22',
  warning: '#8A5600',
  success: '#36704A',
  'on-surface': '#2A1B2E',
  'on-background': '#2A1B2E',
  'on-primary': '#FFFDF9',
};
const dark = {
  primary: '#E0B4D7',
  secondary: '#F2A65A',
  surface: '#2B2030',
  background: '#241A28',
  error: '#F0907A',
  warning: '#F0B04C',
  success: '#7FC48F',
  'on-surface': '#F3EAF0',
  'on-background': '#F3EAF0',
  'on-primary': '#2B2030',
};

/** Vuetify in our look: no elevation greys, no capitals. */
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: 'light',
    themes: { light: { dark: false, colors: light }, dark: { dark: true, colors: dark } },
  },
  defaults: {
    VBtn: { rounded: 'pill', elevation: 0, ripple: false },
    VMenu: { transition: 'fade-transition' },
    VList: { rounded: 'lg', density: 'compact' },
    VDialog: { maxWidth: 460, transition: 'fade-transition' },
    VSnackbar: { timeout: 7000 },
  },
});
