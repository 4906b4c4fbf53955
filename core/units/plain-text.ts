/**
 * Quotes, fractions and signs as word processors and telephones write them, in plain characters: `23⅝”` is `23 5/8"`.
 */
export const plainText = (text: string): string =>
  text
    .replaceAll('−', '-')
    .replace(/[″“”„]/g, '"')
    .replace(/[′‘’´`]/g, "'")
    .replace(
      /(\d?)\s*([¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])/g,
      (_, before: string, fraction: string) => `${before}${before ? ' ' : ''}${FRACTIONS[fraction]!}`,
    )

const FRACTIONS: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅐': '1/7',
  '⅑': '1/9',
  '⅒': '1/10',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}
