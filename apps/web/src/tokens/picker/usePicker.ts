import { type KeyboardEvent, useId, useState } from 'react';
import { nextLine, optionId } from './OptionList.tsx';
import { canTake, type PickerOption } from './options.ts';

export type AddOption = Extract<PickerOption, { kind: 'add' }>;

export type Pane = { kind: 'custom' } | { kind: 'edit'; token: string } | { kind: 'add'; option: AddOption };

export interface Picker {
  /** What is shown in the place of the list; null while the list is. */
  pane: Pane | null;
  active: number;
  list: string;
  /** The id of the current line, for the field that names it. */
  activeId: string | undefined;
  close(): void;
  openPane(pane: Pane | null): void;
  point(index: number): void;
  /** Keys of the field: true where one was the picker's. */
  onKeyDown(event: KeyboardEvent<HTMLInputElement>): boolean;
}

/** The state of a picker and its keys. `first` is the line that Enter takes before another one is pointed at. */
export function usePicker({
  open,
  setOpen,
  options,
  first,
  typed,
  onTake,
  onClose,
}: {
  open: boolean;
  setOpen(open: boolean): void;
  options: readonly PickerOption[];
  first: number;
  typed: string | null;
  onTake(option: PickerOption): void;
  onClose(): void;
}): Picker {
  const list = useId();
  const [pane, setPane] = useState<Pane | null>(null);
  /** The line that was pointed at, and what was typed then: other words begin anew. */
  const [pointed, setPointed] = useState<{ key: string; typed: string | null } | null>(null);
  const at = pointed?.typed === typed ? options.findIndex(it => it.key === pointed.key) : -1;
  const active = at >= 0 ? at : first;
  const option = options[active];
  const point = (index: number) => {
    const it = options[index];
    if (canTake(it) && it) setPointed({ key: it.key, typed });
  };
  const close = () => {
    setOpen(false);
    setPane(null);
    setPointed(null);
    onClose();
  };
  return {
    pane,
    active,
    list,
    activeId: open && pane === null && option ? optionId(list, option.key) : undefined,
    close,
    openPane: setPane,
    point,
    onKeyDown(event) {
      const isDown = event.key === 'ArrowDown';
      if (!open) {
        if (!(isDown && event.altKey)) return false;
        event.preventDefault();
        setOpen(true);
        return true;
      }
      switch (event.key) {
        case 'ArrowDown':
        case 'ArrowUp':
          event.preventDefault();
          point(nextLine(options, active, isDown ? 1 : -1));
          return true;
        case 'PageDown':
        case 'PageUp': {
          event.preventDefault();
          let to = active;
          for (let i = 0; i < 10; i++) to = nextLine(options, to, event.key === 'PageDown' ? 1 : -1);
          point(to);
          return true;
        }
        case 'Enter':
          if (!option || !canTake(option)) return false;
          event.preventDefault();
          onTake(option);
          return true;
        case 'Escape':
          event.preventDefault();
          event.stopPropagation();
          close();
          return true;
        default:
          return false;
      }
    },
  };
}
