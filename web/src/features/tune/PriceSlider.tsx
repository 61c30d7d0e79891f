import { Slider } from 'antd'
import { useId, useState } from 'react'
import { say } from './sentences'
import styles from './tune.module.css'

/** What a second of waiting costs in wrong presses, from never wrong to quick. */
const PRICES = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5]
export const USUAL_PRICE = 0.05

/** Between never wrong and quick: the other way round costs waiting, or presses. */
export function PriceSlider({ price, onPrice }: { price: number; onPrice: (price: number) => void }) {
  const id = useId()
  const [moving, setMoving] = useState<number>()
  return (
    <div className={styles.price}>
      <span id={id} className="seen-by-readers-only">
        {say.price}
      </span>
      <span aria-hidden="true">{say.neverWrong}</span>
      <Slider
        className={styles.slider ?? ''}
        min={0}
        max={PRICES.length - 1}
        value={moving ?? PRICES.indexOf(price)}
        onChange={setMoving}
        onChangeComplete={(index: number) => {
          setMoving(undefined)
          onPrice(PRICES[index] ?? USUAL_PRICE)
        }}
        tooltip={{ formatter: (index) => say.priceStep(String(PRICES[index ?? 0])) }}
        ariaLabelledByForHandle={id}
        ariaValueTextFormatterForHandle={(index) => say.priceStep(String(PRICES[index]))}
      />
      <span aria-hidden="true">{say.quick}</span>
    </div>
  )
}
