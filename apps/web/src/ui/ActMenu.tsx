import { ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useRef } from 'react';
import { useLocked } from './locked.ts';
import { MENU, MENU_ITEM } from './menu.ts';

/**
 * Something to do with one of several things, at once: a list of values would do it with every press of an arrow key. It can
 * be typed into, as such lists can.
 */
export function ActMenu({
  label,
  options,
  onChoose,
  className = '',
  returnFocus = true,
}: {
  /** What is done. */
  label: string;
  options: readonly { value: string; label: string }[];
  onChoose(value: string): void;
  className?: string;
  /** False where what is chosen takes the focus itself. */
  returnFocus?: boolean;
}) {
  const locked = useLocked();
  const chosen = useRef(false);
  return (
    <DropdownMenu.Root
      onOpenChange={open => {
        if (open) chosen.current = false;
      }}
    >
      <DropdownMenu.Trigger
        aria-label={label}
        disabled={locked || options.length === 0}
        className={`flex h-6 min-w-0 items-center gap-1 rounded-sm border border-hair bg-paper px-1.5 text-left text-base hover:bg-ground disabled:text-muted disabled:opacity-60 ${className}`}
      >
        <span className="mr-auto truncate">{label}…</span>
        <ChevronDown size={13} aria-hidden className="shrink-0" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          collisionPadding={8}
          aria-label={label}
          className={MENU}
          onCloseAutoFocus={event => {
            if (chosen.current && !returnFocus) event.preventDefault();
          }}
        >
          {options.map(option => (
            <DropdownMenu.Item
              key={option.value}
              onSelect={() => {
                chosen.current = true;
                onChoose(option.value);
              }}
              className={MENU_ITEM}
            >
              {option.label}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
