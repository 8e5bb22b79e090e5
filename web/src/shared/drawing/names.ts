/** The component of a pin: "K1" of "K1:30". */
export const partOf = (node: string): string => node.split(':', 1)[0] ?? node

/** A pin as it is called: a joint and bare metal have but one, and go by the component's own name. */
export const spokenPin = (node: string): string => node.replace(/:(joint|metal)$/, '')
