import type { Grade } from '../../contract/index.ts'

/** A grade with all its forces so many times as large, to a tenth of a newton; its support factor stays. */
export const correctedGrade = (grade: Grade, factor: number): Grade => {
  const times = (force: number | null) => (force === null ? null : Math.round(force * factor * 10) / 10)
  return { ...grade, at25N: times(grade.at25N), at40N: times(grade.at40N), at65N: times(grade.at65N) }
}
