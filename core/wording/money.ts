import { CURRENCIES, type Customs } from '../kit'
import { writeNumber } from '../quantity'

export const ENGLISH_CHOICES: { value: Customs['english']; title: string; hint: string }[] = [
  { value: 'british', title: 'British, metric cups', hint: 'colour, litre; a cup is 250 mL' },
  { value: 'american', title: 'American, US cups', hint: 'color, liter; a cup is 237 mL' },
]

export const CURRENCY_CHOICES: { value: Customs['currency']; title: string }[] = CURRENCIES.map((value) => ({
  value,
  title: value === 'none' ? 'bare numbers' : value,
}))

/** A price as the school writes it, a bare number where it has chosen none. `moneyWords(7.5, 'GBP') // '£7.50'` */
export function moneyWords(value: number, currency: Customs['currency'] = 'none'): string {
  if (currency === 'none') return writeNumber(value, 2)
  return new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' }).format(value)
}

/** Over a column of prices that are keyed in as bare numbers. `priceHeading('GBP') // 'Price (GBP)'` */
export function priceHeading(currency: Customs['currency']): string {
  return currency === 'none' ? 'Price' : `Price (${currency})`
}
