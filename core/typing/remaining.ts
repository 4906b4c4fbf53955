/** What is left of a line when parts of it are understood; a cut stands where one was taken out. */
export class Remaining {
  constructor(private text: string) {}

  take(pattern: RegExp): RegExpExecArray | null {
    const found = new RegExp(pattern.source, pattern.flags.replace('g', '')).exec(this.text)
    if (found) this.text = this.text.replace(pattern, ' | ')
    return found
  }

  says(pattern: RegExp): boolean {
    return pattern.test(this.text)
  }

  left(): readonly string[] {
    return this.text
      .split(/[|,;:]/)
      .map((piece) => piece.trim())
      .filter((piece) => piece !== '')
  }
}
