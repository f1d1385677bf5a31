import { type Edit, printTyped, type Result, type Scope, type Site, tokenPath, type Value } from '@cove/core';
import { Popover } from 'radix-ui';
import { type ReactNode, useRef, useState } from 'react';
import { useLocked } from '../../ui/locked.ts';
import { type Combobox, TypedInput } from '../../ui/TypedField.tsx';
import { useTyping } from '../../ui/useTyping.ts';
import { endOf, shownText } from './endOf.ts';
import { OptionList } from './OptionList.tsx';
import { type PickerOption, type PickerWants, pickerOptions } from './options.ts';
import { AddPane, CustomPane, EditPane } from './Panes.tsx';
import { stepped } from './stepped.ts';
import { type Pane, usePicker } from './usePicker.ts';

interface Props {
  label: string;
  /** The id that a label elsewhere names. */
  id?: string;
  hideLabel?: boolean;
  site: Site;
  /** Where the value stands, so that roles and rebound tokens show what they come to; null where it stands nowhere. */
  scope: Scope | null;
  wants: PickerWants;
  value: Value | null;
  /** Shown in place of the value, where several are set at once that differ. */
  mixed?: string;
  /** What the value hides. */
  beneath?: Value | null;
  parse(text: string): Result<Value | null>;
  /** Reads what is typed for the list, where that is more than the field itself takes. */
  reads?: (text: string) => Value | null;
  onShow?(value: Value | null): void;
  /** `before` is to be done in the same step: a token that the value names. Null where the field was emptied. */
  onCommit(value: Value | null, before?: readonly Edit[]): void;
  /** What a choice will alter. */
  impact?: ReactNode;
  onFocus?(): void;
  onBlur?(): void;
  className?: string;
}

/** A field for anything that can be a token: typed by name or value, or chosen from what the guide has. */
export function ValueField({
  label,
  id,
  hideLabel = true,
  site,
  scope,
  wants,
  value,
  mixed,
  beneath = null,
  parse,
  reads = text => {
    const read = parse(text);
    return read.ok ? read.value : null;
  },
  onShow,
  onCommit,
  impact,
  onFocus,
  onBlur,
  className = '',
}: Props) {
  const locked = useLocked();
  const input = useRef<HTMLInputElement | null>(null);
  const text = mixed ?? (value === null ? (wants.empty ?? '') : shownText(site, value, reads));
  const typing = useTyping(label, text);
  const { typed } = typing;
  const take = (option: PickerOption) => {
    switch (option.kind) {
      case 'heading':
        return;
      case 'take':
        typing.keep(() => {
          typing.settle();
          onCommit(option.value);
        });
        picker.close();
        return;
      case 'clear':
        typing.keep(() => {
          typing.settle();
          onCommit(null);
        });
        picker.close();
        return;
      case 'custom':
        return picker.openPane({ kind: 'custom' });
      case 'edit':
        return picker.openPane({ kind: 'edit', token: option.token });
      case 'add':
        typing.settle();
        return picker.openPane({ kind: 'add', option });
    }
  };
  const [open, setOpen] = useState(false);
  const read = typed === null ? null : reads(typed);
  const { options, first } = open
    ? pickerOptions({ site, scope, wants, value, beneath, typed, read })
    : CLOSED;
  const picker = usePicker({
    open,
    setOpen,
    options,
    first,
    typed,
    onTake: take,
    onClose: () => onShow?.(null),
  });

  const end = endOf(site, scope, value);
  const combobox: Combobox = {
    aria: {
      role: 'combobox',
      'aria-expanded': open,
      'aria-controls': open ? picker.list : undefined,
      'aria-activedescendant': picker.activeId,
      'aria-autocomplete': 'list',
      'aria-haspopup': 'listbox',
    },
    input,
    onKeyDown: picker.onKeyDown,
    onClick: () => {
      if (locked || open) return;
      input.current?.select();
      setOpen(true);
    },
    onType: () => setOpen(true),
    base: value && end && value.type === 'token' ? printTyped(end, site.kinds.token) : text,
    step: by => {
      if (value?.type !== 'token') return false;
      const next = stepped(site, value, text, by, parse);
      if (next) onCommit(next);
      return true;
    },
  };
  const path = value?.type === 'token' ? `{${tokenPath(site.kinds.token, value.token)}}` : text;
  const anchor = useRef({
    getBoundingClientRect: () =>
      (input.current?.closest('[data-picker-row]') ?? input.current)?.getBoundingClientRect() ??
      new DOMRect(),
  });
  const leavePane = () => {
    picker.openPane(null);
    input.current?.focus();
  };

  return (
    <div className={`min-w-0 ${className}`} title={path}>
      <TypedInput
        label={label}
        {...(id !== undefined && { id })}
        hideLabel={hideLabel}
        text={text}
        typing={typing}
        combobox={combobox}
        mono={value?.type !== 'token' && value?.type !== 'role'}
        parse={parse}
        onCommit={next => onCommit(next)}
        {...(onFocus && { onFocus })}
        onBlur={() => {
          if (open && picker.pane === null) picker.close();
          onBlur?.();
        }}
      />
      <Popover.Root open={open} onOpenChange={next => !next && picker.close()}>
        <Popover.Anchor virtualRef={anchor} />
        <Popover.Portal>
          <Popover.Content
            side="left"
            align="start"
            sideOffset={14}
            collisionPadding={8}
            aria-label={`${label}: choices`}
            className="z-60 w-76 overflow-hidden rounded-md border border-hair bg-paper py-2 text-base text-ink shadow-lg"
            onOpenAutoFocus={event => event.preventDefault()}
            onCloseAutoFocus={event => event.preventDefault()}
            onInteractOutside={event => {
              if (event.target instanceof Node && input.current?.contains(event.target))
                event.preventDefault();
            }}
            onEscapeKeyDown={event => {
              if (!picker.pane) return;
              event.preventDefault();
              leavePane();
            }}
          >
            {picker.pane ? (
              <PaneView
                pane={picker.pane}
                site={site}
                color={end}
                onBack={leavePane}
                {...(onShow && { onShow })}
                onCommit={(next, before) => {
                  onCommit(next, before);
                  if (picker.pane?.kind === 'add') {
                    picker.close();
                    input.current?.focus();
                  }
                }}
              />
            ) : (
              <>
                <OptionList
                  id={picker.list}
                  label={`${label}: choices`}
                  site={site}
                  use={wants.use}
                  options={options}
                  active={picker.active}
                  onPoint={picker.point}
                  onTake={take}
                />
                {options.length === 0 && (
                  <p className="px-3.5 py-1 text-muted">
                    {typed
                      ? 'Nothing in the guide has that name.'
                      : 'The guide has nothing of this kind yet.'}
                  </p>
                )}
                {impact && <p className="mt-1 border-t border-hair px-3.5 pt-2 text-muted">{impact}</p>}
              </>
            )}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}

const CLOSED: ReturnType<typeof pickerOptions> = { options: [], first: -1 };

function PaneView({
  pane,
  site,
  color,
  onBack,
  onShow,
  onCommit,
}: {
  pane: Pane;
  site: Site;
  color: Value | null;
  onBack(): void;
  onShow?(value: Value | null): void;
  onCommit(value: Value, before?: readonly Edit[]): void;
}) {
  switch (pane.kind) {
    case 'custom':
      return (
        <CustomPane
          color={color?.type === 'color' ? color.value : null}
          onBack={onBack}
          onShow={it => onShow?.(it)}
          onCommit={onCommit}
        />
      );
    case 'edit': {
      const token = site.kinds.token.get(pane.token);
      return token ? (
        <EditPane
          site={site}
          token={token}
          onBack={onBack}
          onMade={id => onCommit({ type: 'token', token: id })}
        />
      ) : null;
    }
    case 'add': {
      const { option } = pane;
      return (
        <AddPane
          site={site}
          option={option}
          onBack={onBack}
          onAdd={(id, edits) => onCommit({ type: 'token', token: id }, edits)}
        />
      );
    }
  }
}
