import type { MessageKey } from '#words/message'

/** Places of the rail, each under a key of its own that stays when others join. */
export const PLACES = [
  { to: '/lawns', name: 'shell.lawns', icon: 'i-lucide-land-plot', key: '2' },
  { to: '/shed', name: 'shell.shed', icon: 'i-lucide-warehouse', key: '5' },
  { to: '/weather', name: 'shell.weather', icon: 'i-lucide-cloud-sun-rain', key: '7' },
  { to: '/firm', name: 'shell.firm', icon: 'i-lucide-house', key: '8' },
] as const satisfies readonly { to: string; name: MessageKey; icon: string; key: string }[]
