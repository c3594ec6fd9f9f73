import { addDays, type Day } from '#core/measure/calendar'
import { coverMatter, feedMatter, seedMatter, soilMatter, type Matter } from '#core/materials/stock'
import { pureSeed } from '#core/seed/blends'
import { KG_PER_LB, M3_PER_YD3 } from '#core/measure/units'

/** What the invented firm's shed held when it was last counted, kg or m³. */
export const demoStock = (today: Day): { matter: Matter; name: string; day: Day; amount: number }[] => [
  { matter: seedMatter(pureSeed('TF')), name: 'Quarry lot 26-114', day: addDays(today, -6), amount: 50 * KG_PER_LB },
  { matter: seedMatter(pureSeed('PRG')), name: 'Mill lot 26-071', day: addDays(today, -6), amount: 12 * KG_PER_LB },
  {
    matter: seedMatter(pureSeed('ARG')),
    name: 'winter rye, opened bag',
    day: addDays(today, -20),
    amount: 18 * KG_PER_LB,
  },
  { matter: feedMatter('18-24-12')!, name: 'starter, 50 lb bags', day: addDays(today, -6), amount: 250 * KG_PER_LB },
  { matter: coverMatter('compost'), name: 'compost in the bay', day: addDays(today, -3), amount: 3 * M3_PER_YD3 },
  { matter: soilMatter('sand'), name: 'washed sand, sheeted', day: addDays(today, -3), amount: 1.5 * M3_PER_YD3 },
]
