import { ref } from 'vue'

/**
 * The field that somebody asked to be shown (`filling.board`): a station with several pages opens the one that has it.
 */
export const wantedField = ref<string | null>(null)
