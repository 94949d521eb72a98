/// <reference types="vite/client" />
declare module '@fontsource-variable/*'
declare module 'primeicons/primeicons.css'
