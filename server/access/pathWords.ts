/** `['readings', 3, 'unit']` as `readings[3].unit`. */
export function pathWords(path: (string | number)[]): string {
  return path.reduce<string>((text, step) => (typeof step === 'number' ? `${text}[${step}]` : text ? `${text}.${step}` : step), '')
}
