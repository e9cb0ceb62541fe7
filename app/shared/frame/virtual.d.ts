declare module 'virtual:icons-in-use' {
  import type { IconifyJSON } from '@iconify/vue'

  const icons: IconifyJSON
  export default icons
}
