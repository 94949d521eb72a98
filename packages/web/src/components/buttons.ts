import Button, { type ButtonProps } from 'primevue/button'
import { h, type FunctionalComponent } from 'vue'

/** The kinds of button but for the main one of a page, which is PrimeVue's own. */
const kind = (look: Partial<ButtonProps>) => {
  const it: FunctionalComponent<ButtonProps, { click: (event: MouseEvent) => void }> = (
    _props,
    { attrs, slots },
  ) => h(Button, { severity: 'secondary', ...look, ...attrs }, slots)
  it.inheritAttrs = false
  return it
}

/** With an outline: what else one may do here. */
export const PlainButton = kind({ outlined: true })
/** Words alone: what one seldom does, or what leads away. */
export const QuietButton = kind({ text: true })
