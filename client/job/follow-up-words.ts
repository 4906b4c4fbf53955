import type { FollowUpKind } from '../../contract/index.ts'

/** What a customer is reminded of. */
export const FOLLOW_UP_WORDS: Readonly<Record<FollowUpKind, string>> = {
  turn: 'turn the cushions',
  air: 'air the berths',
  wash: 'wash the covers',
  foam: 'foam is due',
}
