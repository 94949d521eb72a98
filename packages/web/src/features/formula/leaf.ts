/** What the room of a formula may ask of the leaf that is open. */
export interface Leaf {
  showKeys?: () => void
  reload?: () => void
  /** Does something and leaves the one who types where they were. */
  keepPlace?: (work: () => void) => void
}

declare module 'vue-router' {
  interface RouteMeta {
    leaf?: 'sheet' | 'emulsion' | 'balance' | 'ph' | 'method' | 'label' | 'cost' | 'versions'
    /** Before the name of the formula, in the title of the window. */
    title?: string
  }
}
