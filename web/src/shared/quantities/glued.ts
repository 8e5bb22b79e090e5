const FIGURE = /(\d) (%|°C|[mkM]?Ω|mm²|(?:m?V|m?A|Ah|rpm|m|h|min|s)\b)/g

/** A figure and its unit stay on one line. */
export const glued = (text: string): string => text.replace(FIGURE, '$1\u00a0$2')
