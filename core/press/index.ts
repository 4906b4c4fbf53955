export {
  forceOnDisc,
  simulatedStroke,
  USUAL_PRESS_NOISE,
  type PressNoise,
  type PressPoint,
  type PressSample,
} from './simulated-press.ts'
