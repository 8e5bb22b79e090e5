/** A figure with the sign that is as wide as a plus. */
export const signed = (figure: number | string): string => String(figure).replace('-', '−')

/** @example spokenCelsius(-7)   // => "−7 °C" */
export const spokenCelsius = (celsius: number): string => `${signed(celsius)} °C`
