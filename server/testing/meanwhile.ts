import type { TestShop } from './running-app.ts'

/**
 * How many small requests are answered, one after the other, while a work is under way: none where the work holds up
 * the thread that answers. Told by order alone, not by a clock.
 */
export async function answeredMeanwhile(shop: TestShop, work: Promise<unknown>): Promise<number> {
  let isOver = false
  const over = work.then(
    () => (isOver = true),
    () => (isOver = true),
  )
  let answered = 0
  // The attack is let go first.
  await new Promise((resolve) => setTimeout(resolve, 20))
  while (!isOver && answered < 5) {
    await (await fetch(`${shop.address}/api/shop/settings`)).text()
    if (!isOver) answered++
  }
  await over
  return answered
}
