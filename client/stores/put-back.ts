import { defineStore } from 'pinia'
import { shallowRef } from 'vue'

interface Offer {
  readonly says: string
  readonly run: () => Promise<void>
}

/** The last thing that was taken out of a list of the shop, to be put back with one press. */
export const usePutBack = defineStore('put-back', () => {
  const offer = shallowRef<Offer | null>(null)
  return {
    offer,
    /** `says` what is gone; `run` brings it back as it was. */
    taken: (says: string, run: Offer['run']) => (offer.value = { says, run }),
    forget: () => (offer.value = null),
    async putBack(): Promise<void> {
      const { value } = offer
      offer.value = null
      await value?.run()
    },
  }
})
