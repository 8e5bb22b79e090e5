import type { ComponentProps } from 'react'

const LOOK = {
  plain: 'px-4 border border-quiet hover:border-ink',
  main: 'px-4 border border-copper text-copper hover:bg-copper hover:text-on-copper',
  filled: 'px-4 border border-on-copper bg-on-copper text-copper',
  /** a name in a row that is pressed */
  inline: 'font-label link-words hover:decoration-current dense:min-h-8',
  quiet: 'link-words hover:decoration-current',
}

export function Button({
  look = 'plain',
  className = '',
  type = 'button',
  ...rest
}: ComponentProps<'button'> & { look?: keyof typeof LOOK }) {
  return (
    <button
      type={type}
      // On paper nothing is pressed; a name in a row is still a name.
      className={`inline-flex min-h-12 items-center justify-center gap-2 text-left text-base font-bold disabled:opacity-60 ${look === 'inline' ? '' : 'print:hidden'} ${LOOK[look]} ${className}`}
      {...rest}
    />
  )
}
