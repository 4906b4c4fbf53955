/** One reading as a tape sends it. */
export interface TapeReading {
  readonly mm: number
  readonly at: Date
}

/** Any tape that sends its readings: a radio tape's driver, or the simulated one. */
export interface TapeDriver {
  readonly name: string
  /** Shown wherever its readings are: a simulation never passes for a measurement. */
  readonly isSimulated: boolean
  /** Starts to listen; returns how to stop. Failures are told in words. */
  readonly connect: (onReading: (reading: TapeReading) => void, onFailure: (why: string) => void) => () => void
}
