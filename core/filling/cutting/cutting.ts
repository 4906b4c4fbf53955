import { phrase } from '../../language/index.ts'
import type { Cutting, Grade } from '../../../contract/index.ts'
import { boxOf, needOf } from '../../outline/index.ts'
import { entered, figure, given, over, plus, times, unitsIn, type Figure } from '../../working/index.ts'
import { groupParts, nestKey, type FoamGroup } from './groups.ts'
import { sheetsIn, type NestLay } from './nest.ts'
import { partsOf, type BlockParts, type BlockToCut } from './parts.ts'
import { sheetCost } from './rows.ts'
import { suppliesFor, type Supplies } from './supplies.ts'

/** What is bought of one thickness of one grade. */
export interface GroupBuy {
  readonly group: FoamGroup
  /** The kept nest of these very parts; empty while there is none. */
  readonly nest: readonly NestLay[]
  /** Null when all comes from stock, or the grade is not for sale. */
  readonly buy: { readonly sheet: Grade['sheets'][number]; readonly sheets: Figure; readonly cost: Figure } | null
}

/** One line of a cut-to-size order: whole layers, the supplier sees to sheets and joins. */
export interface OrderLine {
  readonly what: string
  readonly grade: Grade
  readonly count: number
  readonly widthMm: number
  readonly depthMm: number
  readonly thicknessMm: number
}

/** How the blocks of a job are cut, and what is bought for them. */
export interface CuttingPlan {
  readonly cutting: Cutting
  readonly blocks: readonly (BlockParts & BlockToCut)[]
  readonly groups: readonly GroupBuy[]
  readonly nestKey: string
  readonly order: readonly OrderLine[]
  readonly sheets: Figure
  readonly cost: Figure
  readonly supplies: Supplies
}

/** Parts, sheets, joins and supplies for all blocks. Sheets are counted by the kept nest, else in straight rows. */
export function planCutting(blocks: readonly BlockToCut[], cutting: Cutting): CuttingPlan {
  const taken = blocks.map((b) => ({ ...b, ...partsOf(b, cutting) }))
  const groups = groupParts(
    taken.flatMap((b) => b.parts),
    cutting,
  )
  const key = nestKey(groups, cutting)
  const kept = cutting.nest?.key === key ? cutting.nest.lays : []
  const buys = groups.map((group) =>
    buyOf(
      group,
      kept.filter((n) => n.group === group.id),
    ),
  )
  const order = blocks.flatMap((b) => orderLines(b, cutting.oversizeMm))
  const bought = buys.flatMap((b) => b.buy ?? [])
  const sheets = figure({
    id: 'filling.sheets',
    label: 'Sheets to buy',
    quantity: 'count',
    sum:
      bought.length === 0
        ? given(0, 'count', 'all from stock')
        : bought.length === 1
          ? bought[0]!.sheets.sum
          : plus(...bought.map((b) => b.sheets)),
    rule: kept.length > 0 ? 'as nested' : 'parts in straight rows; nesting may do better',
  })
  const cost =
    cutting.supply === 'cut-to-size'
      ? orderCost(order)
      : figure({
          id: 'filling.cost',
          label: 'Foam cost',
          quantity: 'money',
          sum:
            bought.length === 0
              ? given(0, 'money', 'all from stock')
              : bought.length === 1
                ? bought[0]!.cost.sum
                : plus(...bought.map((b) => b.cost)),
          rule: 'sheets bought whole',
          setBy: 'catalogue',
          change: 'filling.layers',
        })
  return {
    cutting,
    blocks: taken,
    groups: buys,
    nestKey: key,
    order,
    sheets,
    cost,
    supplies: suppliesFor(taken, cutting),
  }
}

function buyOf(group: FoamGroup, nest: readonly NestLay[]): GroupBuy {
  const bought = nest.find((n) => n.stock === null)
  if (nest.length > 0) {
    if (!bought) return { group, nest, buy: null }
    const sheets = entered({
      id: `filling.sheets.${group.id}`,
      label: phrase`Sheets of ${group.grade.name}`,
      quantity: 'count',
      value: sheetsIn(bought),
      rule: 'as nested',
    })
    return {
      group,
      nest,
      buy: { sheet: bought.sheet, sheets, cost: sheetCost(sheets, group.grade, bought.sheet, group.thicknessMm) },
    }
  }
  return {
    group,
    nest,
    buy: group.rows && { sheet: group.rows.sheet, sheets: group.rows.sheets, cost: group.rows.cost },
  }
}

function orderLines({ letter, count, block, layers }: BlockToCut, excessMm: number): readonly OrderLine[] {
  let fromMm = 0
  return layers.flatMap(({ grade, thicknessMm, stays = false }, i): readonly OrderLine[] => {
    const box = boxOf(
      needOf(
        block.outline,
        block.edges.map((e) => e.leanRad),
        fromMm,
        (fromMm += thicknessMm),
      ),
    )
    const line = {
      what: phrase`Block ${letter}${layers.length > 1 ? phrase`, layer ${i + 1} from the board` : ''}`,
      grade,
      count,
      widthMm: box.maxX - box.minX + excessMm,
      depthMm: box.maxY - box.minY + excessMm,
      thicknessMm,
    }
    return stays ? [] : [line]
  })
}

/** Foam cut to size is sold by the box each part needs. */
function orderCost(order: readonly OrderLine[]): Figure {
  const lines = order.map((l) =>
    times(
      given(l.count, 'count', phrase`of ${l.what}`),
      over(
        times(
          given(l.widthMm, 'length', 'width'),
          given(l.depthMm, 'length', 'depth'),
          given(l.thicknessMm, 'length', 'thickness'),
        ),
        unitsIn(1e9, 'mm³ in a m³'),
      ),
      given(l.grade.pricePerM3, 'volume-price', 'price of the foam'),
    ),
  )
  return figure({
    id: 'filling.cost',
    label: 'Foam cost',
    quantity: 'money',
    sum: lines.length === 0 ? given(0, 'money', 'all is there') : lines.length === 1 ? lines[0]! : plus(...lines),
    rule: 'cut to size, by the box of each part',
    setBy: 'catalogue',
    change: 'filling.layers',
  })
}
