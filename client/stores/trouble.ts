import { shallowRef } from 'vue'

/** What of the program itself could not be loaded, in words; empty while all is well. */
export const trouble = shallowRef('')

const OLD_PAGE =
  'A part of the program could not be loaded: it may have been updated since this page was opened. What you typed is kept; reload the page.'

/** A page's own file or worker is missing: nothing but a reload brings it. */
export const tellMissingPart = (): void => {
  trouble.value = OLD_PAGE
}
