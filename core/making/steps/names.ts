import { listed } from '../../language/index.ts'
import { recordKey, type InWork } from '../acts/garments.ts'
import { cushionName, type OrderOf } from './order-of.ts'

/** The cover, its lining and its inner cover keep their records under one name: their letters differ. */
export const prefixOf = ({ design, layer }: InWork): string =>
  `sew.${recordKey(design)}.${layer === 'liner' ? 'liner.' : ''}`

/** What stands before a step of a garment: which cushion, which layer; empty where there is one alone. */
export function nameOf(of: OrderOf, { design, layer }: InWork): string {
  const name = [
    of.plan.designs.length > 1 ? cushionName(design) : '',
    { cover: '', liner: 'Liner', lining: 'Lining', inner: 'Inner cover' }[layer],
  ].filter((w) => w !== '')
  return name.length > 0 ? `${listed(name)}: ` : ''
}
