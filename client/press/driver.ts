/** One reading as a press sends it. */
export interface PressReading {
  readonly forceN: number
  readonly travelMm: number
}

/** Any press that sends force and travel: a real one's driver, or the simulated one. */
export interface PressDriver {
  readonly name: string
  /** Shown wherever its readings are: a simulation never passes for a measurement. */
  readonly isSimulated: boolean
  /** Starts to listen; returns how to stop. Failures are told in words. */
  readonly connect: (onReading: (reading: PressReading) => void, onFailure: (why: string) => void) => () => void
}
