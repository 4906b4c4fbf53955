import { defineStore } from 'pinia'
import { ref } from 'vue'

/** The seam that is pointed at, on the flat panels, in the list or on the cushion: it lights up everywhere. */
export const useSeam = defineStore('seam', () => ({ letter: ref<string | null>(null) }))
