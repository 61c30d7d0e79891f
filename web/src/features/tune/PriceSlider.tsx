import { Slider } from 'antd'
import { useId, useState } from 'react'
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
        max={prices.length - 1}
        value={moving ?? prices.indexOf(price)}
        onChange={setMoving}
        onChangeComplete={(index: number) => {
          setMoving(undefined)
          onPrice(prices[index] ?? price)
        }}
        tooltip={{
          formatter: (index) => say.priceStep(String(prices[index ?? 0])),
          // Within the step: what stands outside every landmark is passed over by who goes by them.
          getPopupContainer: (handle) => handle.parentElement ?? handle,
        }}
        ariaLabelledByForHandle={id}
        ariaValueTextFormatterForHandle={(index) => say.priceStep(String(prices[index]))}
      />
      <span aria-hidden="true">{say.quick}</span>
    </div>
  )
}
