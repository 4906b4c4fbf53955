import { defineStore } from 'pinia'
import { ref } from 'vue'

/** The figure under the pointer or focus; its line in the drawing lights up, and the other way round. */
export const useHighlight = defineStore('highlight', () => ({ figure: ref<string | null>(null) }))
