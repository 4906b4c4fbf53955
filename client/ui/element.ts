import en from 'element-plus/es/locale/lang/en'
import { localeContextKey } from 'element-plus/es/hooks/use-locale/index'
import { defineAsyncComponent, ref, type App } from 'vue'
import { shown } from '../../core/language/index.ts'
import { whenIdle } from './when-idle.ts'
import type * as ElementParts from './element-parts.ts'
// Styles come at once, so that the house's own stand after them.
import 'element-plus/es/components/base/style/css'
import 'element-plus/es/components/dialog/style/css'
import 'element-plus/es/components/drawer/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/popover/style/css'
import 'element-plus/es/components/select/style/css'
import 'element-plus/es/components/switch/style/css'

const parts = () => import('./element-parts.ts')
const NAMES = [
  'ElDialog',
  'ElDrawer',
  'ElOption',
  'ElPopover',
  'ElSelect',
  'ElSwitch',
] as const satisfies readonly (keyof typeof ElementParts)[]

/** Only the components in use, loaded when the first of them is wanted or the page has nothing else to do. */
export function useElement(app: App): void {
  app.provide(localeContextKey, ref(kitWords()))
  for (const name of NAMES)
    app.component(
      name,
      defineAsyncComponent(async () => (await parts())[name]),
    )
  whenIdle(() => void parts().catch(() => undefined))
}

/** What the kit says by itself, of what is in use here. */
function kitWords(): typeof en {
  const select = {
    ...en.el.select,
    placeholder: shown('Choose'),
    noData: shown('Nothing to choose from'),
    noMatch: shown('Nothing is called so'),
    loading: shown('Loading …'),
  }
  return { ...en, el: { ...en.el, select, dialog: { close: shown('Close') }, drawer: { close: shown('Close') } } }
}
