import { phrase } from '../../language/index.ts'
import type { Cloth } from '../../../contract/index.ts'
import { beforeWash, leftByWash } from '../../pattern/index.ts'
import { entered, figure, given, over, roundUp, times, unitsIn } from '../../working/index.ts'
import type { ClothLength, MaterialLine } from './buy-line.ts'

/** Cloth that is washed first is bought longer by what washing takes. */
export function clothLine(cloth: Cloth, clothLength: ClothLength, i: number): MaterialLine {
  if (cloth.supply.kind !== 'to-buy') return inHandLine(cloth, clothLength, i)
  const { laidMm, boundMm, share = 1 } = clothLength
  const id = i === 0 ? 'buy' : `buy.${cloth.id}`
  const used = entered({
    id: `${id}.used`,
    label: laidMm === null ? 'Cloth, at least (lower bound)' : 'Length of the lay',
    quantity: 'run',
    value: laidMm ?? boundMm,
    rule: laidMm === null ? 'no lay yet: only the lower bound is known' : 'as laid',
    change: 'lay.plan',
  })
  const left = leftByWash(cloth, 'along')
  const unwashed =
    left < 1
      ? figure({
          id: `${id}.unwashed`,
          label: 'Before washing',
          quantity: 'run',
          sum: over(used, given(left, 'share', 'left after washing')),
          rule: 'washed before it is cut',
        })
      : used
  const whole = figure({
    id: share < 1 ? `${id}.joint` : `${id}.cloth`,
    label: phrase`${cloth.name}, to buy${share < 1 ? ' for all tickets cut from it' : ''}`,
    quantity: 'run',
    sum: roundUp(unwashed, cloth.buyingStepMm, 'run'),
    rule: phrase`sold by the ${cloth.buyingStepMm} mm`,
    setBy: 'catalogue',
  })
  const length =
    share < 1
      ? figure({
          id: `${id}.cloth`,
          label: phrase`${cloth.name}, this ticket's share`,
          quantity: 'run',
          sum: times(whole, given(share, 'share', 'share of the joint lay')),
          rule: 'cut with other tickets: shared as each would take by itself',
        })
      : whole
  const cost = figure({
    id: `${id}.clothCost`,
    label: 'Cloth cost',
    quantity: 'money',
    sum: times(
      over(length, unitsIn(1000, 'mm in a metre')),
      given(cloth.pricePerMetre, 'metre-price', 'price of the cloth'),
    ),
    rule: 'length bought, not length used',
    setBy: 'catalogue',
  })
  return { what: cloth.name, amount: length, cost }
}

/** What lies in the shop is used, not bought; without a lay nobody knows whether it is enough. */
function inHandLine(cloth: Cloth, { laidMm, boundMm, share = 1 }: ClothLength, i: number): MaterialLine {
  const usedMm = beforeWash(cloth, laidMm ?? boundMm) * share
  const amount = entered({
    id: i === 0 ? 'buy.cloth' : `buy.${cloth.id}.cloth`,
    label: phrase`${cloth.name}, from the shelf`,
    quantity: 'run',
    value: usedMm,
    rule: laidMm === null ? 'in hand, and no lay on it: at least so much is needed' : 'in hand: nothing to buy',
    change: 'lay.plan',
  })
  return {
    what:
      laidMm === null ? phrase`${cloth.name}, in hand: not enough as far as is known` : phrase`${cloth.name}, in hand`,
    amount,
    cost: null,
  }
}
