/** `0:05:09`: hours, minutes and seconds of a clock that runs. */
export function clockWords(seconds: number): string {
  const whole = Math.floor(seconds)
  const two = (n: number) => String(n).padStart(2, '0')
  return `${Math.floor(whole / 3600)}:${two(Math.floor(whole / 60) % 60)}:${two(whole % 60)}`
}
