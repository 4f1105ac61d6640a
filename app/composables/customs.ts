import { CURRENCIES, ENGLISH, kitchenOf, USUAL_CUSTOMS, type Customs } from '~~/core/kit'
import { moneyWords, spelled } from '~~/core/wording'

/** How the school writes, as the page that came says it. */
const customs = ref<Customs>(read())

function read(): Customs {
  const { english, currency } = document.documentElement.dataset
  return {
    english: ENGLISH.find((one) => one === english) ?? USUAL_CUSTOMS.english,
    currency: CURRENCIES.find((one) => one === currency) ?? USUAL_CUSTOMS.currency,
  }
}

export function useCustoms() {
  const kitchen = computed(() => kitchenOf(customs.value))
  const currency = computed(() => customs.value.currency)
  /** A text of ours in the school's English. */
  const say = (text: string) => spelled(text, customs.value.english)
  const money = (value: number) => moneyWords(value, customs.value.currency)
  return { customs, kitchen, currency, say, money }
}
