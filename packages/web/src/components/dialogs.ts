import Dialog from 'primevue/dialog'
import { h, type FunctionalComponent } from 'vue'

/** A dialog over the page, as wide as it says where there is room; it stays where it is. */
export const PopUp: FunctionalComponent<
  { header: string; visible: boolean; width?: string },
  { 'update:visible': (visible: boolean) => void; show: () => void; hide: () => void }
> = ({ header, visible, width = '34rem' }, { attrs, slots }) =>
  h(
    Dialog,
    {
      header,
      visible,
      modal: true,
      draggable: false,
      style: { width: `min(${width}, calc(100vw - 1rem))` },
      ...attrs,
    },
    slots,
  )
PopUp.props = ['header', 'visible', 'width']
PopUp.inheritAttrs = false
