import type { App } from 'vue'
import { ElDialog, ElDrawer, ElOption, ElPopover, ElSelect, ElSwitch } from 'element-plus'
import 'element-plus/es/components/base/style/css'
import 'element-plus/es/components/dialog/style/css'
import 'element-plus/es/components/drawer/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/popover/style/css'
import 'element-plus/es/components/select/style/css'
import 'element-plus/es/components/switch/style/css'

/** Only the components in use, so that the bundle stays small. */
export function useElement(app: App): void {
  for (const component of [ElDialog, ElDrawer, ElOption, ElPopover, ElSelect, ElSwitch]) app.use(component)
}
