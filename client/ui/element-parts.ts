export { ElDialog, ElDrawer, ElOption, ElPopover, ElSelect, ElSwitch } from 'element-plus'
