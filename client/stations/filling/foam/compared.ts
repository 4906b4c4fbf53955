import { ref } from 'vue'

/** The grade drawn beside the job's own; nobody's record. */
export const comparedGrade = ref<string | null>(null)
