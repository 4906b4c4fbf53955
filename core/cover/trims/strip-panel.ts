import { entered, type Figure, type Operand } from '../../working/index.ts'
import { rectanglePanel, type EdgeDraft, type PanelDraft } from '../parts/index.ts'

/** A strip or a scrap of cloth that is cut to its size, allowances and all, and sewn on. */
export const stripPanel = (
  id: string,
  name: string,
  times: number,
  length: Operand,
  width: Operand,
  rule: string,
): PanelDraft => ({
  ...rectanglePanel(
    { id, name, role: 'trim', face: 'loose', cloth: 'face', isSeen: true, rule },
    length,
    width,
    ['below', 'end', 'above', 'start'].map((edge) => raw(edge, nothing)),
  ),
  times,
})

const raw = (name: string, allowance: Figure): EdgeDraft => ({ name, treatment: 'hem', allowances: [allowance] })
const nothing = entered({
  id: 'trim.none',
  label: 'Nothing',
  quantity: 'length',
  value: 0,
  rule: 'the size is the cut size',
})
