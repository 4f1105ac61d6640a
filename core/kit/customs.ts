import type { KitchenRegion } from '../quantity'

/** British words with metric spoons and cups, or American words with those of the United States. */
export const ENGLISH = ['british', 'american'] as const
/** What prices are in; with none they are bare numbers. */
export const CURRENCIES = ['none', 'GBP', 'EUR', 'USD', 'CAD', 'AUD', 'NZD', 'ZAR', 'INR', 'CHF'] as const

/** How a school writes. */
export interface Customs {
  english: (typeof ENGLISH)[number]
  currency: (typeof CURRENCIES)[number]
}

export const USUAL_CUSTOMS: Customs = { english: 'british', currency: 'none' }

/** Whose spoons and cups a school measures with. `kitchenOf({ english: 'american', currency: 'USD' }) // 'us'` */
export function kitchenOf({ english }: Customs): KitchenRegion {
  return english === 'american' ? 'us' : 'metric'
}
