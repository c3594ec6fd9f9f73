/** Places of the rail, each under a key of its own that stays when others join. */
export const PLACES = [
  { to: '/lawns', name: 'Lawns', icon: 'i-lucide-land-plot', key: '2' },
  { to: '/shed', name: 'Shed', icon: 'i-lucide-warehouse', key: '5' },
  { to: '/weather', name: 'Weather', icon: 'i-lucide-cloud-sun-rain', key: '7' },
  { to: '/firm', name: 'Firm', icon: 'i-lucide-house', key: '8' },
] as const
