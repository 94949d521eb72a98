import { definePreset } from '@primeuix/themes'
import autocomplete from '@primeuix/themes/aura/autocomplete'
import base from '@primeuix/themes/aura/base'
import button from '@primeuix/themes/aura/button'
import checkbox from '@primeuix/themes/aura/checkbox'
import datepicker from '@primeuix/themes/aura/datepicker'
import dialog from '@primeuix/themes/aura/dialog'
import inputtext from '@primeuix/themes/aura/inputtext'
import menu from '@primeuix/themes/aura/menu'
import select from '@primeuix/themes/aura/select'
import selectbutton from '@primeuix/themes/aura/selectbutton'
import slider from '@primeuix/themes/aura/slider'
import textarea from '@primeuix/themes/aura/textarea'
import toast from '@primeuix/themes/aura/toast'
import togglebutton from '@primeuix/themes/aura/togglebutton'

const cobalt = {
  50: '#eef3fb',
  100: '#d6e2f5',
  200: '#adc5ea',
  300: '#7ea2db',
  400: '#4d7dc8',
  500: '#2a5fb0',
  600: '#1f4c93',
  700: '#193d76',
  800: '#15315e',
  900: '#10254a',
  950: '#0a1830',
}

/** Only the parts in use are taken in, which keeps the first view small. */
const parts = {
  autocomplete,
  button,
  checkbox,
  datepicker,
  dialog,
  inputtext,
  menu,
  select,
  selectbutton,
  slider,
  textarea,
  toast,
  togglebutton,
}

const preset = definePreset(
  { ...base, components: parts },
  {
    primitive: { borderRadius: { sm: '6px', md: '8px', lg: '10px', xl: '12px' } },
    semantic: {
      primary: cobalt,
      focusRing: { width: '2px', style: 'solid', color: '{primary.400}', offset: '1px' },
      colorScheme: {
        light: {
          primary: {
            color: '{primary.500}',
            contrastColor: '#ffffff',
            hoverColor: '{primary.600}',
            activeColor: '{primary.700}',
          },
          surface: {
            0: '#ffffff',
            50: '#f6f8fb',
            100: '#ebeff3',
            200: '#d8dfe7',
            300: '#c3ccd6',
            400: '#8e9bab',
            500: '#566575',
            600: '#44515f',
            700: '#323d49',
            800: '#222b35',
            900: '#17202b',
            950: '#0d131b',
          },
          text: { color: '#17202b', mutedColor: '#566575' },
        },
        dark: {
          primary: {
            color: '{primary.300}',
            contrastColor: '#0a1830',
            hoverColor: '{primary.200}',
            activeColor: '{primary.100}',
          },
          surface: {
            0: '#ffffff',
            50: '#eef2f7',
            100: '#d8dfe7',
            200: '#b4bfcc',
            300: '#97a5b5',
            400: '#7b8a9b',
            500: '#5c6b7c',
            600: '#3a4859',
            700: '#2a3645',
            800: '#1d2733',
            900: '#151d28',
            950: '#0e141d',
          },
          text: { color: '#e6ebf2', mutedColor: '#a7b4c4' },
        },
      },
    },
  },
)

export const theme = { preset, options: { darkModeSelector: '.dark', cssLayer: false } }
