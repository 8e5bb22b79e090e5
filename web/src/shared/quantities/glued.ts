const FIGURE = /(\d) (%|(?:m?V|m?A|[mkM]?ohm|degC|Ah|rpm|mm2|m|h|min|s)\b)/g

/** A figure and its unit stay on one line. */
export const glued = (text: string): string => text.replace(FIGURE, '$1\u00a0$2')
