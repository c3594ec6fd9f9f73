/** A count or a mean as people say it: whole from ten on, with one decimal below. */
export const oneDecimal = (value: number): string =>
  String(value >= 10 ? Math.round(value) : Math.round(value * 10) / 10)
