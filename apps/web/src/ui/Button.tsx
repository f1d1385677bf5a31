import type { ComponentProps } from 'react';

const KINDS = {
  plain: 'text-ink hover:bg-ground',
  main: 'border border-teal bg-teal text-paper hover:opacity-90',
  line: 'border border-hair text-ink hover:bg-ground',
  link: 'px-0! text-teal hover:underline',
} as const;

/** A button of the program's own face. */
export function Button({
  kind = 'plain',
  className = '',
  type = 'button',
  ...props
}: ComponentProps<'button'> & { kind?: keyof typeof KINDS }) {
  return (
    <button
      type={type}
      className={`inline-flex h-7 items-center gap-1.5 rounded px-2 text-base whitespace-nowrap disabled:opacity-45 ${KINDS[kind]} ${className}`}
      {...props}
    />
  );
}
