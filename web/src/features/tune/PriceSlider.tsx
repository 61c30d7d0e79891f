import { Range } from '../../shared/ui'
import { say } from './sentences'
import styles from './tune.module.css'

interface Props {
  /** What a second of waiting may cost in wrong presses, from never wrong to quick. */
  prices: number[]
  price: number
  onPrice: (price: number) => void
}

/** Between never wrong and quick: the other way round costs waiting, or presses. */
export function PriceSlider({ prices, price, onPrice }: Props) {
  return (
    <div className={styles.price}>
      <span aria-hidden="true">{say.neverWrong}</span>
      <Range
        min={0}
        max={prices.length - 1}
        value={prices.indexOf(price)}
        words={(index) => say.priceStep(String(prices[index]))}
        onDone={(index) => onPrice(prices[index] ?? price)}
        aria-label={say.price}
      />
      <span aria-hidden="true">{say.quick}</span>
    </div>
  )
}
